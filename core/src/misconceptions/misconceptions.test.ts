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
  ['one-hour-back', 6, 5, '5:05'],
  ['count-starts-on-12', 2, 20, '2:25'],
  ['count-starts-late', 2, 20, '2:15'],
  ['counts-other-way', 2, 20, '2:40'],
  ['tick-miscounted', 2, 23, '2:24'],
  ['tick-miscounted', 2, 23, '2:22'],
  ['long-hand-ignored', 7, 20, '7:00'],
])('%s reads %i:%i as %s', (id, hour, minute, typed) => {
  const acts = actsOf([id], DEFAULT_SETTINGS);
  const read = acts.read(gearedPose(secondOfDay(hour, minute))).flatMap((found) => acts.digits(found, null));
  expect(read.map((one) => `${one.hour}:${one.minute}`)).toContain(typed);
});

/** What each idea makes of words, as typed. */
test.each<[MisconceptionId, string, string]>([
  ['quarter-is-25', 'quarter past four', '4:25'],
  ['quarter-is-25', 'half past four', '4:50'],
  ['to-keeps-hour', 'quarter to four', '4:45'],
  ['to-as-past', 'quarter to four', '4:15'],
  ['half-of-coming-hour', 'half past four', '3:30'],
  ['written-as-heard', 'ten past seven', '10:07'],
  ['written-as-heard', 'half past seven', '7:30'],
])('%s understands “%s” as %s', (id, words, typed) => {
  const acts = actsOf([id], DEFAULT_SETTINGS);
  expect(
    acts
      .mean(words)
      .flatMap((found) => acts.digits(found, words))
      .map(({ hour, minute }) => `${hour}:${minute}`),
  ).toEqual([typed]);
});

/** Where each idea puts the hands. */
test.each<[MisconceptionId, number, number, number, number]>([
  ['hour-hand-on-numeral', 9, 30, 270, 180],
  ['hour-hand-at-coming', 9, 30, 300, 180],
  ['hour-hand-halfway', 9, 5, 285, 30],
  ['numeral-as-minutes', 7, 10, 215, 300],
  ['hands-exchanged', 3, 0, 0, 90],
  ['count-starts-on-12', 2, 20, 70, 90],
  ['tick-miscounted', 6, 0, 180, 0],
])('%s sets %i:%i with the hands at %d and %d degrees', (id, hour, minute, hourDeg, minuteDeg) => {
  expect(actsOf([id], DEFAULT_SETTINGS).set(secondOfDay(hour, minute))).toContainEqual({ hourDeg, minuteDeg });
});

test('reckoning goes on past 12, backwards, in hundreds, or counts both ends, as each idea has it', () => {
  const later = (id: MisconceptionId, hour: number, minute: number, by: number) =>
    actsOf([id], DEFAULT_SETTINGS).later(secondOfDay(hour, minute), by)[0];
  expect(later('no-wrap-at-12', 12, 0, 120)).toEqual({ hour: '14', minute: '00' });
  expect(later('wrong-direction', 10, 0, 60)).toEqual({ hour: '9', minute: '00' });
  expect(later('hour-as-hundred', 2, 50, 20)).toEqual({ hour: '2', minute: '70' });
  expect(later('fence-post', 6, 0, 180)).toEqual({ hour: '8', minute: '00' });
  const between = (id: MisconceptionId) => actsOf([id], DEFAULT_SETTINGS).between(secondOfDay(2, 50), secondOfDay(3, 10));
  expect([between('hour-as-hundred'), between('fence-post')]).toEqual([[60], [20]]);
  expect(actsOf(['fence-post'], DEFAULT_SETTINGS).between(secondOfDay(6, 0), secondOfDay(9, 0))).toEqual([240]);
  const { half, to12, to24 } = actsOf(['midnight-noon-exchanged'], DEFAULT_SETTINGS);
  expect([half(secondOfDay(0, 30)), half(secondOfDay(7, 30)), to12(secondOfDay(15, 0))[0]!.hour]).toEqual([['pm'], ['am'], '3']);
  expect(to24(secondOfDay(0, 30))).toEqual([{ hour: '12', minute: '30' }]);
  expect(actsOf(['24-minus-ten'], DEFAULT_SETTINGS).to12(secondOfDay(15, 0))).toEqual([{ hour: '5', minute: '00' }]);
  expect(actsOf(['am-pm-exchanged'], DEFAULT_SETTINGS).half(secondOfDay(7, 30))).toEqual(['pm']);
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
