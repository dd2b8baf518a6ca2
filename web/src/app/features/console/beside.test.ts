import { FakeServer, Refusal } from '../../testing/fake-server';
import { heard, render, textOf, until } from '../../testing/render';
import { askingOf, responseOf, sessionDetail, withRun } from '../../testing/session';
import { NoteToSelf } from './note-to-self';
import { PupilAnswers } from './pupil-answers';

test('what a pupil has answered stands question by question, with the idea behind it; what came late and does not count is none', async () => {
  const detail = withRun({ askings: [askingOf('q1', 'revealed'), askingOf('q2', 'open')] });
  const responses = [responseOf('Bashir', 'q1', ['coming-hour']), responseOf('Anouk', 'q1')];
  const { find, press, component, setInputs } = await render(PupilAnswers, {
    detail: { ...detail, live: { ...detail.live, responses } },
    pupilId: 'pupil-Bashir',
  });
  const rows = () => find.getAllByRole('listitem').map((row) => textOf(row));
  expect(rows()).toHaveLength(2);
  await until(() => /^1\. .*8:30.*Another hour/.test(rows()[0]!)); // how an answer is drawn comes when it is needed
  expect(rows()[1]).toMatch(/^2\. .*no answer/i);
  await setInputs({ pupilId: 'pupil-Anouk' });
  await until(() => /7:30/.test(rows()[0]!));
  expect(rows()[0]).not.toMatch(/Another hour/);
  const late = { ...responseOf('Ceri', 'q1'), late: { givenAtMs: 1, closedAtMs: 0, counted: false } };
  await setInputs({ detail: { ...detail, live: { ...detail.live, responses: [late] } }, pupilId: 'pupil-Ceri' });
  expect(rows()[0]).toMatch(/no answer/i);
  const closed = heard((component as PupilAnswers).closed);
  await press(/^Close/);
  expect(closed).toHaveLength(1);
});

test('what is noted while teaching stays with its beat; empty it is gone, and what is refused is said and changes nothing', async () => {
  const lesson = { ...sessionDetail().lesson };
  const server = new FakeServer({
    'GET /api/lessons/l1': {
      id: 'l1',
      revision: 1,
      lesson: { ...lesson, beats: lesson.beats.map((beat, index) => (index === 0 ? { ...beat, note: 'Slowly here.' } : beat)) },
    },
    'POST /api/lessons/l1/notes': { revision: 2 },
  });
  const { find, page, press, type, setInputs, settled } = await render(NoteToSelf, { lessonId: 'l1', beatId: 'b1' });
  await until(() => textOf(page).includes('Slowly here.'));
  const write = async (text: string) => {
    await press(/note|change/i);
    const field = find.getByRole('textbox');
    expect(document.activeElement).toBe(field); // no letter of a teacher who types at once is lost
    await type(field, text);
    field.closest('form')!.dispatchEvent(new Event('submit', { cancelable: true }));
    await settled();
  };
  await write('  Wait for Dov. ');
  await until(() => textOf(page).includes('Wait for Dov.'));
  await setInputs({ beatId: 'b2' });
  expect(textOf(page)).not.toContain('Wait for Dov.');
  await setInputs({ beatId: 'b1' });
  await write(' ');
  await until(() => !textOf(page).includes('Wait for Dov.'));
  expect(server.sent('POST /api/lessons/l1/notes')).toEqual([
    { beatId: 'b1', note: 'Wait for Dov.' },
    { beatId: 'b1', note: '' },
  ]);
  server.on('POST /api/lessons/l1/notes', new Refusal('NOT_FOUND', 'This lesson does not have this beat any more.', 404));
  await write('Once more.');
  await until(() => find.queryByRole('alert') !== null);
  expect(textOf(find.getByRole('alert'))).toContain('does not have this beat any more');
  expect(textOf(page)).not.toContain('Once more.');
});

test('a line that is left by Escape or by the next beat notes nothing', async () => {
  const server = new FakeServer({ 'GET /api/lessons/l1': { id: 'l1', revision: 1, lesson: sessionDetail().lesson } });
  const { find, press, key, setInputs } = await render(NoteToSelf, { lessonId: 'l1', beatId: 'b1' });
  await press(/note/i);
  await key(find.getByRole('textbox'), 'Escape');
  expect(find.queryByRole('textbox')).toBeNull();
  await press(/note/i);
  await setInputs({ beatId: 'b2' });
  expect(find.queryByRole('textbox')).toBeNull();
  expect(server.asked.map(({ route }) => route)).toEqual(['GET /api/lessons/l1']);
});
