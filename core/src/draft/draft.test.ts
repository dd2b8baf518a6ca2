import { RUNG_IDS, RUNGS, type RungId } from '../ladder/registry.js';
import type { Rung } from '../ladder/rung.js';
import type { MisconceptionId } from '../misconceptions/registry.js';
import { predictionsBy } from '../question-kinds/predictions.js';
import { isAboutGoal } from '../ladder/goal.js';
import { isOnRung } from '../ladder/rung-times.js';
import { kindOf, type Item } from '../question-kinds/registry.js';
import { WORD_PACK_IDS } from '../words/registry.js';
import { narrationAt } from '../stage/player.js';
import { prepareLesson, totalMsOf } from '../lesson/prepare.js';
import type { Lesson } from '../lesson/lesson.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { draftLesson } from './draft.js';
import type { DraftWish } from './wish.js';
import { SITUATIONS, situationsAt } from './situations.js';

const wish = (change: Partial<DraftWish> = {}): DraftWish => ({
  rung: 'quarter-past',
  minutes: 15,
  delivery: 'live',
  settings: DEFAULT_SETTINGS,
  seed: 1,
  ...change,
});

/** Lessons of twenty minutes, each drafted once. */
const drafted = new Map<string, Lesson>();
function twentyMinutes(rung: RungId, seed: number): Lesson {
  const key = `${rung} ${seed}`;
  if (!drafted.has(key)) drafted.set(key, draftLesson(wish({ rung, minutes: 20, seed })));
  return drafted.get(key)!;
}

test.each(RUNG_IDS)('a draft on %s is within 5 %% of any length, on its rung, and asks in both directions', (rung) => {
  for (const [minutes, seed] of [
    [5, 1],
    [20, 2],
  ] as const) {
    const lesson = minutes === 20 ? twentyMinutes(rung, seed) : draftLesson(wish({ rung, minutes, seed }));
    const { totalMs, steps } = prepareLesson(lesson);
    expect([minutes, Math.abs(totalMs / (minutes * 60_000) - 1) <= 0.05]).toEqual([minutes, true]);
    expect(totalMsOf(lesson)).toBe(totalMs);
    const times = lesson.items.flatMap((item) => kindOf(item).timesOf(item));
    expect(isOnRung(RUNGS[rung], times)).toBe(true);
    // What is asked is what is taught: in most questions, and in the last one.
    const goal = lesson.items.filter((item) => isAboutGoal(rung, item)).length;
    expect([rung, minutes, goal / lesson.items.length >= (minutes > 5 ? 0.6 : 0.5)]).toEqual([rung, minutes, true]);
    expect(isAboutGoal(rung, lesson.items.at(-1)!)).toBe(true);
    expect(new Set(lesson.items.map(({ kind }) => kind)).size).toBeGreaterThanOrEqual(2);
    expect(steps[0]!.beat.kind).toBe('say');
    expect(steps.at(-1)!.beat.kind).toBe('say');
  }
});

test('no answer follows itself; tricky times are among the examples; other seeds give other times, the same seed the same lesson', () => {
  const lesson = draftLesson(wish({ rung: 'five-to', minutes: 20 }));
  const asked = lesson.items.map((item) => kindOf(item).timesOf(item)[0]! % 43_200);
  asked.slice(1).forEach((at, index) => expect(at).not.toBe(asked[index]));
  const examples = lesson.beats.flatMap((beat) => (beat.kind === 'worked-example' ? [beat.timeSec] : []));
  expect(examples).toEqual(expect.arrayContaining([7 * 3600 + 2400, 12 * 3600 + 2400])); // hands nearly together; 12:40
  expect(draftLesson(wish({ rung: 'five-to', minutes: 20 }))).toEqual(lesson);
  expect(draftLesson(wish({ rung: 'five-to', minutes: 20, seed: 2 })).items).not.toEqual(lesson.items);
});

test('a lesson is drafted in the language of its pack, from the first sentence to the last', () => {
  for (const pack of WORD_PACK_IDS) {
    const prepared = prepareLesson(draftLesson(wish({ minutes: 40, settings: { ...DEFAULT_SETTINGS, pack } })));
    const said = prepared.steps.map(({ ref }) => narrationAt(prepared, ref)).join(' ');
    expect(said).not.toMatch(pack === 'de' ? /\b(the|hand|hour|clock|your|it is)\b/i : /\b(der|die|ist|und|Uhr|Zeiger|deine)\b/);
  }
});

test('a recorded lesson says where to stop', () => {
  const { beats } = draftLesson(wish({ delivery: 'recorded' }));
  const pauses = beats.flatMap((beat) => (beat.kind === 'think' ? [beat.text] : []));
  for (const text of pauses) expect(text).toMatch(/stop|pause/i);
  pauses.slice(1).forEach((text, index) => expect(text).not.toBe(pauses[index]));
});

test('there are sixty situations and more, for every hour that children are awake, in every language', () => {
  expect(SITUATIONS.length).toBeGreaterThanOrEqual(60);
  for (let hour = 6; hour <= 20; hour++) expect(situationsAt(hour).length).toBeGreaterThanOrEqual(2);
  for (const { says, hours } of SITUATIONS) {
    expect(hours[0]).toBeLessThanOrEqual(hours[1]);
    for (const text of Object.values(says)) expect(text).toMatch(/^[A-ZÄÖÜ][^.]*[^.]$/);
  }
});

test('what the class holds is talked about, at a time where it matters; its own times are contexts; planned neighbours are named', () => {
  const lesson = draftLesson(
    wish({
      minutes: 40,
      insight: { misconceptions: ['sixty-at-top', 'hands-exchanged'] },
      daily: [{ atSec: 8 * 3600 + 900, text: 'the Terns feed the ducks' }],
      between: { before: 'whole-hours', after: 'five-past' },
    }),
  );
  const mistakes = lesson.beats.flatMap((beat) => (beat.kind === 'mistake' ? [beat.misconception] : []));
  expect(mistakes).toContain('hands-exchanged');
  const texts = lesson.beats.flatMap((beat) => ('text' in beat ? [beat.text] : [])).join(' ');
  expect(texts).toContain('The Terns feed the ducks. The clock shows when.');
  expect(texts).toContain('Last time: whole hours.');
  expect(texts).toContain('Next time: five-minute steps past the hour.');
});

test.each(RUNG_IDS)(
  'a draft on %s names its traps, asks nothing that was just shown and teaches nothing as new that was just asked',
  (rung) => {
    for (const seed of [1, 2]) {
      const { beats, items } = twentyMinutes(rung, seed);
      const onDial = (sec: number) => Math.floor((sec % 43_200) / 60);
      let [shown, asked] = [-1, -1];
      const opened: string[] = [];
      for (const beat of beats) {
        if (beat.kind === 'worked-example' || beat.kind === 'missing-hand') {
          expect([rung, seed, onDial(beat.timeSec) === asked]).toEqual([rung, seed, false]);
          shown = onDial(beat.timeSec);
        }
        if (beat.kind === 'show') shown = onDial(beat.build.timeSec);
        if (beat.kind === 'ask') {
          const item = items.find(({ id }) => id === beat.itemId)!;
          const times = kindOf(item).timesOf(item).map(onDial);
          // With twelve times and no more, one comes again soon.
          if (rung !== 'whole-hours') expect([rung, seed, item, times.includes(shown)]).toEqual([rung, seed, item, false]);
          asked = times[0] ?? -1;
          opened.push(beat.text);
        }
        if (beat.kind === 'think' && /both hands/.test(beat.text)) {
          const { kind } = items.find(({ id }) => id === beat.itemId)!;
          expect(['read-dial', 'possible-dial', 'explain-mistake']).toContain(kind);
        }
      }
      opened.slice(1).forEach((text, index) => expect(text).not.toBe(opened[index]));
      const said = beats.flatMap((beat) => (beat.kind === 'say' ? [beat.text] : [])).join(' ');
      const [{ why }] = RUNGS[rung].tricky as Rung['tricky'] as readonly [Rung['tricky'][number]];
      expect(said.includes(why.en) || RUNGS[rung].tricky.some((one) => said.includes(one.why.en))).toBe(true);
      expect(said).not.toContain('And this one?');
    }
  },
);

test('the usual ideas of a rung have their chances in a draft of twenty minutes', () => {
  for (const rung of RUNG_IDS) {
    const chances = [1, 2].flatMap((seed) => {
      const { items } = twentyMinutes(rung, seed);
      return (RUNGS[rung].misconceptions as readonly MisconceptionId[]).map(
        (id) => items.filter((item) => predictionsBy([id], item, DEFAULT_SETTINGS).has(id)).length,
      );
    });
    // Some ideas show at a few times only, which are not what the lesson is about.
    expect([rung, Math.min(...chances) >= 1]).toEqual([rung, true]);
    expect([rung, chances.filter((count) => count >= 3).length / chances.length >= 0.6]).toEqual([rung, true]);
  }
});

test('a lesson for a group talks about its idea, whatever the rung', () => {
  for (const rung of RUNG_IDS) {
    const usual: readonly MisconceptionId[] = RUNGS[rung].misconceptions;
    // The first one and the last one, which is the rarest.
    for (const misconception of [usual[0]!, usual.at(-1)!]) {
      const { beats } = draftLesson(wish({ rung, minutes: 5, insight: { misconceptions: [misconception] } }));
      const isTalk = beats.some(
        (beat) => (beat.kind === 'mistake' && beat.misconception === misconception) || (beat.kind === 'say' && /Many slip here/.test(beat.text)), // prettier-ignore
      );
      expect([rung, misconception, isTalk]).toEqual([rung, misconception, true]);
    }
  }
});

test('the questions that were chosen for a group are asked, as they are, before any others', () => {
  const items: Item[] = [
    { id: 'x1', kind: 'read-dial', timeSec: 9900 },
    { id: 'x2', kind: 'set-dial', timeSec: 27_900, from: 'words', hands: 'free' },
  ];
  const lesson = draftLesson(wish({ rung: 'quarter-to', minutes: 20, insight: { misconceptions: ['nearest-hour'], items } }));
  const asked = lesson.beats.flatMap((beat) => (beat.kind === 'ask' ? [lesson.items.find(({ id }) => id === beat.itemId)!] : []));
  const plain = (one: Item) => ({ ...one, id: '' });
  for (const item of items) expect(asked.map(plain)).toContainEqual(plain(item));
});

test('a long lesson has each part of the work: help that fades, a chart, all three ways with mistakes, paper, hands set from words and a display', () => {
  const { beats, successCriteria } = draftLesson(
    wish({ rung: 'five-to', minutes: 40, settings: { ...DEFAULT_SETTINGS, betweenRule: 'zone' } }),
  );
  const kinds = new Set(beats.map(({ kind }) => kind));
  for (const kind of [
    'set',
    'sweep',
    'layers',
    'chart',
    'worked-example',
    'mistake',
    'possible',
    'task',
    'ask',
    'think',
    'answer',
  ] as const)
    expect([kind, kinds.has(kind)]).toEqual([kind, true]);
  const from = beats.flatMap((beat) => (beat.kind === 'worked-example' ? [beat.from ?? 'dial'] : []));
  expect(new Set(from)).toEqual(new Set(['dial', 'words', 'display']));
  const fade = beats.findIndex((beat) => beat.kind === 'layers' && beat.lasts);
  expect(
    beats.slice(0, fade).some(({ kind }) => kind === 'worked-example') && beats.slice(fade).some(({ kind }) => kind === 'worked-example'),
  ).toBe(true);
  expect(successCriteria.slice(0, 2)).toEqual([
    'I look at the short hand first, then at the long one.',
    'The hour is the zone that the short hand is in.',
  ]);
});
