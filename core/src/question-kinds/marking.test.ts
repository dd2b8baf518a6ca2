import fc from 'fast-check';
import { coherenceOf, STRICTNESS } from '../dial/coherence.js';
import { nearestTime } from '../dial/nearest-time.js';
import { gearedPose, wrapDeg } from '../dial/pose.js';
import { DEFAULT_SETTINGS, type LessonSettings } from '../lesson/settings.js';
import { hour12, secondOfDay, toSecondOfDay } from '../time/second-of-day.js';
import { markOf } from './marking.js';
import { judgeTime } from './shapes/time.js';
import { kindOf, QUESTION_KIND_IDS, QUESTION_KINDS, type Item, type ItemOf } from './registry.js';

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
  ['7', '35', 'partly', ['count-starts-on-12']],
  ['7', '33', 'partly', []],
  ['3', '11', 'not-yet', []],
  ['7', '', 'partly', []],
  ['', '', 'blank', []],
])('19:30 on a dial, read as %s:%s, is %s', (hour, minute, verdict, misconceptions) => {
  expect(read(reading(19, 30), hour, minute)).toMatchObject({ verdict, misconceptions });
});

test.each([
  [7, 30, '19', '30', 'right-other-form', []],
  [0, 15, '12', '15', 'right', []],
  [12, 15, '0', '15', 'right-other-form', []],
  [13, 15, '1', '15', 'right', []],
  [7, 30, '31', '30', 'partly', []],
  [7, 30, '20', '30', 'partly', ['nearest-hour', 'coming-hour', 'half-of-coming-hour']],
  [7, 30, '18', '37', 'not-yet', ['hands-exchanged']],
  [15, 45, '15', '09', 'partly', ['numeral-as-minutes']],
] as const)('a dial tells no half of the day: %d:%d read as %s:%s is %s', (hour, minute, typedHour, typedMinute, verdict, ideas) => {
  expect(read(reading(hour, minute), typedHour, typedMinute)).toMatchObject({ verdict, misconceptions: ideas });
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
    'Your minutes are right. The short hand has passed 12 and not reached 1 yet: the hour is 12. After 12 the hours begin again at 1.',
  );
  expect(read(reading(4, 0), '9', '00').sayToPupil).toContain('The short hand points at 4');
  expect(read(reading(4, 20), '4', '33').sayToPupil).toBe('Your hour is right. Count round from the 12 once more: 5, 10, 15, 20.');
});

test('times in the sentences are written as the lesson writes them', () => {
  const settings = { ...DEFAULT_SETTINGS, separator: '.' } as const;
  for (const item of [reading(7, 30), setting(7, 30)])
    expect(markOf(item, kindOf(item).keyOf(item, settings), settings).sayToPupil).toContain('7.30');
  expect(markOf(reading(7, 30), { kind: 'read-dial', hour: '19', minute: '30' }, settings).sayToPupil).toContain('7.30');
});

test('what is said of an idea fits what the pupil was doing', () => {
  const words: Item = { id: 'w', kind: 'write-display', timeSec: 16_200 };
  expect(markOf(words, { kind: 'write-display', hour: '3', minute: '30' }, DEFAULT_SETTINGS)).toMatchObject({
    misconceptions: ['half-of-coming-hour'],
    sayToPupil: '“Half past” means half an hour after. The hour in the words has begun already.',
  });
  // Who takes the coming numeral for the hour sets those hands, too; on a display no half is said.
  expect(set(setting(4, 30, 'words'), 105, 180).misconceptions).toEqual(['coming-hour', 'half-of-coming-hour']);
  expect(set(setting(4, 30, 'display'), 105, 180)).toMatchObject({
    misconceptions: ['coming-hour'],
    sayToPupil: 'Now read your own clock: which numeral has it passed? That is the hour it shows.',
  });
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

const poseOnTicks = fc.record({
  hourDeg: fc.integer({ min: 0, max: 719 }).map((half) => half / 2),
  minuteDeg: fc.integer({ min: 0, max: 359 }),
});

test('no pose is right that reads as another hour or that the strictness finds impossible; what is right stricter is right looser', () => {
  // Poses near the time, so that many are right.
  const near = fc.record({ hourBy: fc.integer({ min: -40, max: 40 }), minuteBy: fc.integer({ min: -4, max: 4 }) });
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 1439 }), fc.oneof(near, poseOnTicks), (minuteOfDay, place) => {
      const item = { ...setting(0, 0), timeSec: minuteOfDay * 60 };
      const key = gearedPose(toSecondOfDay(item.timeSec));
      const pose =
        'hourBy' in place
          ? { hourDeg: wrapDeg(key.hourDeg + place.hourBy / 2), minuteDeg: wrapDeg(key.minuteDeg + place.minuteBy) }
          : place;
      const isRight = (['exact', 'proportion', 'right-side'] as const).map((strictness) => {
        const { verdict } = markOf(item, { kind: 'set-dial', ...pose }, { ...DEFAULT_SETTINGS, strictness });
        if (verdict !== 'right') return false;
        expect(hour12(nearestTime(pose))).toBe(hour12(toSecondOfDay(item.timeSec)));
        expect(coherenceOf(pose).residualDeg).toBeLessThanOrEqual(STRICTNESS[strictness] + 1e-9);
        return true;
      });
      expect([...isRight].sort()).toEqual(isRight); // false before true
    }),
    { numRuns: 3000 },
  );
});

test.each([
  [7, 5, 240, 'partly'], // on the 8
  [7, 5, 214, 'right'],
  [7, 0, 225, 'partly'], // half way to the 8
  [7, 0, 218, 'right'],
  [7, 30, 210, 'partly'],
  [7, 30, 214, 'right'],
] as const)('beginners set %d:%d with the short hand at %d degrees: %s', (hour, minute, hourDeg, verdict) => {
  expect(set(setting(hour, minute), hourDeg, minute * 6).verdict).toBe(verdict);
});

test('a slip of a minute near an overlap is no exchange of hands', () => {
  expect(read(reading(1, 6), '1', '05').misconceptions).toEqual(['tick-miscounted']);
  expect(read(reading(2, 10), '2', '11').misconceptions).toEqual([]);
  expect(set(setting(1, 6), 32.5, 30).misconceptions).toEqual([]);
  expect(read(reading(1, 30), '6', '07').misconceptions).toEqual(['hands-exchanged']);
  for (let minuteOfDay = 0; minuteOfDay < 720; minuteOfDay++) {
    const [hour, minute] = [Math.floor(minuteOfDay / 60), minuteOfDay % 60];
    for (const beside of [-2, -1, 1, 2].map((by) => minute + by).filter((one) => one >= 0 && one < 60)) {
      const { misconceptions } = read(reading(hour, minute), String(hour || 12), String(beside).padStart(2, '0'));
      expect(misconceptions).not.toContain('hands-exchanged');
    }
  }
});

test('nobody is blamed for a hand that is right', () => {
  // 7:17 in proportion: an hour hand left on the 7 is just too far off, one a little on is accepted, and the minutes are another matter.
  const settings = { ...DEFAULT_SETTINGS, strictness: 'proportion' } as const;
  const mark = (hourDeg: number, minuteDeg: number) => markOf(setting(7, 17), { kind: 'set-dial', hourDeg, minuteDeg }, settings);
  expect(mark(210, 102).misconceptions).toEqual(['hour-hand-on-numeral']);
  expect(mark(213, 108)).toMatchObject({ verdict: 'partly', misconceptions: [] });
});

test('where several ideas lead to a response, the sentence holds for each of them', () => {
  const mark = read(reading(10, 55), '11', '55');
  expect(mark.misconceptions).toEqual(['hands-exchanged', 'nearest-hour', 'coming-hour']);
  expect(mark.sayToPupil).toBe('Your minutes are right. The short hand has passed 10 and not reached 11 yet: the hour is 10.');
  expect(read(reading(10, 15), '11', '15').sayToPupil).toContain('on its way to the next numeral');
});

test('five past, set with the long hand on the 5, takes the numeral for the minutes, with either kind of hands', () => {
  const pose = { hourDeg: 62.5, minuteDeg: 150 };
  expect(set(setting(2, 5), pose.hourDeg, pose.minuteDeg).misconceptions).toEqual(['numeral-as-minutes']);
  const geared = { ...setting(2, 5), hands: 'geared' } as const;
  expect(markOf(geared, { kind: 'set-dial', ...gearedPose(secondOfDay(2, 25)) }, DEFAULT_SETTINGS).misconceptions).toEqual([
    'numeral-as-minutes',
  ]);
});

test('hands that move together can stand as gears have them only', () => {
  const { isPossible } = kindOf(setting(2, 5));
  const pose = { kind: 'set-dial', hourDeg: 60, minuteDeg: 180 } as const;
  expect(isPossible(setting(2, 5), pose, DEFAULT_SETTINGS)).toBe(true);
  expect(isPossible({ ...setting(2, 5), hands: 'geared' }, pose, DEFAULT_SETTINGS)).toBe(false);
  expect(
    isPossible({ ...setting(2, 5), hands: 'geared' }, { kind: 'set-dial', ...gearedPose(toSecondOfDay(8999)) }, DEFAULT_SETTINGS),
  ).toBe(true);
});

test('an impossible pose is told as such', () => {
  const item = setting(16, 5);
  const { responseText, keyOf } = kindOf(item);
  expect(responseText(item, { kind: 'set-dial', hourDeg: 270, minuteDeg: 180 }, DEFAULT_SETTINGS)).toMatch(/hands do not agree/);
  expect(responseText(item, keyOf(item, DEFAULT_SETTINGS), DEFAULT_SETTINGS)).toBe('4:05');
});

test('hints obey the lesson: which hand first, the question that fits the rule, digits, and the language', () => {
  const settings = (change: Partial<LessonSettings>): LessonSettings => ({ ...DEFAULT_SETTINGS, ...change });
  const say = (item: Item, hour: string, minute: string, change: Partial<LessonSettings>) =>
    markOf(item, { kind: 'read-dial', hour, minute }, settings(change)).sayToPupil;
  const at = (hour: number, minute: number) => reading(hour, minute);
  expect(say(at(4, 25), '9', '50', {})).toBe('Not yet. Start with the short hand: which numeral has it passed?');
  expect(say(at(4, 0), '9', '50', {})).toBe('Not yet. Start with the short hand: which numeral does it point at?');
  expect(say(at(4, 25), '9', '50', { betweenRule: 'zone' })).toContain('in the zone of which numeral is it?');
  expect(say(at(4, 25), '9', '50', { readingOrder: 'minute-first' })).toContain('Start with the long hand and count');
  expect(say(at(2, 15), '3', '15', { betweenRule: 'step-back' })).toContain('which numeral comes before it?');
  expect(say(at(7, 30), '7', '30', { pack: 'de', separator: '.' })).toBe('Ja, es ist 7.30 Uhr. Du hast beide Zeiger gelesen.');
  const samples = QUESTION_KIND_IDS.flatMap((id) => QUESTION_KINDS[id].samples as readonly Item[]);
  // Choices in words are written in the language of their lesson.
  const isWritten = (item: Item) => 'event' in item || 'choices' in item;
  for (const item of samples.filter((one) => !isWritten(one)))
    for (const pack of ['en-GB', 'de'] as const) {
      const kind = kindOf(item);
      const { stem } = kind.viewOf(item, settings({ pack }));
      const spoken = [stem, ...kind.reason(item, settings({ pack })), kind.keySentence(item, settings({ pack }))].join(' ');
      expect(spoken).not.toMatch(pack === 'de' ? /\b(the|hand|hour|is|it|and|show|choose)\b/i : /\b(der|die|ist|und|Zeiger|zeigt)\b/);
    }
});

test('a display of 12 hours knows no hour 0: where 1 to 12 are asked it is not right in form', () => {
  const at = secondOfDay(12, 30);
  const isForm = (hour: string) => judgeTime(at, { hour, minute: '30' }, 'of-12').parts.find(({ part }) => part === 'form')!.right;
  expect([isForm('12'), isForm('0'), isForm('00')]).toEqual([true, false, false]);
  expect(judgeTime(at, { hour: '0', minute: '30' }, 'of-12').verdict).not.toBe('right');
});
