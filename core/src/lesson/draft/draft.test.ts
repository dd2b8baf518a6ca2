import { RUNG_IDS, RUNGS } from '../../ladder/registry.js';
import { isOnRung } from '../../ladder/rung.js';
import { kindOf, type Item } from '../../question-kinds/registry.js';
import { minuteOfHour } from '../../time/second-of-day.js';
import { WORD_PACK_IDS } from '../../words/registry.js';
import { narrationAt } from '../player.js';
import { prepareLesson } from '../prepare.js';
import { DEFAULT_SETTINGS } from '../settings.js';
import { draftLesson, type DraftWish } from './draft.js';
import { SITUATIONS, situationsAt } from './situations.js';

const wish = (change: Partial<DraftWish> = {}): DraftWish => ({
  rung: 'quarter-past',
  minutes: 15,
  delivery: 'live',
  settings: DEFAULT_SETTINGS,
  seed: 1,
  ...change,
});

test.each(RUNG_IDS)('a draft on %s is within 5 %% of any length, on its rung, and asks in both directions', (rung) => {
  for (const [minutes, seed] of [
    [5, 1],
    [20, 2],
    [40, 1],
  ] as const) {
    const lesson = draftLesson(wish({ rung, minutes, seed }));
    const { totalMs, steps } = prepareLesson(lesson);
    expect([minutes, Math.abs(totalMs / (minutes * 60_000) - 1) <= 0.05]).toEqual([minutes, true]);
    const times = lesson.items.flatMap((item) => kindOf(item).timesOf(item));
    expect(isOnRung(RUNGS[rung], times)).toBe(true);
    expect(times.filter((at) => RUNGS[rung].newMinutes.includes(minuteOfHour(at))).length).toBeGreaterThanOrEqual(0.3 * times.length);
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
  expect(examples).toEqual(expect.arrayContaining([7 * 3600 + 2400, 2400])); // hands nearly together; 12:40
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
  for (const beat of beats) if (beat.kind === 'think') expect(beat.text).toContain('Stop the recording here');
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
