import { responseOf, sessionDetail } from '../../testing/session';
import { reviewTable } from './review-table';

const detail = sessionDetail();
const table = reviewTable({
  ...detail,
  live: {
    ...detail.live,
    responses: [
      responseOf('Anouk', 'q1', ['coming-hour'], 1),
      responseOf('Anouk', 'q1', [], 2),
      responseOf('Bashir', 'q1', ['coming-hour']),
      responseOf('Bashir', 'q2', ['hour-hand-on-numeral']),
    ],
  },
});

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
      ],
    },
    { title: 'Set a dial, 9:30', answered: 1, right: 0, ideas: [['hour-hand-on-numeral', 1]] },
  ]);
});

test('rows are the pupils who came, also those who never answered; the others are named as absent', () => {
  expect(table.rows.map(({ pupil, cells }) => [pupil.name, ...cells.map((cell) => cell.last?.mark.verdict ?? null)])).toEqual([
    ['Anouk', 'right', null],
    ['Bashir', 'partly', 'partly'],
    ['Ceri', null, null],
  ]);
  expect(table.absent.map(({ name }) => name)).toEqual(['Dov']);
  expect(table.rows[0]!.cells[0]!.attempts.map(({ attempt }) => attempt)).toEqual([1, 2]);
});
