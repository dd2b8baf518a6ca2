import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { secondOfDay } from '../time/second-of-day.js';
import { markOf } from './marking.js';
import { kindOf, type ItemOf } from './registry.js';

const reading = (hour: number, minute: number): ItemOf<'read-dial'> => ({ id: 'q', kind: 'read-dial', timeSec: secondOfDay(hour, minute) });
const setting = (hour: number, minute: number, from: 'display' | 'words' = 'display'): ItemOf<'set-dial'> => ({
  id: 'q',
  kind: 'set-dial',
  timeSec: secondOfDay(hour, minute),
  from,
  hands: 'free',
});
const read = (item: ItemOf<'read-dial'>, hour: string, minute: string) =>
  markOf(item, { kind: 'read-dial', hour, minute }, DEFAULT_SETTINGS);
const set = (item: ItemOf<'set-dial'>, hourDeg: number, minuteDeg: number) =>
  markOf(item, { kind: 'set-dial', hourDeg, minuteDeg }, DEFAULT_SETTINGS);

test.each([
  ['7', '30', 'right', []],
  ['07', '30', 'right', []],
  ['19', '30', 'right-other-form', []],
  ['8', '30', 'partly', ['nearest-hour', 'coming-hour', 'half-of-coming-hour']],
  ['7', '06', 'partly', ['numeral-as-minutes']],
  ['6', '37', 'not-yet', ['hands-exchanged']],
  ['6', '30', 'partly', []],
  ['7', '35', 'partly', []],
  ['3', '11', 'not-yet', []],
  ['7', '', 'partly', []],
  ['', '', 'blank', []],
])('19:30 on a dial, read as %s:%s, is %s', (hour, minute, verdict, misconceptions) => {
  expect(read(reading(19, 30), hour, minute)).toMatchObject({ verdict, misconceptions });
});

test('a one-digit minute is kept apart from the right form', () => {
  expect(read(reading(6, 5), '6', '5')).toMatchObject({
    verdict: 'partly',
    parts: [
      { part: 'hour', right: true },
      { part: 'minute', right: true },
      { part: 'form', right: false },
    ],
    misconceptions: ['zero-dropped'],
  });
  expect(read(reading(6, 5), '6', '50').misconceptions).toContain('zero-dropped');
});

test('the sentence names what is right and where to look, with the hours of this very time', () => {
  expect(read(reading(12, 20), '3', '20').sayToPupil).toBe(
    'Your minutes are right. Look at the short hand again: it has passed 12 and is not at 1 yet.',
  );
  expect(read(reading(4, 0), '9', '00').sayToPupil).toContain('it points at 4');
  expect(read(reading(4, 20), '4', '33').sayToPupil).toBe('Your hour is right. Count the minutes round from the 12 once more.');
});

test('what is said of an idea fits what the pupil was doing', () => {
  expect(set(setting(4, 30, 'words'), 105, 180)).toMatchObject({
    misconceptions: ['half-of-coming-hour'],
    sayToPupil: '“Half past” means half an hour after. The hour in the words has begun already.',
  });
  expect(set(setting(4, 30, 'display'), 105, 180).misconceptions).toEqual([]); // no words were shown
  expect(markOf(reading(3, 30), { kind: 'read-dial', hour: '4', minute: '30' }, DEFAULT_SETTINGS).misconceptions).toContain(
    'half-of-coming-hour',
  );
});

test.each([
  ['right-side', 280, 'right'],
  ['right-side', 270, 'partly'],
  ['right-side', 302, 'partly'],
  ['proportion', 279, 'right'],
  ['proportion', 276, 'partly'],
  ['exact', 283, 'right'],
  ['exact', 281, 'partly'],
] as const)('9:30 set with strictness %s and the hour hand at %d degrees is %s', (strictness, hourDeg, verdict) => {
  expect(markOf(setting(9, 30), { kind: 'set-dial', hourDeg, minuteDeg: 180 }, { ...DEFAULT_SETTINGS, strictness }).verdict).toBe(verdict);
});

test('an impossible pose is told as such', () => {
  const item = setting(16, 5);
  const { responseText, keyOf } = kindOf(item);
  expect(responseText(item, { kind: 'set-dial', hourDeg: 270, minuteDeg: 180 })).toMatch(/hands do not agree/);
  expect(responseText(item, keyOf(item, DEFAULT_SETTINGS))).toBe('4:05');
});
