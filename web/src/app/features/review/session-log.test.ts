import { render, textOf } from '../../testing/render';
import { askingOf, responseOf, withRun } from '../../testing/session';
import { SessionLog } from './session-log';

const at = (beatId: string, atMs: number) => ({ beatId, atMs });

test('each beat tells when it was shown and what it took against its plan; what was leapt over is said', async () => {
  const trail = [at('b1', 0), at('b2', 4000), at('b3', 34_000)];
  const detail = { ...withRun({ askings: [askingOf('q1', 'revealed')], trail }), endedAtMs: 40_000 };
  const { find, page } = await render(SessionLog, { detail });
  const rows = [...page.querySelectorAll('tbody tr')].map((row) => textOf(row));
  expect(rows[0]).toMatch(/^1 Say.* 0:00 0:0\d 0:04$/);
  expect(rows[1]).toMatch(/^2 Ask.* 0:04 0:0\d 0:30$/);
  expect(rows[3]).toMatch(/^4 Ask.* – 0:0\d not reached$/);
  expect(find.getByText(/was passed over|were passed over/)).toBeTruthy();
});

test('how long answers took is told by kind once there are enough of them, those on paper left out', async () => {
  const answers = Array.from({ length: 20 }, (_, index) => ({
    ...responseOf('Anouk', 'q1'),
    id: `r${index}`,
    responseTimeMs: (index + 1) * 1000,
  }));
  const paper = answers.map((one) => ({ ...one, id: `${one.id} paper`, source: 'paper' as const, responseTimeMs: 0 }));
  const detail = withRun({ askings: [askingOf('q1', 'revealed')] }, { responses: [...answers, ...paper] });
  const { page, setInputs } = await render(SessionLog, { detail });
  expect(textOf(page)).toContain('Read a dial 11 s 17 s');
  await setInputs({ detail: { ...detail, pace: 'own' } });
  expect(textOf(page)).toContain('Each pupil went at their own pace');
});
