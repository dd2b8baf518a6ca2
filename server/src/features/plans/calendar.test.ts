import { CoreError } from '@zeitpunkt/core/errors';
import { NEW_PLAN } from '@zeitpunkt/core/series/plan';
import { plannedLessons } from '@zeitpunkt/core/series/series';
import fc from 'fast-check';
import { calendarOf, readCalendar } from './calendar.js';

const AT = Date.UTC(2026, 10, 27, 9);
const plan = {
  ...NEW_PLAN,
  daysOff: ['2026-12-03'],
  series: { startsOn: '2026-11-26', weekdays: [4 as const], lessonIds: ['a', 'b', 'c'], skipped: [] },
};
const titled = (id: string) => (id === 'c' ? null : { title: `Lesson ${id}; with, signs\\`, goal: 'Read it.\nSay it.' });
const event = (lines: string) => `BEGIN:VEVENT\r\nUID:u\r\nDTSTAMP:20261101T000000Z\r\n${lines}\r\nEND:VEVENT\r\n`;
const calendar = (...events: string[]) =>
  `BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:-//Harbour//Tides//EN\r\n${events.join('')}END:VCALENDAR\r\n`;
const read = (text: string) => readCalendar(text, '2026-10-01', '2027-12-31');
const days = (text: string) => read(text).days.map(({ date }) => date);

test('planned lessons are whole days, each with an entry of its own that stays when a day off moves it', () => {
  const text = calendarOf(plan, 'Terns', titled, AT);
  expect(plannedLessons(plan).map(({ date }) => date)).toEqual(['2026-11-26', '2026-12-10', '2026-12-17']);
  expect(read(text)).toEqual({
    days: [
      { date: '2026-11-26', name: 'Terns: Lesson a; with, signs\\' },
      { date: '2026-12-10', name: 'Terns: Lesson b; with, signs\\' },
    ],
    left: [],
  });
  // Source: RFC 5545, 3.1: lines end with CRLF and have 75 octets at most.
  const lines = text.split('\r\n');
  expect(lines.at(-1)).toBe('');
  expect(lines.every((line) => Buffer.byteLength(line) <= 75 && !line.includes('\n'))).toBe(true);
  const uids = (of: string) => [...of.matchAll(/^UID:(.*)$/gm)].map(([, uid]) => uid);
  expect(uids(calendarOf({ ...plan, daysOff: [] }, 'Terns', titled, AT))).toEqual(uids(text));
});

test.each([
  ['one day', event('DTSTART;VALUE=DATE:20261214'), ['2026-12-14']],
  ['days up to and without the last', event('DTSTART;VALUE=DATE:20261230\r\nDTEND;VALUE=DATE:20270102'), ['2026-12-30', '2026-12-31', '2027-01-01']], // prettier-ignore
  ['every second Friday, three times', event('DTSTART;VALUE=DATE:20261204\r\nRRULE:FREQ=WEEKLY;INTERVAL=2;COUNT=3'), ['2026-12-04', '2026-12-18', '2027-01-01']], // prettier-ignore
  ['a day of each year, for ever', event('DTSTART;VALUE=DATE:20001225\r\nRRULE:FREQ=YEARLY'), ['2026-12-25', '2027-12-25']],
  ['one day of a row that falls out', event('DTSTART;VALUE=DATE:20261214\r\nRRULE:FREQ=DAILY;COUNT=3\r\nEXDATE;VALUE=DATE:20261215'), ['2026-12-14', '2026-12-16']], // prettier-ignore
  ['every other week since years ago, on two weekdays', event('DTSTART;VALUE=DATE:20061205\r\nRRULE:FREQ=WEEKLY;INTERVAL=2;BYDAY=TU,FR;UNTIL=20261106'), ['2026-10-02', '2026-10-13', '2026-10-16', '2026-10-27', '2026-10-30']], // prettier-ignore
  ['a row whose first day, years ago, is none of its weekdays', event('DTSTART;VALUE=DATE:20061005\r\nRRULE:FREQ=WEEKLY;BYDAY=MO;UNTIL=20261012'), ['2026-10-05', '2026-10-12']], // prettier-ignore
  ['a span of nine hundred years', event('DTSTART;VALUE=DATE:11260101\r\nDTEND;VALUE=DATE:20261003'), ['2026-10-01', '2026-10-02']],
  ['years ago and years ahead', event('DTSTART;VALUE=DATE:20200101') + event('DTSTART;VALUE=DATE:20400101'), []],
])('%s', (_name, events, expected) => {
  expect(days(calendar(events))).toEqual(expected);
});

test('what has a time of day is left with its name and why', () => {
  const text = calendar(
    event('DTSTART:20261214T090000Z\r\nSUMMARY:Choir'),
    event('SUMMARY:Sometime'),
    event('DTSTART;VALUE=DATE:20261214\r\nSUMMARY:Storm'),
  );
  expect(read(text)).toEqual({
    days: [{ date: '2026-12-14', name: 'Storm' }],
    left: [
      { name: 'Choir', why: expect.stringContaining('time of day') },
      { name: 'Sometime', why: expect.stringContaining('no day') },
    ],
  });
});

test('however large and long a calendar is, it comes to an end that is told', () => {
  const row = (rule: string) => event(`DTSTART;VALUE=DATE:19000101\r\nRRULE:${rule}\r\nSUMMARY:Tides`);
  const daily = Array.from({ length: 300 }, () => event('DTSTART;VALUE=DATE:00010101\r\nRRULE:FREQ=DAILY'));
  expect(days(calendar(...daily))).toHaveLength(457);
  const odd = Array.from({ length: 60 }, () => row('FREQ=DAILY;BYMONTH=1,2,3,4;BYDAY=MO,TU,WE,TH,FR;COUNT=5000'));
  expect(read(calendar(...odd)).left).toContainEqual({ name: 'Tides', why: 'It comes again too often to be followed.' });
  const many = calendar(...Array.from({ length: 5001 }, () => event('DTSTART;VALUE=DATE:20261214')));
  expect(() => read(many)).toThrow('This calendar has 5001 entries; up to 5000 are read.');
});

test('whatever text comes, it is read or refused with a sentence', () => {
  const honest = calendar(event('DTSTART;VALUE=DATE:20261214\r\nRRULE:FREQ=WEEKLY;COUNT=3\r\nSUMMARY:Storm'));
  fc.assert(
    fc.property(fc.nat(honest.length), fc.nat(30), fc.string({ maxLength: 20 }), (at, gone, put) => {
      try {
        const { days: found } = read(honest.slice(0, at) + put + honest.slice(at + gone));
        expect(found.every(({ date }) => /^\d{4}-\d\d-\d\d$/.test(date))).toBe(true);
      } catch (error) {
        expect(error).toBeInstanceOf(CoreError);
      }
    }),
    { numRuns: 400 },
  );
});
