import { WORD_PACKS } from '../words/registry.js';
import { dayEventsText, readDayEvents } from './day-events.js';

const read = (text: string) => readDayEvents(text, WORD_PACKS['en-GB']);

test('events are read with their times in digits or words, in a child’s day', () => {
  const entry = read('7:30 school ferry\n\nhalf past 4 mail boat\n20:00 lamp lit\nnoon bread from the bakery boat\n12:15 lunch');
  expect('events' in entry && dayEventsText(entry.events)).toBe(
    '07:30 school ferry\n16:30 mail boat\n20:00 lamp lit\n12:00 bread from the bakery boat\n12:15 lunch',
  );
  expect('events' in entry && read(dayEventsText(entry.events))).toEqual(entry);
});

test.each([
  ['9:00 morning assembly', '09:00 morning assembly'],
  ['7 ten pin bowling', '07:00 ten pin bowling'],
  ['9 in the evening choir', '21:00 choir'],
  ['seven ten bread', '07:10 bread'],
  ['half past 4 night ferry', '16:30 night ferry'],
])('the words of “%s” stay with what happens', (line, expected) => {
  const entry = read(line);
  expect('events' in entry && dayEventsText(entry.events)).toBe(expected);
});

test.each([
  ['7:30 ferry\nlamp lit', /^Line 2, “lamp lit”: write the time first/],
  ['16:30', /^Line 1/],
  [`9:00 ${'x'.repeat(41)}`, /40 letters/],
  [Array.from({ length: 13 }, (_, hour) => `${hour}:00 tide`).join('\n'), /At most 12 events/],
])('lines that cannot be read are named: %#', (text, sentence) => {
  expect(read(text)).toEqual({ problem: expect.stringMatching(sentence) });
});
