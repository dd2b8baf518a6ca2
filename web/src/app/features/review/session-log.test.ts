import { render, textOf } from '../../testing/render';
import { askingOf, responseOf, withRun } from '../../testing/session';
import { itemFacts } from '@zeitpunkt/core/insight/item-facts';
import type { SessionDetail } from '@zeitpunkt/contract';
import { answersOfLesson } from '../../shared/insight/answers-of-lesson';
import { reviewTable } from './review-table';
import { SessionLog } from './session-log';

const inputsOf = (detail: SessionDetail) => {
  const { questions } = reviewTable(detail);
  const facts = itemFacts(questions.map(({ askingId }) => askingId), answersOfLesson(detail)); // prettier-ignore
  return { detail, asked: questions, facts: new Map(facts.map((one) => [one.askingId, one])) };
};

const at = (beatId: string, atMs: number) => ({ beatId, atMs });

test('each beat tells when it was shown and what it took against its plan; what was leapt over is said', async () => {
  const trail = [at('b1', 0), at('b2', 4000), at('b3', 34_000)];
  const detail = { ...withRun({ askings: [askingOf('q1', 'revealed')], trail }), endedAtMs: 40_000 };
  const { find, page } = await render(SessionLog, inputsOf(detail));
  const rows = [...page.querySelectorAll('tbody tr')].map((row) => textOf(row));
  expect(rows[0]).toMatch(/^1 Say.* 0:00 0:0\d 0:04$/);
  expect(rows[1]).toMatch(/^2 Ask.* 0:04 0:0\d 0:30$/);
  expect(rows[3]).toMatch(/^4 Ask.* – 0:0\d not reached$/);
  expect(find.getByText(/was passed over|were passed over/)).toBeTruthy();
});

test('how long answers took is told by question beside what was planned, once enough came from devices', async () => {
  const answers = ['Anouk', 'Bashir', 'Ceri', 'Dov'].map((name, index) => ({
    ...responseOf(name, 'q1'),
    responseTimeMs: (index + 1) * 4000,
  }));
  const detail = withRun({ askings: [askingOf('q1', 'revealed')] }, { responses: answers });
  const { page, setInputs } = await render(SessionLog, inputsOf(detail));
  expect(textOf(page)).toMatch(/1\. Read a dial, 7:30 8 s 12 s –/);
  const onPaper = answers.map((one) => ({ ...one, source: 'paper' as const }));
  await setInputs(inputsOf({ ...withRun({ askings: [askingOf('q1', 'revealed')] }, { responses: onPaper }), pace: 'own' }));
  expect(textOf(page)).toContain('Each pupil went at their own pace');
  expect(textOf(page)).not.toContain('How long answers took');
});
