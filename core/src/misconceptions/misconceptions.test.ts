import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { kindOf, type Item } from '../question-kinds/registry.js';
import { secondOfDay } from '../time/second-of-day.js';
import { MISCONCEPTION_IDS, misconceptionOf, type MisconceptionId } from './registry.js';

const reading = (timeSec: number): Item => ({ id: 'q', kind: 'read-dial', timeSec });
const setting = (timeSec: number, hands: 'geared' | 'free'): Item => ({ id: 'q', kind: 'set-dial', timeSec, from: 'display', hands });

/** What each idea makes of a dial, as typed. */
test.each<[MisconceptionId, number, number, string]>([
  ['hands-exchanged', 2, 45, '9:14'],
  ['hands-exchanged', 7, 30, '6:37'],
  ['numeral-as-minutes', 2, 45, '2:09'],
  ['numeral-as-minutes', 10, 10, '10:02'],
  ['nearest-hour', 2, 45, '3:45'],
  ['coming-hour', 2, 15, '3:15'],
  ['coming-hour', 12, 30, '1:30'],
  ['half-of-coming-hour', 4, 30, '3:30'],
  ['zero-dropped', 6, 5, '6:5'],
  ['zero-dropped', 6, 5, '6:50'],
])('%s reads %i:%i as %s', (id, hour, minute, typed) => {
  const predicted = misconceptionOf(id).predictReading!(secondOfDay(hour, minute));
  expect(predicted.map((one) => `${one.hour}:${one.minute}`)).toContain(typed);
});

test('an hour hand left on its numeral at 9:30 points exactly at 9', () => {
  expect(misconceptionOf('hour-hand-on-numeral').predictSetting!(secondOfDay(9, 30))).toEqual([{ hourDeg: 270, minuteDeg: 180 }]);
});

test('whatever an idea predicts is marked wrong and explained by that idea, at every fifth minute and with any hands', () => {
  const seen = new Set<MisconceptionId>();
  for (let sec = 0; sec < 43_200; sec += 300) {
    for (const item of [reading(sec), setting(sec, 'geared'), setting(sec, 'free')]) {
      const kind = kindOf(item);
      for (const id of MISCONCEPTION_IDS) {
        for (const response of kind.predict(item, id, DEFAULT_SETTINGS)) {
          const mark = kind.mark(item, response, DEFAULT_SETTINGS);
          expect({ sec, id, verdict: mark.verdict, ideas: mark.misconceptions }).toEqual({
            sec,
            id,
            verdict: expect.stringMatching(/partly|not-yet/),
            ideas: expect.arrayContaining([id]),
          });
          seen.add(id);
        }
      }
    }
  }
  expect([...seen].sort()).toEqual([...MISCONCEPTION_IDS].sort());
});

test('at a whole hour nobody is said to take the nearest or the coming hour', () => {
  for (let hour = 0; hour < 12; hour++) {
    for (const id of ['nearest-hour', 'coming-hour', 'half-of-coming-hour', 'hour-hand-on-numeral'] as const) {
      for (const item of [reading(hour * 3600), setting(hour * 3600, 'free')])
        expect(kindOf(item).predict(item, id, DEFAULT_SETTINGS)).toEqual([]);
    }
  }
});

test('every idea tells the pupil where to look and the teacher what to do, in whole sentences', () => {
  for (const id of MISCONCEPTION_IDS) {
    const { name, whatThePupilDoes, sayToPupil, nextMove } = misconceptionOf(id);
    expect(name).toMatch(/^[A-Z]/);
    for (const sentence of [whatThePupilDoes, sayToPupil, nextMove]) expect(sentence).toMatch(/^[A-Z“].*[.?]$/);
    expect(sayToPupil).not.toMatch(/wrong|mistake|misconception/i);
  }
});
