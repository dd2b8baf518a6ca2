import fc from 'fast-check';
import { gearedPose } from '../dial/pose.js';
import { DEFAULT_SETTINGS, type LessonSettings } from '../lesson/settings.js';
import { secondOfDay, wrapSecondOfDay } from '../time/second-of-day.js';
import { WORD_PACKS, type WordPackId } from '../words/registry.js';
import { rightActs } from './acts.js';
import { timeTyped, typedTime } from './typed-time.js';

const minute = fc.nat(1439).map((minuteOfDay) => wrapSecondOfDay(minuteOfDay * 60));
const settings = fc
  .constantFrom(...(Object.keys(WORD_PACKS) as WordPackId[]))
  .map((pack): LessonSettings => ({ ...DEFAULT_SETTINGS, pack }));

test('right acts agree with each other at every minute, in every pack', () => {
  fc.assert(
    fc.property(minute, settings, (at, school) => {
      const acts = rightActs(school);
      const typed = [typedTime(at)];
      expect(acts.read(gearedPose(at))).toEqual(typed);
      expect(acts.set(at).map((pose) => acts.read(pose))).toEqual([typed]);
      for (const words of acts.word(at)) expect(acts.mean(words)).toEqual(typed);
      expect(acts.to12(at)).toEqual(typed);
      expect(acts.to24(at).map((one) => Number(one.hour) * 60 + Number(one.minute))).toEqual([at / 60]);
    }),
  );
});

test('later and between are each other’s way back, also over midnight', () => {
  const acts = rightActs(DEFAULT_SETTINGS);
  fc.assert(
    fc.property(minute, fc.nat(719), (from, minutes) => {
      const [typed] = acts.later(from, minutes);
      const to = timeTyped(typed!)!;
      expect(acts.between(from, to)[0]! % 720).toBe(minutes);
      expect(acts.later(to, -minutes)).toEqual([typedTime(from)]);
    }),
  );
  expect(acts.between(secondOfDay(23, 50), secondOfDay(0, 10))).toEqual([20]);
});

test('digits that are no time mean none, and words that are none mean nothing', () => {
  for (const [hour, digits] of [
    ['7', '60'],
    ['24', '00'],
    ['', '30'],
    ['7', ''],
  ])
    expect(timeTyped({ hour: hour!, minute: digits! })).toBeNull();
  expect(timeTyped({ hour: '19', minute: '5' })).toBe(secondOfDay(7, 5));
  expect(rightActs(DEFAULT_SETTINGS).mean('the mail boat')).toEqual([]);
});
