import { askingOf, responseOf, withRun } from '../../testing/session';
import { reviewTable, rowsFor } from './review-table';

const table = reviewTable(
  withRun(
    { askings: [askingOf('q1', 'revealed'), askingOf('q2', 'closed'), { ...askingOf('q1', 'revealed'), id: 'q1.2' }] },
    {
      responses: [
        responseOf('Anouk', 'q1', ['coming-hour'], 1),
        responseOf('Anouk', 'q1', [], 2),
        responseOf('Bashir', 'q1', ['coming-hour']),
        responseOf('Bashir', 'q2', ['hour-hand-on-numeral']),
        { ...responseOf('Bashir', 'q1'), askingId: 'q1.2' },
      ],
    },
  ),
);

test('each question counts last attempts only, with the ideas that would explain the wrong ones', () => {
  expect(
    table.questions.map(({ title, answered, right, ideas }) => ({
      title,
      answered,
      right,
      ideas: ideas.map(({ id, count }) => [id, count]),
    })),
  ).toEqual([
    {
      title: 'Read a dial, 7:30',
      answered: 2,
      right: 1,
      ideas: [
        ['nearest-hour', 1],
        ['coming-hour', 1],
        ['half-of-coming-hour', 1],
      ],
    },
    { title: 'Set a dial, 9:30', answered: 1, right: 0, ideas: [['hour-hand-on-numeral', 1]] },
    { title: 'Read a dial, 7:30, again', answered: 1, right: 1, ideas: [] },
  ]);
});

test('rows are the pupils who came, also those who never answered; the others are named as absent', () => {
  expect(table.rows.map(({ pupil, cells }) => [pupil.name, ...cells.map((cell) => cell.last?.mark.verdict ?? null)])).toEqual([
    ['Anouk', 'right', null, null],
    ['Bashir', 'partly', 'partly', 'right'],
    ['Ceri', null, null, null],
  ]);
  expect(table.absent.map(({ name }) => name)).toEqual(['Dov']);
  expect(table.rows[0]!.cells[0]!.attempts.map(({ attempt }) => attempt)).toEqual([1, 2]);
});

test('pupils stand as in the class, by name, or those first of whom most is to be looked at; filters leave the others out', () => {
  const names = (...how: [Parameters<typeof rowsFor>[1], Parameters<typeof rowsFor>[2]]) =>
    rowsFor(table, ...how).map(({ pupil }) => pupil.name);
  expect(names('class', 'all')).toEqual(['Anouk', 'Bashir', 'Ceri']);
  expect(names('look', 'all')).toEqual(['Bashir', 'Anouk', 'Ceri']);
  expect(names('name', 'not-right')).toEqual(['Bashir']);
  expect(names('class', 'idea')).toEqual(['Bashir']);
  expect(names('class', 'unsure')).toEqual([]);
  expect(names('class', 'late')).toEqual([]);
});

test('of a sheet in versions, questions in one place stand in one column, under the number on paper and the version', () => {
  const detail = withRun(
    { askings: [askingOf('q1', 'closed'), { ...askingOf('q2', 'closed') }, { ...askingOf('q1', 'closed'), id: 'b1' }, { ...askingOf('q2', 'closed'), id: 'b2' }] }, // prettier-ignore
    { responses: [responseOf('Anouk', 'q1'), { ...responseOf('Bashir', 'q2'), askingId: 'b2' }] },
  );
  const versions = [['q1', 'q2'], ['b1', 'b2']]; // prettier-ignore
  const sheet = reviewTable(detail, versions);
  expect(sheet.questions.map(({ name }) => name)).toEqual(['1 A', '2 A', '1 B', '2 B']);
  expect(sheet.columns.map((column) => column.map(({ askingId }) => askingId))).toEqual([['q1', 'b1'], ['q2', 'b2']]); // prettier-ignore
  // One version, or no sheet, is a lesson like any other.
  for (const plain of [reviewTable(detail, [['q1', 'q2', 'b1', 'b2']]), reviewTable(detail)]) {
    expect(plain.questions.map(({ name }) => name)).toEqual(['1', '2', '3', '4']);
    expect(plain.columns.map(({ length }) => length)).toEqual([1, 1, 1, 1]);
  }
});
