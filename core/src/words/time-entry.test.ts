import { displayText24 } from '../time/display.js';
import { secondOfDay } from '../time/second-of-day.js';
import type { WordPackId } from './registry.js';
import { readTimeEntry } from './time-entry.js';

const enter = (text: string, pack: WordPackId = 'en-GB', now = secondOfDay(14, 0)) => {
  const entry = readTimeEntry(text, pack, now);
  return 'at' in entry ? displayText24(entry.at) : entry.problem;
};

test.each([
  ['0745', '19:45'],
  ['quarter to 8', '19:45'],
  ['07:45 am', '07:45'],
  ['23:10', '23:10'],
  ['25:00', 'There is no hour 25: hours go from 0 to 23.'],
  ['4:75', 'There is no minute 75: minutes go from 00 to 59.'],
  ['7:60', 'After 59 minutes the next hour begins: write 8:00.'],
  ['7:5', 'Minutes have two digits: write 7:05.'],
  ['', 'Type a time, such as 0745, 7.45 or quarter to 8.'],
  ['x'.repeat(5000), 'That is too long for a time. Type 0745, 7.45 or quarter to 8.'],
  ['halb acht', '“halb acht” is German; this dial speaks British English.'],
  ['puffin', '“puffin” is no time that can be read. Type 0745, 7.45 or quarter to 8.'],
])('“%.20s” typed in the afternoon: %s', (text, expected) => expect(enter(text)).toBe(expected));

test('the half of the day stays where the dial is, and each pack speaks for itself', () => {
  expect(enter('half past 7', 'en-GB', secondOfDay(9, 0))).toBe('07:30');
  expect(enter('halb acht', 'de', secondOfDay(20, 0))).toBe('19:30');
});
