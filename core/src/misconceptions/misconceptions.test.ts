import { rightActs, type Acts } from '../acts/acts.js';
import { gearedPose } from '../dial/pose.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { predictionsOf } from '../question-kinds/predictions.js';
import { secondOfDay } from '../time/second-of-day.js';
import { actsOf } from './distorted-acts.js';
import { MISCONCEPTION_IDS, misconceptionOf, type MisconceptionId } from './registry.js';

/** What each idea makes of a dial, as typed. */
test.each<[MisconceptionId, number, number, string]>([
  ['hands-exchanged', 2, 45, '9:14'],
  ['hands-exchanged', 7, 30, '6:37'],
  ['numeral-as-minutes', 2, 45, '2:09'],
  ['numeral-as-minutes', 10, 10, '10:02'],
  ['nearest-hour', 2, 45, '3:45'],
  ['coming-hour', 2, 15, '3:15'],
  ['coming-hour', 12, 30, '1:30'],
  ['half-of-coming-hour', 3, 30, '4:30'],
  ['zero-dropped', 6, 5, '6:5'],
  ['zero-dropped', 6, 5, '6:50'],
  ['sixty-at-top', 4, 0, '3:60'],
])('%s reads %i:%i as %s', (id, hour, minute, typed) => {
  const read = actsOf([id], DEFAULT_SETTINGS).read(gearedPose(secondOfDay(hour, minute)));
  expect(read.map((one) => `${one.hour}:${one.minute}`)).toContain(typed);
});

test('an hour hand left on its numeral at 9:30 points exactly at 9', () => {
  expect(actsOf(['hour-hand-on-numeral'], DEFAULT_SETTINGS).set(secondOfDay(9, 30))).toEqual([{ hourDeg: 270, minuteDeg: 180 }]);
});

test('the half of the coming hour is heard in words that name the hour begun, and in no others', () => {
  const meant = (words: string, pack: 'en-GB' | 'de') => actsOf(['half-of-coming-hour'], { ...DEFAULT_SETTINGS, pack }).mean(words);
  expect(meant('half past four', 'en-GB')).toEqual([{ hour: '3', minute: '30' }]);
  expect(meant('four thirty', 'en-GB')).toEqual([{ hour: '4', minute: '30' }]);
  expect(meant('halb fünf', 'de')).toEqual([{ hour: '4', minute: '30' }]); // there it is no misconception
});

test('ideas are acts upon acts: two held at once work together', () => {
  const typed = actsOf(['coming-hour', 'numeral-as-minutes'], DEFAULT_SETTINGS).read(gearedPose(secondOfDay(2, 45)));
  expect(typed).toContainEqual({ hour: '3', minute: '09' });
});

test('every idea distorts some act, and at a whole hour nobody is said to take the nearest or the coming hour', () => {
  const right = rightActs(DEFAULT_SETTINGS);
  for (const id of MISCONCEPTION_IDS) {
    const distorted = Object.keys(misconceptionOf(id).distorts(right, DEFAULT_SETTINGS)) as (keyof Acts)[];
    expect(distorted.length).toBeGreaterThan(0);
  }
  for (let hour = 0; hour < 12; hour++) {
    const timeSec = hour * 3600;
    const items = [
      { id: 'q', kind: 'read-dial', timeSec },
      { id: 'q', kind: 'set-dial', timeSec, from: 'words', hands: 'free' },
    ] as const;
    for (const item of items) {
      const ideas = [...predictionsOf(item, DEFAULT_SETTINGS).keys()];
      for (const id of ['nearest-hour', 'coming-hour', 'half-of-coming-hour', 'hour-hand-on-numeral'] as const)
        expect(ideas).not.toContain(id);
    }
  }
});

test('every idea tells the pupil where to look and the teacher what to do, in whole sentences', () => {
  for (const id of MISCONCEPTION_IDS) {
    const { name, whatThePupilDoes, sayToPupil, sayWhile, nextMove } = misconceptionOf(id);
    expect(name).toMatch(/^[A-Z]/);
    const told = (['en-GB', 'de'] as const).flatMap((pack) =>
      (['passed', 'step-back', 'zone'] as const).flatMap((betweenRule) =>
        [sayToPupil, ...Object.values(sayWhile ?? {})].map((says) => says({ ...DEFAULT_SETTINGS, pack, betweenRule })),
      ),
    );
    const sentences = [whatThePupilDoes, nextMove, ...told];
    for (const sentence of sentences) expect(sentence).toMatch(/^[A-Z“„][^{}]*[.?]$/);
    for (const sentence of told) expect(sentence).not.toMatch(/wrong|mistake|misconception|falsch|fehler/i);
  }
});
