import type { Beat } from '../beats/registry.js';
import { NEW_ASIDE, type Aside } from '../stage/aside.js';
import { prepareLesson } from '../lesson/prepare.js';
import type { Item } from '../question-kinds/registry.js';
import { ONLY_STEP } from '../lesson/step-ref.js';
import { timesAsked, type Asking } from './asking.js';
import { askBeside, closeRun, enterStep, newRun, type Run } from './run.js';
import { motionOfRun } from './run-stage.js';
import { viewOfRun } from './run-view.js';
import { lessonWith } from '../testing/lessons.js';

const NOTE = 'Look at Dov first.';
const SWEEP = { kind: 'sweep', fromSec: 7 * 3600, toSec: 8 * 3600, turnSeconds: 30, count: 'fives', stops: [], text: 'Watch.' } as const;
const BEATS = [
  { id: 'hello', kind: 'say', text: 'Hello.' },
  { id: 'ask', kind: 'ask', itemId: 'q1', text: '' },
  { id: 'think', kind: 'think', itemId: 'q1', seconds: 10, text: '' },
  { id: 'answer', kind: 'answer', itemId: 'q1' },
  { ...SWEEP, id: 'sweep' },
] as const satisfies readonly Beat[];
const LESSON = lessonWith({
  items: [{ id: 'q1', kind: 'read-dial', timeSec: 4 * 3600 + 2100 }],
  beats: BEATS.map((beat) => ({ ...beat, note: NOTE })),
});
const prepared = prepareLesson(LESSON);
const goingTo = (...beatIds: readonly string[]) =>
  beatIds.reduce((run, beatId) => enterStep(run, { beatId, step: ONLY_STEP }, prepared, 1000), newRun(prepared));

test('what a teacher notes beside a beat is in nothing that a pupil’s device is told, whatever the beat', () => {
  for (const { id } of BEATS) expect(JSON.stringify(viewOfRun(prepared, goingTo('hello', 'ask', id), null, 500))).not.toContain(NOTE);
});

test('hands begin to move without the answer to a question that was leapt over, and with it once it was shown', () => {
  const answer = /"hour":"4"|:35|35 minutes|4:35/;
  expect(JSON.stringify(viewOfRun(prepared, goingTo('hello', 'ask', 'sweep'), null, 0).stage!.before)).not.toMatch(answer);
  expect(JSON.stringify(viewOfRun(prepared, goingTo('hello', 'ask', 'answer', 'sweep'), null, 0).stage!.before)).toMatch(answer);
});

test('hands that a teacher turns glide to where they stand; a chart or an example comes at once', () => {
  const glides = (aside: Aside | null) => viewOfRun(prepared, goingTo('hello'), aside, 500).stage!.glides;
  const turned = { ...NEW_ASIDE, timeSec: 4 * 3600 };
  expect([glides(turned), glides({ ...turned, shows: { kind: 'chart' } }), glides(null)]).toEqual([true, false, false]);
});

test('time to think is counted down while the class thinks about an open question, and at no other moment', () => {
  const countdown = (run: Run) => viewOfRun(prepared, run, null, 2000).question?.countdown ?? null;
  const thinking = goingTo('hello', 'ask', 'think');
  const beside = askBeside(thinking, { ...LESSON.items[0]!, id: 'more' }, prepared, 1000);
  expect(countdown(thinking)).toEqual({ totalMs: 10_000, leftMs: 8000 });
  expect([goingTo('hello', 'ask'), closeRun(thinking, 1500), beside].map(countdown)).toEqual([null, null, null]);
});

test('a sweep moves the stage for as long as it runs, and a question that is asked beside it stands still', () => {
  const sweeping = goingTo('hello', 'sweep');
  expect(motionOfRun(prepared, sweeping)).toBe(30_000);
  const more = { ...LESSON.items[0]!, id: 'more' };
  expect(motionOfRun(prepared, askBeside(sweeping, more, prepared, 1000))).toBe(0);
});

test('a question that is asked again is the second time of its own, whatever was asked between', () => {
  const [item, other] = [LESSON.items[0]!, { ...LESSON.items[0]!, id: 'more' }];
  const asking = (id: string, of: Item): Asking => ({ id, item: of, phase: 'closed', closedAtMs: 1 });
  const askings = [asking('q1', item), asking('more', other), asking('q1 again', item)];
  expect(askings.map((one) => timesAsked(askings, one))).toEqual([1, 1, 2]);
});

test('whoever is answering keeps the question, whatever the teacher shows beside the script; afterwards it is seen', () => {
  const turned = { ...NEW_ASIDE, timeSec: 4 * 3600 };
  const sees = (run: Run, aside: Aside | null) => (viewOfRun(prepared, run, aside, 500).question ? 'question' : 'stage');
  const open = goingTo('hello', 'ask');
  expect([sees(open, null), sees(open, turned), sees(closeRun(open, 1500), turned)]).toEqual(['question', 'question', 'stage']);
  expect([sees(closeRun(open, 1500), null), sees(goingTo('hello', 'ask', 'answer'), turned)]).toEqual(['question', 'stage']);
});
