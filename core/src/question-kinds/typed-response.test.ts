import fc from 'fast-check';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { RUNGS } from '../ladder/registry.js';
import { seededRng } from '../random/rng.js';
import { markOf } from './marking.js';
import { isNotSure } from './not-sure.js';
import { kindOf, QUESTION_KIND_IDS, QUESTION_KINDS, textOfResponse, type Item } from './registry.js';
import { typedResponse } from './typed-response.js';

const typed = (item: Item, text: string) => typedResponse(item, text, DEFAULT_SETTINGS);
const read: Item = { id: 'q', kind: 'read-dial', timeSec: 27_000 };
const set: Item = { id: 'q', kind: 'set-dial', timeSec: 27_000, from: 'display', hands: 'free' };

test.each([
  ['7:30', '7', '30'],
  [' 7.30 ', '7', '30'],
  ['7 30', '7', '30'],
  ['730', '7', '30'],
  ['1205', '12', '05'],
  ['7:5', '7', '5'],
  ['7', '7', ''],
])('a time is typed as it comes: %s', (text, hour, minute) => expect(typed(read, text)).toEqual({ kind: 'read-dial', hour, minute }));

test('hands are typed by the time that they show, or by the numerals that they stand at', () => {
  expect(typed(set, '7:30')).toEqual({ kind: 'set-dial', hourDeg: 225, minuteDeg: 180 });
  expect(typed(set, '7/6')).toEqual({ kind: 'set-dial', hourDeg: 210, minuteDeg: 180 });
  expect(typed(set, '7.5 / 12')).toEqual({ kind: 'set-dial', hourDeg: 225, minuteDeg: 0 });
});

test('what is no answer is none, and a question mark is a pupil who was not sure', () => {
  for (const text of ['', '  ', 'half past', '7:30:15', '٧:٣٠', '<b>', '-']) expect([text, typed(read, text)]).toEqual([text, null]);
  expect(isNotSure(typed(read, ' ? ')!)).toBe(true);
  expect(typed(set, '25:00')).toBeNull();
});

// What the wall shows of an answer, a teacher can type: whatever the kind.
test.each(QUESTION_KIND_IDS.filter((id) => !['pose', 'line'].includes(QUESTION_KINDS[id].shape)))(
  'the right answer to %s can be typed as it is shown',
  (id) => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 1000 }), (seed) => {
        const rung = Object.values(RUNGS).find((one) => {
          try {
            return QUESTION_KINDS[id].make('q', seededRng(seed), one, DEFAULT_SETTINGS);
          } catch {
            return false;
          }
        })!;
        const item = QUESTION_KINDS[id].make('q', seededRng(seed), rung, DEFAULT_SETTINGS) as Item;
        const kind = kindOf(item);
        const key = kind.keyOf(item, DEFAULT_SETTINGS);
        const shown = textOfResponse(item, key, DEFAULT_SETTINGS)
          .replace(/ and /g, ' ')
          .replace(/^([A-L]): .*/, '$1');
        const given = typed(item, shown);
        expect([shown, given && markOf(item, given, DEFAULT_SETTINGS).verdict]).toEqual([shown, expect.stringMatching(/^right/)]);
      }),
      { numRuns: 15 },
    );
  },
);
