import fc from 'fast-check';
import { actsOf } from '../misconceptions/distorted-acts.js';
import { describeDial } from '../scene/describe-stage.js';
import { dialOf } from '../scene/dial-state.js';
import { RUNG_IDS, RUNGS } from '../ladder/registry.js';
import { DEFAULT_SETTINGS, type LessonSettings } from '../lesson/settings.js';
import { MISCONCEPTION_IDS, type MisconceptionId } from '../misconceptions/registry.js';
import { seededRng } from '../random/rng.js';
import { minuteDigits } from '../time/display.js';
import { hour12, hour24, minuteOfHour, toSecondOfDay, type SecondOfDay } from '../time/second-of-day.js';
import { WORD_PACKS, type WordPackId } from '../words/registry.js';
import { say } from '../words/say.js';
import { markOf } from './marking.js';
import { canBeGiven, kindOf, QUESTION_KINDS, type Item, type ItemOf, type QuestionKindId, type Response } from './registry.js';
import { predictionsOf } from './predictions.js';
import { isRightVerdict } from './verdict.js';

// A right answer is never called wrong, however it is written, nor a wrong one right: over all times, packs and orders.

const EVERY_MINUTE = Array.from({ length: 1440 }, (_, minute) => toSecondOfDay(minute * 60));
const PACKS = Object.keys(WORD_PACKS) as WordPackId[];
const inPack = (pack: WordPackId): LessonSettings => ({ ...DEFAULT_SETTINGS, pack });
const verdictOf = (item: Item, response: Response, settings = DEFAULT_SETTINGS) => markOf(item, response, settings).verdict;
const sampleOf = <Id extends QuestionKindId>(id: Id, place = 0) => QUESTION_KINDS[id].samples[place] as ItemOf<Id>;

test.each(PACKS)('every wording of every minute is right in %s, those of other minutes are not', (pack) => {
  const settings = inPack(pack);
  for (const at of EVERY_MINUTE) {
    const item: Item = { id: 'q', kind: 'write-words', timeSec: at, from: 'dial', lines: 1 };
    for (const words of say(at, WORD_PACKS[pack])) {
      expect([words, verdictOf(item, { kind: 'write-words', lines: [words] }, settings)]).toEqual([words, 'right']);
    }
    const other = toSecondOfDay((at + 3660) % 86_400);
    for (const words of say(other, WORD_PACKS[pack]))
      expect(verdictOf(item, { kind: 'write-words', lines: [words] }, settings)).toBe('not-yet');
  }
});

test('lines are free in their order; the same wording twice is one, and digits are no words', () => {
  const item: Item = { id: 'q', kind: 'write-words', timeSec: 56_700, from: 'dial', lines: 2 };
  const lines = (...given: string[]) => verdictOf(item, { kind: 'write-words', lines: given });
  expect(lines('quarter to four', 'three forty-five')).toBe('right');
  expect(lines('Three forty five.', 'quater to for')).toBe('right');
  expect(lines('quarter to four', 'Quarter to four!')).toBe('partly');
  expect(lines('3:45', 'quarter to four')).toBe('right-other-form');
  expect(lines('quarter to four', '')).toBe('partly');
  expect(lines('quarter past four', 'four fifteen')).toBe('not-yet');
  expect(lines('', '  ')).toBe('blank');
  expect(markOf({ ...item, lines: 1 }, { kind: 'write-words', lines: ['quarter to three'] }, DEFAULT_SETTINGS).misconceptions).toContain(
    'to-keeps-hour',
  );
});

test('a typed time is right exactly where hour and minutes are, on the dial and of 24', () => {
  fc.assert(
    fc.property(fc.constantFrom(...EVERY_MINUTE), fc.nat(29), fc.nat(69), (at, hour, minute) => {
      const typed = { hour: String(hour), minute: minuteDigits(minute) };
      const isMinute = minute === minuteOfHour(at);
      const onDial = isMinute && hour <= 23 && (hour % 12 || 12) === hour12(at);
      expect(isRightVerdict(verdictOf({ id: 'q', kind: 'read-dial', timeSec: at }, { kind: 'read-dial', ...typed }))).toBe(onDial);
      expect(isRightVerdict(verdictOf({ id: 'q', kind: 'write-display', timeSec: at }, { kind: 'write-display', ...typed }))).toBe(onDial);
      const to24 = verdictOf({ id: 'q', kind: 'convert-24', timeSec: at, to: '24' }, { kind: 'convert-24', ...typed });
      expect(isRightVerdict(to24)).toBe(isMinute && hour === hour24(at));
      const to12 = verdictOf({ id: 'q', kind: 'convert-24', timeSec: at, to: '12' }, { kind: 'convert-24', ...typed });
      expect(isRightVerdict(to12)).toBe(isMinute && hour === hour12(at));
    }),
    { numRuns: 2000 },
  );
});

test('from the short hand alone ten minutes either way are about right, over the full hour too', () => {
  const item = (timeSec: SecondOfDay): Item => ({ id: 'q', kind: 'hour-hand-alone', timeSec });
  const give = (at: SecondOfDay, hour: string, minute: string) => verdictOf(item(at), { kind: 'hour-hand-alone', hour, minute });
  expect(give(toSecondOfDay(28_500), '8', '00')).toBe('right'); // 7:55
  expect(give(toSecondOfDay(28_500), '8', '10')).toBe('not-yet');
  expect(give(toSecondOfDay(45_000), '12', '25')).toBe('right');
  expect(give(toSecondOfDay(45_000), '1', '30')).toBe('partly');
  expect(give(toSecondOfDay(43_200), '11', '52')).toBe('right');
  expect(give(toSecondOfDay(43_200), '99', '00')).toBe('not-yet');
});

test('what lasts is right as a sum; an hour of a hundred minutes is blamed on that idea', () => {
  const item = { id: 'q', kind: 'later-earlier', startSec: 10_200, minutes: 20, asks: 'length' } as const; // 2:50 to 3:10
  const give = (hour: string, minute: string) => markOf(item, { kind: 'later-earlier', hour, minute }, DEFAULT_SETTINGS);
  expect(give('', '20').verdict).toBe('right');
  expect(give('0', '20').verdict).toBe('right');
  expect(give('1', '00').misconceptions).toEqual(['hour-as-hundred']);
  expect(give('0', '60').misconceptions).toEqual(['hour-as-hundred']);
  const long = { ...item, minutes: 90 };
  expect(verdictOf(long, { kind: 'later-earlier', hour: '0', minute: '90' })).toBe('right-other-form');
  expect(verdictOf(long, { kind: 'later-earlier', hour: '1', minute: '30' })).toBe('right');
});

test('12 and two hours on: 2 o’clock is right, 14 is right in time and goes on counting', () => {
  const item = { id: 'q', kind: 'later-earlier', startSec: 43_200, minutes: 120, asks: 'end' } as const;
  expect(verdictOf(item, { kind: 'later-earlier', hour: '2', minute: '00' })).toBe('right');
  const mark = markOf(item, { kind: 'later-earlier', hour: '14', minute: '00' }, DEFAULT_SETTINGS);
  expect(mark).toMatchObject({ verdict: 'partly', misconceptions: ['no-wrap-at-12'], sayToPupil: 'After 12 the hours begin again at 1.' });
});

/** An item of a kind with what is given to it, as one table: the idea that stands behind a wrong answer. */
test.each<[string, Item, Response, MisconceptionId]>([
  [
    'between 6 and 9 both ends are counted',
    { id: 'q', kind: 'later-earlier', startSec: 21_600, minutes: 180, asks: 'length' },
    { kind: 'later-earlier', hour: '4', minute: '0' },
    'fence-post',
  ],
  [
    'later goes back',
    { id: 'q', kind: 'later-earlier', startSec: 36_000, minutes: 60, asks: 'end' },
    { kind: 'later-earlier', hour: '9', minute: '00' },
    'wrong-direction',
  ],
  [
    '15:00 less ten',
    { id: 'q', kind: 'convert-24', timeSec: 54_000, to: '12' },
    { kind: 'convert-24', hour: '5', minute: '00' },
    '24-minus-ten',
  ],
  ['half past midnight is after noon', sampleOf('half-of-day', 2), { kind: 'half-of-day', chosen: [1] }, 'midnight-noon-exchanged'],
  [
    'a quarter of an hour is 25',
    { id: 'q', kind: 'units', asks: 'minutes-in-quarter' },
    { kind: 'units', values: ['25'] },
    'quarter-is-25',
  ],
  ['a day has one round', { id: 'q', kind: 'units', asks: 'hours-in-day' }, { kind: 'units', values: ['12'] }, 'once-round-a-day'],
  [
    'the face is filled the other way',
    { id: 'q', kind: 'fill-face', gaps: [2, 7] },
    { kind: 'fill-face', values: ['10', '5'] },
    'counts-other-way',
  ],
  [
    'the 7 is seven minutes',
    { id: 'q', kind: 'ring-minutes', numerals: [7] },
    { kind: 'ring-minutes', values: ['7'] },
    'numeral-as-minutes',
  ],
  ['the hands’ names are exchanged', sampleOf('label-parts'), { kind: 'label-parts', pairs: [0, 1] }, 'hands-exchanged'],
  ['12:30 comes last', sampleOf('order-times'), { kind: 'order-times', order: [0, 2, 1] }, 'no-wrap-at-12'],
  [
    'the row goes on 12, 13, 14',
    sampleOf('pattern', 1),
    {
      kind: 'pattern',
      times: [
        { hour: '13', minute: '00' },
        { hour: '14', minute: '00' },
      ],
    },
    'no-wrap-at-12',
  ],
  ['evening is put in the morning', sampleOf('place-on-line', 3), { kind: 'place-on-line', atSec: 27_000 }, 'am-pm-exchanged'],
  ['quarter to four is put at a quarter past', sampleOf('place-on-line', 1), { kind: 'place-on-line', atSec: 54_900 }, 'to-as-past'],
  [
    'an hour hand left on its numeral looks right',
    sampleOf('possible-dial'),
    { kind: 'possible-dial', chosen: [0] },
    'hour-hand-on-numeral',
  ],
  ['a right dial looks wrong to the same', sampleOf('possible-dial', 1), { kind: 'possible-dial', chosen: [1] }, 'hour-hand-on-numeral'],
  ['nothing is wrong with one’s own mistake', sampleOf('explain-mistake'), { kind: 'explain-mistake', chosen: [3] }, 'nearest-hour'],
  [
    'ten past seven is written as heard',
    { id: 'q', kind: 'write-display', timeSec: 25_800 },
    { kind: 'write-display', hour: '10', minute: '07' },
    'written-as-heard',
  ],
  [
    'quarter past four is 4:25',
    { id: 'q', kind: 'write-display', timeSec: 58_500 },
    { kind: 'write-display', hour: '4', minute: '25' },
    'quarter-is-25',
  ],
])('%s', (_, item, response, idea) => {
  const mark = markOf(item, response, DEFAULT_SETTINGS);
  expect(mark.misconceptions).toContain(idea);
  expect(isRightVerdict(mark.verdict)).toBe(false);
});

test('whoever is not sure may say so to any question: it is kept, marked blank, and nobody is blamed', () => {
  for (const kind of Object.values(QUESTION_KINDS)) {
    for (const item of kind.samples as readonly Item[]) {
      expect(canBeGiven(item, { kind: 'not-sure' }, DEFAULT_SETTINGS)).toBe(true);
      const mark = markOf(item, { kind: 'not-sure' }, DEFAULT_SETTINGS);
      expect(mark).toMatchObject({ verdict: 'blank', misconceptions: [] });
      expect(mark.sayToPupil).toMatch(/^Good that you told me\. [A-Z].*[.?]$/);
    }
  }
});

test('distractors come from named ideas: each wrong choice is what one of them takes, all are different, and few are enough', () => {
  for (const id of ['choose-one', 'choose-all'] as const) {
    for (const rung of RUNG_IDS) {
      for (let seed = 0; seed < 12; seed++) {
        const item = QUESTION_KINDS[id].make('q', seededRng(seed), RUNGS[rung], DEFAULT_SETTINGS) as Item & { choices: readonly unknown[] };
        const kind = kindOf(item);
        const key = (kind.keyOf(item, DEFAULT_SETTINGS) as unknown as { chosen: number[] }).chosen;
        const wrong = item.choices.map((_, place) => place).filter((place) => !key.includes(place));
        const taken = new Set(
          [...predictionsOf(item, DEFAULT_SETTINGS).values()]
            .flat()
            .flatMap((response) => (response as unknown as { chosen: readonly number[] }).chosen),
        );
        expect(new Set(item.choices.map((choice) => JSON.stringify(choice))).size).toBe(item.choices.length);
        expect(wrong.length).toBeGreaterThan(0);
        for (const place of wrong) expect([item, place, taken.has(place)]).toEqual([item, place, true]);
      }
    }
  }
});

test('an idea that changes none of the acts of a task makes no difference to it', () => {
  for (const kind of Object.values(QUESTION_KINDS)) {
    for (const item of (kind.samples as readonly Item[]).slice(0, 3)) {
      const acts = new Set<string>(kindOf(item).doing(item));
      for (const id of MISCONCEPTION_IDS) {
        const right = actsOf([], DEFAULT_SETTINGS);
        const own = actsOf([id], DEFAULT_SETTINGS);
        // Only what the task says it takes is distorted.
        const others = Object.fromEntries(
          Object.entries(own).map(([act, does]) => [act, acts.has(act) ? right[act as keyof typeof right] : does]),
        );
        const given = kindOf(item).predict(item, others as unknown as typeof own, DEFAULT_SETTINGS);
        expect([item.kind, id, given]).toEqual([item.kind, id, kindOf(item).predict(item, right, DEFAULT_SETTINGS)]);
      }
    }
  }
});

const hostile = fc.oneof(
  fc.constantFrom('', '   ', '7:30', '٧:٣٠', '７：３０', 'NaN', '-7', '<img src=x onerror=alert(1)>', '\u0000', '🕢', 'x'.repeat(10_000)),
  fc.string({ unit: 'grapheme', maxLength: 200 }),
);

test('whatever is typed gets a verdict, and nothing that is no time is right', () => {
  const item: Item = { id: 'q', kind: 'write-words', timeSec: 27_000, from: 'dial', lines: 1 };
  fc.assert(
    fc.property(hostile, hostile, (one, other) => {
      const words = markOf(item, { kind: 'write-words', lines: [one] }, DEFAULT_SETTINGS);
      expect(words.sayToPupil.length).toBeGreaterThan(5);
      expect(words.sayToPupil).not.toContain('<img');
      const typed = markOf(
        { id: 'q', kind: 'read-dial', timeSec: 27_000 },
        { kind: 'read-dial', hour: one, minute: other },
        DEFAULT_SETTINGS,
      );
      if (isRightVerdict(typed.verdict)) expect([Number(one) % 12, Number(other)]).toEqual([7, 30]);
    }),
  );
  for (const digits of ['٧:٣٠', '７：３０']) expect(verdictOf(item, { kind: 'write-words', lines: [digits] })).toBe('right-other-form');
});

test('the dials that are shown are described by where their hands are, never by the time', () => {
  for (const kind of Object.values(QUESTION_KINDS)) {
    for (const item of kind.samples as readonly Item[]) {
      const { dial } = kindOf(item).viewOf(item, DEFAULT_SETTINGS).picture;
      if (!dial) continue;
      const described = describeDial(dialOf(dial, dial.layers, dial.letters));
      expect(described).toMatch(/^A clock dial/);
      expect(described).not.toMatch(/\d:\d|o’clock|past (one|two|three|four|five|six)|half|quarter/);
    }
  }
});
