import fc from 'fast-check';
import { coherenceOf } from '../dial/coherence.js';
import { gearedPose } from '../dial/pose.js';
import { secondOfDay, toSecondOfDay } from '../time/second-of-day.js';
import type { Beat, PlayBeat } from '../beats/registry.js';
import { explain } from './explain.js';
import type { Lesson } from './lesson.js';
import { narrationAt, stageAt } from './player.js';
import { prepareLesson } from './prepare.js';
import { DEFAULT_SETTINGS } from './settings.js';

const at = secondOfDay;
const lessonOf = (beats: Beat[], settings: Partial<Lesson['settings']> = {}): Lesson => ({
  format: 'zeitpunkt-lesson',
  formatVersion: 1,
  title: 'At the tide gauge',
  goal: 'Read the gauge.',
  successCriteria: [],
  targetMinutes: 5,
  settings: { ...DEFAULT_SETTINGS, ...settings },
  items: [
    { id: 'q1', kind: 'read-dial', timeSec: at(7, 30) },
    { id: 'q2', kind: 'set-dial', timeSec: at(2, 30), from: 'words', hands: 'geared' },
  ],
  beats,
});
const SWEEP: Beat = {
  kind: 'sweep',
  fromSec: at(10, 0),
  toSec: at(11, 0),
  turnSeconds: 20,
  count: 'fives',
  stops: [{ atSec: at(10, 30), prompt: 'Look at the short hand.' }],
  text: 'Count with me.',
};
const ALL: Beat[] = [
  { kind: 'set', timeSec: at(4, 0), display: 'full', words: true, text: 'Four o’clock.' },
  SWEEP,
  { kind: 'mark', marks: [{ type: 'count', toMinute: 60, by: 15 }], text: 'Quarters.', board: 'Four quarters.' },
  { kind: 'worked-example', timeSec: at(12, 35) },
  { kind: 'ask', itemId: 'q1', text: 'Your turn.' },
  { kind: 'think', itemId: 'q1', seconds: 10, text: '' },
  { kind: 'answer', itemId: 'q1' },
  { kind: 'say', text: 'Well done.' },
];

test('each step begins with the stage that the one before it left', () => {
  const prepared = prepareLesson(lessonOf(ALL));
  for (let step = 1; step < prepared.steps.length; step++) {
    expect(prepared.steps[step]!.before).toEqual(stageAt(prepared, step - 1, Infinity));
    expect(prepared.steps[step]!.startMs).toBe(prepared.steps[step - 1]!.startMs + prepared.steps[step - 1]!.durationMs);
  }
});

test('the same moment always looks the same, and a step that has settled stays as it is', () => {
  const prepared = prepareLesson(lessonOf(ALL));
  fc.assert(
    fc.property(fc.nat(prepared.steps.length - 1), fc.integer({ min: 0, max: 200_000 }), (step, elapsedMs) => {
      expect(stageAt(prepared, step, elapsedMs)).toEqual(stageAt(prepareLesson(lessonOf(ALL)), step, elapsedMs));
      expect(stageAt(prepared, step, 3_600_000)).toEqual(stageAt(prepared, step, Infinity));
    }),
    { numRuns: 60 },
  );
});

test('a sweep moves geared hands at every moment, waits at its stop with the prompt, and ends on its goal', () => {
  const prepared = prepareLesson(lessonOf([ALL[0]!, SWEEP]));
  for (let ms = 0; ms < 30_000; ms += 37) expect(coherenceOf(stageAt(prepared, 1, ms).dial!.pose).residualDeg).toBeLessThan(1e-6);
  const waiting = stageAt(prepared, 1, 10_500);
  expect(waiting).toMatchObject({ board: ['Look at the short hand.'], display: { hour: '10', minute: '30' } });
  expect(waiting.dial).toMatchObject({ pose: { minuteDeg: 180 }, marks: [{ type: 'count', toMinute: 30, by: 5 }] });
  expect(stageAt(prepared, 1, Infinity).dial!.pose).toEqual(gearedPose(at(11, 0)));
});

test('a fast sweep blurs into a trail, and its display changes at most three times a second', () => {
  const prepared = prepareLesson(lessonOf([ALL[0]!, { ...SWEEP, turnSeconds: 5, count: 'ones', stops: [] }]));
  const moments = Array.from({ length: 500 }, (_, frame) => stageAt(prepared, 1, frame * 10));
  const shown = moments.map(({ display }) => `${display!.hour}:${display!.minute}`);
  for (let from = 0; from + 100 < shown.length; from += 10) {
    const second = shown.slice(from, from + 100);
    expect(second.filter((text, index) => index > 0 && text !== second[index - 1]).length).toBeLessThanOrEqual(3);
  }
  expect(moments[250]!.dial!.trailDeg).toBeGreaterThan(0);
  expect(stageAt(prepared, 1, Infinity)).toMatchObject({
    display: { hour: '11', minute: '00' },
    dial: expect.not.objectContaining({ trailDeg: expect.anything() }),
  });
});

test('a sweep goes backwards too', () => {
  const prepared = prepareLesson(lessonOf([{ ...SWEEP, fromSec: at(3, 10), toSec: at(2, 50), count: 'none', stops: [] }]));
  expect(stageAt(prepared, 0, Infinity).dial!.pose).toEqual(gearedPose(at(2, 50)));
  expect(stageAt(prepared, 0, 100).dial!.pose.hourDeg).toBeLessThan(gearedPose(at(3, 10)).hourDeg);
});

test('the worked example of 4:30 fills the display in step by step and ends in words', () => {
  const prepared = prepareLesson(lessonOf([{ kind: 'worked-example', timeSec: at(16, 30) }]));
  const shown = prepared.steps.map((_, step) => stageAt(prepared, step, Infinity).display);
  expect(shown.map((display) => `${display?.hour ?? '_'}:${display?.minute ?? '_'}`)).toEqual(['_:_', '_:_', '4:_', '4:_', '4:30', '4:30']);
  expect(stageAt(prepared, prepared.steps.length - 1, Infinity).words).toEqual(['half past four', 'four thirty']);
  expect(narrationAt(prepared, 2)).toBe('The short hand has passed 4 and not reached 5 yet: the hour is 4.');
});

test('a count is written only when it has reached its minute', () => {
  const prepared = prepareLesson(lessonOf([{ kind: 'worked-example', timeSec: at(16, 30) }]));
  expect(stageAt(prepared, 4, 1500)).toMatchObject({ display: { minute: null }, dial: { marks: [{ type: 'count', toMinute: 10 }] } });
});

test('explanations follow the school: which hand first, the wording of the rule, and the hour after 12', () => {
  const texts = (beats: readonly PlayBeat[]) => beats.map((beat) => ('text' in beat ? beat.text : ''));
  const minuteFirst = texts(explain(at(12, 35), { ...DEFAULT_SETTINGS, readingOrder: 'minute-first', betweenRule: 'step-back' }));
  expect(minuteFirst.findIndex((text) => text.includes('long hand'))).toBeLessThan(
    minuteFirst.findIndex((text) => text.includes('short hand')),
  );
  expect(minuteFirst.join(' ')).toContain(
    'Step back to the numeral before the short hand: the hour is 12. After 12 the hours begin again at 1.',
  );
  expect(minuteFirst.join(' ')).toContain('25 minutes. Then it will be 1 o’clock.');
});

test('every minute of the day can be explained, and the explanation writes the right display', () => {
  for (let minute = 0; minute < 1440; minute += 7) {
    const prepared = prepareLesson(lessonOf([{ kind: 'worked-example', timeSec: toSecondOfDay(minute * 60) }]));
    const { display } = stageAt(prepared, prepared.steps.length - 1, Infinity);
    expect(Number(display!.hour) % 12).toBe(Math.floor(minute / 60) % 12);
    expect(Number(display!.minute)).toBe(minute % 60);
  }
});

test('think time runs down to nothing and no further', () => {
  const prepared = prepareLesson(lessonOf(ALL.slice(4, 6)));
  const left = [0, 4000, 10_000, 99_000].map((ms) => stageAt(prepared, 1, ms).countdown?.leftMs);
  expect(left).toEqual([10_000, 6000, 0, 0]);
});

test('while a question is asked its stage shows no display digits, words or reason; the answer shows them', () => {
  const prepared = prepareLesson(lessonOf(ALL.slice(4, 7)));
  expect(stageAt(prepared, 0, 0)).toMatchObject({ display: { hour: null, minute: null }, words: [], board: [] });
  expect(stageAt(prepared, 2, 0)).toMatchObject({
    display: { hour: '7', minute: '30' },
    words: ['half past seven', 'seven thirty'],
    stem: null,
  });
});

test.each<[string, Partial<Lesson>]>([
  ['LESSON_EMPTY', { beats: [] }],
  ['LESSON_ITEM_UNKNOWN', { beats: [{ kind: 'ask', itemId: 'q9', text: '' }] }],
  ['LESSON_BEAT_ORDER', { beats: [{ kind: 'answer', itemId: 'q1' }] }],
  [
    'LESSON_ITEM_TWICE',
    {
      items: [
        { id: 'q1', kind: 'read-dial', timeSec: 0 },
        { id: 'q1', kind: 'read-dial', timeSec: 60 },
      ],
    },
  ],
])('a lesson that cannot be played is refused with %s', (code, change) => {
  expect(() => prepareLesson({ ...lessonOf(ALL), ...change })).toThrow(expect.objectContaining({ code }));
});
