import fc from 'fast-check';
import { coherenceOf } from '../dial/coherence.js';
import { gearedPose } from '../dial/pose.js';
import { CLEAR_STAGE, keepOnStage, type StageState } from '../scene/stage-state.js';
import { NEW_BUILD, stageOfBuild } from './dial-build.js';
import { secondOfDay, toSecondOfDay } from '../time/second-of-day.js';
import { type BEAT_KINDS, beatKindOf, type NewBeat, type PlayBeat } from '../beats/registry.js';
import { explain, type ExplainStep } from './explain.js';
import type { Lesson } from '../lesson/lesson.js';
import { narrationAt, stageAt } from './player.js';
import { prepareLesson, stepIndex, type PreparedLesson } from '../lesson/prepare.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { ONLY_STEP } from '../lesson/step-ref.js';
import { lessonWith, numbered } from '../testing/lessons.js';

const at = secondOfDay;

/** The stage at a step by its number. */
const stageOf = (prepared: PreparedLesson, step: number, elapsedMs: number) => stageAt(prepared, prepared.steps[step]!.ref, elapsedMs);
const lessonOf = (beats: readonly NewBeat[], settings: Partial<Lesson['settings']> = {}) =>
  lessonWith({
    settings: { ...DEFAULT_SETTINGS, ...settings },
    items: [
      { id: 'q1', kind: 'read-dial', timeSec: at(7, 30) },
      { id: 'q2', kind: 'set-dial', timeSec: at(2, 30), from: 'words', hands: 'geared' },
    ],
    beats: numbered(beats),
  });
const SWEEP: NewBeat = {
  kind: 'sweep',
  fromSec: at(10, 0),
  toSec: at(11, 0),
  turnSeconds: 20,
  count: 'fives',
  stops: [{ atSec: at(10, 30), prompt: 'Look at the short hand.' }],
  text: 'Count with me.',
};
const ALL: NewBeat[] = [
  { kind: 'set', timeSec: at(4, 0), display: 'full', words: true, text: 'Four o’clock.' },
  SWEEP,
  { kind: 'mark', marks: [{ type: 'count', toMinute: 60, by: 15 }], text: 'Quarters.', board: 'Four quarters.' },
  { kind: 'worked-example', timeSec: at(12, 35) },
  { kind: 'ask', itemId: 'q1', text: 'Your turn.' },
  { kind: 'think', itemId: 'q1', seconds: 10, text: '' },
  { kind: 'answer', itemId: 'q1' },
  { kind: 'say', text: 'Well done.' },
];

test('each step begins with what it keeps of the stage that the one before it left', () => {
  const prepared = prepareLesson(lessonOf(ALL));
  for (let step = 1; step < prepared.steps.length; step++) {
    const { beat, before } = prepared.steps[step]!;
    expect(before).toEqual(keepOnStage(stageOf(prepared, step - 1, Infinity), beatKindOf(beat).keeps));
    expect(prepared.steps[step]!.startMs).toBe(prepared.steps[step - 1]!.startMs + prepared.steps[step - 1]!.durationMs);
  }
});

test('the same moment always looks the same, and a step that has settled stays as it is', () => {
  const prepared = prepareLesson(lessonOf(ALL));
  fc.assert(
    fc.property(fc.nat(prepared.steps.length - 1), fc.integer({ min: 0, max: 200_000 }), (step, elapsedMs) => {
      expect(stageOf(prepared, step, elapsedMs)).toEqual(stageOf(prepareLesson(lessonOf(ALL)), step, elapsedMs));
      expect(stageOf(prepared, step, 3_600_000)).toEqual(stageOf(prepared, step, Infinity));
    }),
    { numRuns: 60 },
  );
});

test('a sweep moves geared hands at every moment, waits at its stop with the prompt, and ends on its goal', () => {
  const prepared = prepareLesson(lessonOf([ALL[0]!, SWEEP]));
  for (let ms = 0; ms < 30_000; ms += 37) expect(coherenceOf(stageOf(prepared, 1, ms).dial!.pose).residualDeg).toBeLessThan(1e-6);
  const waiting = stageOf(prepared, 1, 10_500);
  expect(waiting).toMatchObject({ board: ['Look at the short hand.'], display: { hour: '10', minute: '30' } });
  expect(waiting.dial).toMatchObject({ pose: { minuteDeg: 180 }, marks: [{ type: 'count', toMinute: 30, by: 5 }] });
  expect(stageOf(prepared, 1, Infinity).dial!.pose).toEqual(gearedPose(at(11, 0)));
});

test('a fast sweep blurs into a trail, and its display changes at most three times a second', () => {
  const prepared = prepareLesson(lessonOf([ALL[0]!, { ...SWEEP, turnSeconds: 5, count: 'ones', stops: [] }]));
  const moments = Array.from({ length: 500 }, (_, frame) => stageOf(prepared, 1, frame * 10));
  const shown = moments.map(({ display }) => `${display!.hour}:${display!.minute}`);
  for (let from = 0; from + 100 < shown.length; from += 10) {
    const second = shown.slice(from, from + 100);
    expect(second.filter((text, index) => index > 0 && text !== second[index - 1]).length).toBeLessThanOrEqual(3);
  }
  expect(moments[250]!.dial!.trailDeg).toBeGreaterThan(0);
  expect(stageOf(prepared, 1, Infinity)).toMatchObject({
    display: { hour: '11', minute: '00' },
    dial: { trailDeg: 0 },
  });
});

test('a sweep goes backwards too', () => {
  const prepared = prepareLesson(lessonOf([{ ...SWEEP, fromSec: at(3, 10), toSec: at(2, 50), count: 'none', stops: [] }]));
  expect(stageOf(prepared, 0, Infinity).dial!.pose).toEqual(gearedPose(at(2, 50)));
  expect(stageOf(prepared, 0, 100).dial!.pose.hourDeg).toBeLessThan(gearedPose(at(3, 10)).hourDeg);
});

test('the worked example of 4:30 fills the display in step by step and ends in words', () => {
  const prepared = prepareLesson(lessonOf([{ kind: 'worked-example', timeSec: at(16, 30) }]));
  const shown = prepared.steps.map((_, step) => stageOf(prepared, step, Infinity).display);
  expect(shown.map((display) => `${display?.hour ?? '_'}:${display?.minute ?? '_'}`)).toEqual(['_:_', '_:_', '4:_', '4:_', '4:30', '4:30']);
  expect(stageOf(prepared, prepared.steps.length - 1, Infinity).words).toEqual(['half past four', 'four thirty']);
  expect(narrationAt(prepared, { beatId: 'b1', step: 'hour' })).toBe('It has passed 4 but not 5: the hour is 4.');
});

test('a count is written only when it has reached its minute', () => {
  const prepared = prepareLesson(lessonOf([{ kind: 'worked-example', timeSec: at(16, 20) }]));
  expect(stageOf(prepared, 4, 1500)).toMatchObject({ display: { minute: null }, dial: { marks: [{ type: 'count', toMinute: 10 }] } });
});

test('explanations follow the school: which hand first, the wording of the rule, and the hour after 12', () => {
  const texts = (steps: readonly ExplainStep[]) => steps.map(({ beat }) => beat.text);
  const minuteFirst = texts(explain(at(12, 35), { ...DEFAULT_SETTINGS, readingOrder: 'minute-first', betweenRule: 'step-back' }));
  expect(minuteFirst.findIndex((text) => text.includes('long hand'))).toBeLessThan(
    minuteFirst.findIndex((text) => text.includes('short hand')),
  );
  expect(minuteFirst.join(' ')).toContain('Step back to the numeral before it: that is 12.');
  expect(minuteFirst.join(' ')).toContain('25 minutes to go until 1 o’clock.');
});

test('every minute of the day can be explained, and the explanation writes the right display', () => {
  for (let minute = 0; minute < 1440; minute += 7) {
    const prepared = prepareLesson(lessonOf([{ kind: 'worked-example', timeSec: toSecondOfDay(minute * 60) }]));
    const { display } = stageOf(prepared, prepared.steps.length - 1, Infinity);
    expect(Number(display!.hour) % 12).toBe(Math.floor(minute / 60) % 12);
    expect(Number(display!.minute)).toBe(minute % 60);
  }
});

test('think time runs down to nothing and no further', () => {
  const prepared = prepareLesson(lessonOf(ALL.slice(4, 6)));
  const left = [0, 4000, 10_000, 99_000].map((ms) => stageOf(prepared, 1, ms).countdown?.leftMs);
  expect(left).toEqual([10_000, 6000, 0, 0]);
});

test('while a question is asked its stage shows no display digits, words or reason; the answer shows them', () => {
  const prepared = prepareLesson(lessonOf(ALL.slice(4, 7)));
  expect(stageOf(prepared, 0, 0)).toMatchObject({ display: { hour: null, minute: null }, words: [], board: [] });
  expect(stageOf(prepared, 2, 0)).toMatchObject({
    display: { hour: '7', minute: '30' },
    words: ['half past seven', 'seven thirty'],
    stem: null,
  });
});

test.each<[string, Partial<Lesson>]>([
  ['LESSON_EMPTY', { beats: [] }],
  ['LESSON_ITEM_UNKNOWN', { beats: numbered([{ kind: 'ask', itemId: 'q9', text: '' }]) }],
  ['LESSON_BEAT_ORDER', { beats: numbered([{ kind: 'answer', itemId: 'q1' }]) }],
  [
    'LESSON_BEAT_TWICE',
    {
      beats: [
        { id: 'b1', kind: 'say', text: '' },
        { id: 'b1', kind: 'say', text: '' },
      ],
    },
  ],
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

describe('places in a lesson have names', () => {
  const prepared = prepareLesson(lessonOf(ALL));

  test('a place stays where it is when beats come and go around it', () => {
    const place = { beatId: 'b5', step: ONLY_STEP };
    const extra = { id: 'new', kind: 'say', text: 'One more.' } as const;
    const longer = prepareLesson({
      ...prepared.lesson,
      beats: [extra, { ...extra, id: 'newer' }, ...prepared.lesson.beats.filter(({ id }) => id !== 'b2')],
    });
    expect(stageAt(longer, place, Infinity)).toEqual(stageAt(prepared, place, Infinity));
    expect(stepIndex(longer, place)).not.toBe(stepIndex(prepared, place));
  });

  test('every step has a name of its own; a step that its beat has no more is the beat’s first; an unknown beat is refused', () => {
    expect(new Set(prepared.steps.map(({ ref }) => `${ref.beatId} ${ref.step}`)).size).toBe(prepared.steps.length);
    expect(stepIndex(prepared, { beatId: 'b4', step: 'a step of an older version' })).toBe(
      stepIndex(prepared, { beatId: 'b4', step: 'look' }),
    );
    expect(() => stepIndex(prepared, { beatId: 'gone', step: ONLY_STEP })).toThrow(
      expect.objectContaining({ code: 'ROOM_POSITION_RANGE' }),
    );
  });
});

describe('one stage, nothing left over', () => {
  /** A stage with something of every part on it. */
  const full: StageState = {
    ...stageOfEverything(),
    board: ['left over'],
    stem: 'left over',
    chart: { title: 'left over', entries: [], lines: [] },
    countdown: { totalMs: 1, leftMs: 1 },
  };
  const { context } = prepareLesson(lessonOf(ALL));
  const beats: Record<keyof typeof BEAT_KINDS, PlayBeat> = {
    say: { kind: 'say', text: 'Look.' },
    set: { kind: 'set', timeSec: at(4, 0), display: 'none', words: false, text: '' },
    show: { kind: 'show', build: { ...NEW_BUILD, display: 'none' }, text: '' },
    sweep: SWEEP as PlayBeat,
    mark: { kind: 'mark', marks: [], text: '' },
    ask: { kind: 'ask', itemId: 'q1', text: '' },
    think: { kind: 'think', itemId: 'q2', seconds: 9, text: '' },
    answer: { kind: 'answer', itemId: 'q2' },
    layers: { kind: 'layers', layers: { minuteRing: 'none' }, lasts: false, text: '' },
    chart: { kind: 'chart', rung: 'half-past', text: '' },
    task: { kind: 'task', sheet: 'Sheet 1', text: 'Draw the hands.', withoutPrinter: '', seconds: 60 },
    verse: { kind: 'verse', lines: [{ text: 'The lamp is lit at eight', timeSec: at(8, 0) }] },
    'daily-card': { kind: 'daily-card', pattern: { firstSec: at(8, 0), stepsMin: [30] }, since: 2, card: 2, text: '' },
  };
  const parts = Object.keys(CLEAR_STAGE) as (keyof StageState)[];

  test.each(Object.entries(beats))('%s shows the same whatever was there before, but for what it says it keeps', (_, beat) => {
    const kind = beatKindOf(beat);
    for (const elapsedMs of [0, 1000, Infinity]) {
      const onClear = kind.at(CLEAR_STAGE, beat, elapsedMs, context);
      const onFull = kind.at(keepOnStage(full, kind.keeps), beat, elapsedMs, context);
      for (const part of parts) if (!kind.keeps.includes(part)) expect([part, onFull[part]]).toEqual([part, onClear[part]]);
      // What it keeps is there, unless the beat itself puts something in its place.
      for (const part of kind.keeps)
        if (onClear[part] === CLEAR_STAGE[part]) expect([part, onFull[part]]).not.toEqual([part, CLEAR_STAGE[part]]);
    }
  });

  test('in a lesson of any two beats the second is seen as it is alone, with what it keeps', () => {
    const kinds = fc.constantFrom(...Object.values(beats).filter((beat) => beat.kind !== 'verse' && beat.kind !== 'daily-card'));
    fc.assert(
      fc.property(kinds, kinds, (first, second) => {
        const opening: NewBeat[] = [
          { kind: 'show', build: { ...NEW_BUILD, bands: ['day-line'], words: 'all' }, text: '' },
          { kind: 'ask', itemId: 'q1', text: '' },
          { kind: 'ask', itemId: 'q2', text: '' },
        ];
        const prepared = prepareLesson(lessonOf([...opening, first, second] as NewBeat[]));
        const [, , , one, two] = prepared.steps;
        const kept = keepOnStage(stageAt(prepared, one!.ref, Infinity), beatKindOf(second).keeps);
        expect(stageAt(prepared, two!.ref, Infinity)).toEqual(beatKindOf(second).at(kept, second, Infinity, prepared.context));
        if (beatKindOf(second).keeps.length === 0) {
          const alone = prepareLesson(lessonOf([...opening, second] as NewBeat[]));
          expect(stageAt(prepared, two!.ref, Infinity)).toEqual(stageAt(alone, alone.steps[3]!.ref, Infinity));
        }
      }),
    );
  });

  function stageOfEverything(): StageState {
    const build = { ...NEW_BUILD, beside: [{ pose: NEW_BUILD.freePose, layers: NEW_BUILD.layers, marks: [] }], place: 1 };
    return stageOfBuild({ ...build, bands: ['day-line', 'strip-quarters'], words: 'all' });
  }
});
