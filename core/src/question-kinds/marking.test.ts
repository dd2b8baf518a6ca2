import fc from 'fast-check';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { secondOfDay } from '../time/second-of-day.js';
import { kindOf, QUESTION_KINDS, type Item } from './registry.js';

const { 'read-dial': readDial, 'set-dial': setDial } = QUESTION_KINDS;
const reading = (hour: number, minute: number) => ({ id: 'q', kind: 'read-dial' as const, timeSec: secondOfDay(hour, minute) });
const setting = (hour: number, minute: number) => ({
  id: 'q',
  kind: 'set-dial' as const,
  timeSec: secondOfDay(hour, minute),
  from: 'display' as const,
  hands: 'free' as const,
});
const read = (item: ReturnType<typeof reading>, hour: string, minute: string) =>
  readDial.mark(item, { kind: 'read-dial', hour, minute }, DEFAULT_SETTINGS);

const anyItem = fc
  .record({ timeSec: fc.integer({ min: 0, max: 1439 }).map((minute) => minute * 60), kind: fc.constantFrom('read-dial', 'set-dial') })
  .map(({ timeSec, kind }): Item =>
    kind === 'read-dial' ? { id: 'q', kind, timeSec } : { id: 'q', kind: 'set-dial', timeSec, from: 'words', hands: 'free' },
  );

test('the key of every item is right, under every strictness, and no idea is blamed for it', () => {
  fc.assert(
    fc.property(anyItem, fc.constantFrom('right-side', 'proportion', 'exact' as const), (item, strictness) => {
      const mark = kindOf(item).mark(item, kindOf(item).keyOf(item), { ...DEFAULT_SETTINGS, strictness: strictness as 'exact' });
      expect(mark).toMatchObject({ verdict: 'right', misconceptions: [] });
    }),
  );
});

test('what a pupil’s device is told of a question holds no key', () => {
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 1439 }), (minute) => {
      const item = { id: 'q', kind: 'read-dial' as const, timeSec: minute * 60 };
      const { pose, ...rest } = readDial.viewOf(item, DEFAULT_SETTINGS);
      expect(Object.keys(pose)).toEqual(['hourDeg', 'minuteDeg']);
      expect(Object.keys(rest).sort()).toEqual(['itemId', 'kind', 'layers', 'separator', 'stem']);
      expect(rest.stem).toBe('What time is it?');
    }),
  );
});

test.each([
  ['7', '30', 'right', []],
  ['07', '30', 'right', []],
  ['19', '30', 'right-other-form', []],
  ['8', '30', 'partly', ['nearest-hour', 'coming-hour']],
  ['7', '06', 'partly', ['numeral-as-minutes']],
  ['6', '37', 'not-yet', ['hands-exchanged']],
  ['6', '30', 'partly', ['half-of-coming-hour']],
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
    parts: { hour: true, minute: true, form: false },
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

test.each([
  ['right-side', 280, 'right'],
  ['right-side', 270, 'partly'],
  ['right-side', 302, 'partly'],
  ['proportion', 279, 'right'],
  ['proportion', 276, 'partly'],
  ['exact', 283, 'right'],
  ['exact', 281, 'partly'],
] as const)('9:30 set with strictness %s and the hour hand at %d degrees is %s', (strictness, hourDeg, verdict) => {
  expect(setDial.mark(setting(9, 30), { kind: 'set-dial', hourDeg, minuteDeg: 180 }, { ...DEFAULT_SETTINGS, strictness })).toMatchObject({
    verdict,
  });
});

test('an impossible pose is told as such', () => {
  expect(setDial.responseText({ kind: 'set-dial', hourDeg: 270, minuteDeg: 180 })).toMatch(/hands do not agree/);
  expect(setDial.responseText(setDial.keyOf(setting(16, 5)))).toBe('4:05');
});
