import { describeHand } from '../dial/describe-pose.js';
import { hourProgress } from '../dial/hour-progress.js';
import { hourHandDeg } from '../dial/pose.js';
import { hour12, minuteOfHour, nextHour12, secondOfDay, toSecondOfDay } from '../time/second-of-day.js';
import { WORD_PACK_IDS, WORD_PACKS } from '../words/registry.js';
import { explain } from '../stage/explain.js';
import { reasonFor } from './reason.js';
import { DEFAULT_SETTINGS, type LessonSettings } from '../lesson/settings.js';
import { talkOf } from './registry.js';

/** Every school of practice in every pack. */
const SCHOOLS: readonly LessonSettings[] = WORD_PACK_IDS.flatMap((pack) =>
  (['passed', 'step-back', 'zone'] as const).flatMap((betweenRule) =>
    (['hour-first', 'minute-first'] as const).map((readingOrder) => ({ ...DEFAULT_SETTINGS, pack, betweenRule, readingOrder })),
  ),
);
const EVERY_MINUTE = Array.from({ length: 720 }, (_, minute) => toSecondOfDay(minute * 60));
const told = (at: ReturnType<typeof secondOfDay>, settings: LessonSettings) => explain(at, settings).map(({ beat }) => beat.text);
const english = talkOf(DEFAULT_SETTINGS);

test.each([
  [7, 0, 'The short hand points at 7: the hour is 7.'],
  [7, 1, 'The short hand is just past 7: the hour is 7.'],
  [7, 30, 'The short hand has passed 7 and not reached 8 yet: the hour is 7.'],
  [11, 59, 'The short hand is almost at 12, but not there yet: the hour is still 11.'],
  [12, 58, 'The short hand is almost at 1, but not there yet: the hour is still 12. After 12 the hours begin again at 1.'],
])('the hour at %i:%i', (hour, minute, sentence) => {
  expect(english.hourReason(secondOfDay(hour, minute), 'passed')).toBe(sentence);
});

test.each([
  [1, 'The long hand is one tick past the 12: 1 minute.'],
  [3, 'Tick by tick from the 12: 1, 2, 3 minutes.'],
  [5, 'From the 12 to the 1: 5 minutes.'],
  [15, 'The long hand is on 3, a quarter of the way round: 15 minutes.'],
  [21, 'In fives from the 12: 5, 10, 15, 20, and 21 minutes.'],
  [30, 'The long hand is on 6, half way round: 30 minutes.'],
  [59, 'In fives from the 12: 5, 10, 15 … 55, and 56, 57, 58, 59 minutes.'],
])('%i minutes are counted as a class counts them', (minute, sentence) => {
  expect(english.minuteReason(secondOfDay(7, minute))).toBe(sentence);
});

test('a worked example is a short talk, the hand that is read first coming first', () => {
  expect(told(secondOfDay(7, 35), DEFAULT_SETTINGS)).toEqual([
    'What time is it?',
    'The short hand tells the hour.',
    'It has passed 7 but not 8: the hour is 7.',
    'The long hand tells the minutes.',
    '5, 10, 15 … 35.',
    '25 minutes to go until 8 o’clock.',
    'Twenty-five to eight. Or seven thirty-five.',
  ]);
  expect(told(secondOfDay(7, 45), { ...DEFAULT_SETTINGS, pack: 'en-US', readingOrder: 'minute-first', betweenRule: 'zone' })).toEqual([
    'What time is it?',
    'The long hand tells the minutes.',
    'Three quarters of the way round, on the 9: 45.',
    'The short hand tells the hour.',
    'It is in the zone of 7, so the hour is 7.',
    'A quarter of an hour to go until 8 o’clock.',
    'Quarter to eight. Others say quarter of eight.',
  ]);
  expect(told(secondOfDay(7, 30), { ...DEFAULT_SETTINGS, pack: 'de' })).toEqual([
    'Wie spät ist es?',
    'Der kurze Zeiger zeigt die Stunde.',
    'Er ist an der 7 vorbei, noch nicht bei der 8: Die Stunde ist 7.',
    'Der lange Zeiger zeigt die Minuten.',
    'Halb herum, auf der 6: 30.',
    'Halb acht: auf halbem Weg zur 8.',
  ]);
});

test('the whole talk of any five-minute time is at most 60 words, in every school and pack', () => {
  for (const at of EVERY_MINUTE.filter((one) => minuteOfHour(one) % 5 === 0))
    for (const settings of SCHOOLS) {
      for (const texts of [told(at, settings), reasonFor(at, settings)])
        expect([texts.join(' '), texts.join(' ').split(/\s+/).length <= 60]).toEqual([texts.join(' '), true]);
    }
});

test('no sentence has the short hand at a numeral but at the full hour, nor half way but at half past', () => {
  for (const at of EVERY_MINUTE) {
    const minute = minuteOfHour(at);
    const where = describeHand(hourHandDeg(at));
    expect([at, where.startsWith('at ')]).toEqual([at, minute === 0]);
    if (minute > 0 && minute <= 4) expect(where).toBe(`just past ${hour12(at)}`);
    if (minute >= 56) expect(where).toBe(`almost at ${nextHour12(hour12(at))}`);
    expect([at, hourProgress(hourHandDeg(at)).sentence.includes('half way')]).toEqual([at, minute === 30]);
    for (const settings of SCHOOLS) {
      const talk = [...told(at, settings), ...reasonFor(at, settings)].join(' ');
      if (minute > 0) expect(talk).not.toMatch(/short hand (points at|is at)|It (points|is) at|kurze Zeiger steht auf|Er steht auf/);
      expect([talk, /half way|halbem Weg|halb herum/i.test(talk)]).toEqual([talk, minute === 30]);
    }
  }
});

test('a lesson talks in one language, and of zones only by their rule, which draws them', () => {
  for (const settings of SCHOOLS)
    for (const at of EVERY_MINUTE) {
      const steps = explain(at, settings);
      const talk = steps.map(({ beat }) => `${beat.text} ${beat.kind === 'mark' ? (beat.board ?? '') : ''}`).join(' ');
      const foreign =
        WORD_PACKS[settings.pack].tongue === 'de'
          ? /\b(the|hand|hour|is|it|and|to|or|past)\b/i
          : /\b(der|die|ist|und|bis|oder|nach|Zeiger)\b/i;
      expect(talk).not.toMatch(foreign);
      const isZone = settings.betweenRule === 'zone';
      const [{ beat: look }] = steps as [(typeof steps)[number]];
      expect(look.kind === 'set' && (look.layers?.hourZones ?? false)).toBe(isZone);
      expect([talk, /zone|Feld/.test(talk)]).toEqual([talk, isZone && minuteOfHour(at) > 0]);
    }
});
