import { isNever, SITUATIONS, situationsAt } from '../draft/situations.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { RUNGS } from '../ladder/registry.js';
import { QUESTION_KINDS } from '../question-kinds/registry.js';
import { withDayPart } from '../question-kinds/kind-talk.js';
import { seededRng } from '../random/rng.js';
import { secondOfDay, toSecondOfDay } from '../time/second-of-day.js';
import { isNoonOrMidnight, PARTS_OF_DAY, partOfDay } from './parts-of-day.js';
import { WORD_PACKS } from './registry.js';
import { say } from './say.js';

test.each([
  [0, 0, 'midnight', 'um Mitternacht'],
  [0, 1, 'at night', 'nachts'],
  [4, 59, 'at night', 'nachts'],
  [5, 0, 'in the morning', 'morgens'],
  [9, 59, 'in the morning', 'morgens'],
  [11, 55, 'in the morning', 'vormittags'],
  [12, 0, 'noon', 'mittags'],
  [12, 15, 'in the afternoon', 'mittags'],
  [14, 0, 'in the afternoon', 'nachmittags'],
  [17, 59, 'in the afternoon', 'nachmittags'],
  [18, 0, 'in the evening', 'abends'],
  [22, 0, 'at night', 'abends'],
  [23, 0, 'at night', 'nachts'],
])('%i:%i is %s, in German %s: in questions as in words', (hour, minute, en, de) => {
  const at = secondOfDay(hour, minute);
  expect([partOfDay(at, 'en').words, partOfDay(at, 'de').words]).toEqual([en, de]);
  expect(withDayPart(at, DEFAULT_SETTINGS).endsWith(` ${en}`)).toBe(true);
  expect(withDayPart(at, { ...DEFAULT_SETTINGS, pack: 'de' })).toMatch(new RegExp(` Uhr ${de}$`));
  expect(say(at, WORD_PACKS['en-GB'], 'half-day').every((words) => words.endsWith(en))).toBe(true);
});

test('the parts of a day follow each other from midnight on', () => {
  for (const parts of Object.values(PARTS_OF_DAY)) {
    expect(parts[0]!.fromMin).toBe(0);
    parts.slice(1).forEach(({ fromMin }, index) => expect(fromMin).toBeGreaterThan(parts[index]!.fromMin));
  }
});

test('what is usual can be defended; there is something for every hour that children are awake', () => {
  for (const situation of SITUATIONS) {
    for (let hour = situation.hours[0]; hour <= situation.hours[1]; hour++) expect([situation.says.en, isNever(situation, secondOfDay(hour, 0))]).toEqual([situation.says.en, false]); // prettier-ignore
  }
  for (let hour = 7; hour <= 18; hour++) expect(situationsAt(hour).some(({ isMet }) => isMet)).toBe(true);
});

const byWords = new Map(SITUATIONS.map((one) => [one.says.en, one]));

test('no question about the half of the day can be answered otherwise by somebody with another day, and none is about noon itself', () => {
  for (const rung of [RUNGS['day-line'], RUNGS['hours-24']]) {
    for (let seed = 0; seed < 300; seed++) {
      const asked = QUESTION_KINDS['half-of-day'].make('q', seededRng(seed), rung, DEFAULT_SETTINGS);
      expect(isNoonOrMidnight(toSecondOfDay(asked.timeSec))).toBe(false);
      const known = byWords.get(asked.event);
      if (known) expect([asked, isNever(known, toSecondOfDay((asked.timeSec + 43_200) % 86_400))]).toEqual([asked, true]);

      const sensible = QUESTION_KINDS['sensible-time'].make('q', seededRng(seed), rung, DEFAULT_SETTINGS);
      const [key] = QUESTION_KINDS['sensible-time'].keyOf(sensible, DEFAULT_SETTINGS).chosen;
      sensible.times.forEach((sec, place) =>
        expect([sensible.event, sec, isNever(byWords.get(sensible.event)!, toSecondOfDay(sec))]).toEqual([
          sensible.event,
          sec,
          place !== key,
        ]),
      );

      const order = QUESTION_KINDS['order-times'].make('q', seededRng(seed), rung, DEFAULT_SETTINGS);
      expect(order.times.some((sec) => isNoonOrMidnight(toSecondOfDay(sec)))).toBe(false);
      expect(new Set(order.times).size).toBe(order.times.length);
    }
  }
});

test('midnight is at both ends of the day line, a quarter past it only at the beginning', () => {
  const { judge } = QUESTION_KINDS['place-on-line'];
  const right = (timeSec: number, atSec: number) =>
    judge({ id: 'q', kind: 'place-on-line', timeSec, line: 'day', from: 'display' }, { kind: 'place-on-line', atSec }, DEFAULT_SETTINGS)
      .verdict === 'right';
  expect([right(0, 0), right(0, 86_400), right(900, 0), right(900, 86_400), right(85_500, 0)]).toEqual([true, true, true, false, false]);
});

test.each([
  ['24', 1500, 'Midnight begins the day: its first hour is written 00.'],
  ['12', 1500, 'The hour 00 begins at midnight: on a display of 12 hours it is 12.'],
  ['24', 75_900, 'After noon the hours go on: 9 in the evening is 21, because 12 and 9 make 21.'],
  ['12', 75_900, 'From 13 on take 12 away: 21 is 9 in the evening.'],
  ['12', 45_900, 'The hour that begins at noon is 12 on both displays.'],
  ['24', 32_700, 'Before noon the hour stays the same, with two digits: 9 is 09.'],
] as const)('to %s hours at %i: the reason goes the way the question goes', (to, timeSec, reason) => {
  expect(QUESTION_KINDS['convert-24'].reason({ id: 'q', kind: 'convert-24', timeSec, to }, DEFAULT_SETTINGS)).toEqual([reason]);
});

test.each([
  ['end', ['First on to the full hour, from 9:45 to 10:00.', 'Then 15 minutes more.', 'It ends at 10:15.']],
  ['start', ['First back to the full hour, from 10:15 to 10:00.', 'Then back another 15 minutes.', 'It started at 9:45.']],
  ['length', ['First on to the full hour, from 9:45 to 10:00.', 'Then from 10:00 to 10:15.', 'It takes 30 minutes.']],
] as const)('when the %s is asked for the reason goes that way', (asks, reason) => {
  expect(
    QUESTION_KINDS['later-earlier'].reason({ id: 'q', kind: 'later-earlier', startSec: 35_100, minutes: 30, asks }, DEFAULT_SETTINGS),
  ).toEqual(reason);
});
