import type { Item, Response } from '../question-kinds/registry.js';
import { ideaName, ideaWords, saidOfMany } from './idea-words.js';
import { MISCONCEPTION_IDS, misconceptionOf } from './registry.js';

const at = (timeSec: number): Item => ({ id: 'q', kind: 'read-dial', timeSec });
const read = (hour: string, minute: string): Response => ({ kind: 'read-dial', hour, minute });
const QUARTER_TO_THREE = 2 * 3600 + 45 * 60;

test('an idea that speaks of a numeral names the one of the question; elsewhere the one of the example', () => {
  expect(ideaName('numeral-as-minutes', at(6 * 3600 + 5 * 60))).toBe('Reads the 1 as 1 minute');
  expect(ideaName('numeral-as-minutes', at(7 * 3600 + 30 * 60))).toBe('Reads the 6 as 6 minutes');
  expect(ideaName('numeral-as-minutes', at(7 * 3600 + 23 * 60))).toBe('Reads the 9 as 9 minutes');
  expect(ideaName('coming-hour', at(QUARTER_TO_THREE))).toBe('Says the coming hour');
});

test('two ideas are said with “or”; of more it is said what was wrong', () => {
  const asked = at(QUARTER_TO_THREE);
  expect(ideaWords([], asked, read('3', '45'))).toBe('');
  expect(ideaWords(['nearest-hour', 'coming-hour'], asked, read('3', '45'))).toBe('Takes the nearest numeral or says the coming hour');
  const three = ['nearest-hour', 'coming-hour', 'half-of-coming-hour'] as const;
  expect(ideaWords(three, asked, read('3', '45'))).toBe('Another hour');
  expect(ideaWords(three, asked, read('2', '15'))).toBe('Other minutes');
  expect(ideaWords(three, asked, read('9', '14'))).toBe('Another hour and other minutes');
  expect(ideaWords(three, asked, read('2', '99'))).toBe('Something else');
});

test('every name is a verb that follows a pupil’s name, and can be said of several', () => {
  for (const id of MISCONCEPTION_IDS) {
    const { name } = misconceptionOf(id);
    expect(name).toMatch(/^[A-Z][a-z]*s( |$)/);
    expect(saidOfMany(name)).toMatch(/^They (are|go|[a-z]+[^s]) /);
  }
  expect(saidOfMany('Is one tick out')).toBe('They are one tick out');
});
