import { MS_PER_DAY } from '../time/spans.js';
import { changeBetween } from './change.js';
import type { ClassPicture } from './class-picture.js';
import type { Mastery, MasteryWord } from './mastery.js';
import { openRungs } from './stands-on.js';

const NOW = 100 * MS_PER_DAY;
const mastery = (word: MasteryWord, daysAgo: number, more: Partial<Mastery> = {}): Mastery => ({
  word,
  mean: 0.5,
  spread: 0.1,
  interval: [0.3, 0.7],
  answers: 10,
  right: 5,
  lastMs: NOW - daysAgo * MS_PER_DAY,
  ...more,
});

test.each([
  [12, []],
  [8, ['half-past']],
])('what was not yet there %i days before a rung further up was sure is open: %j', (daysBefore, open) => {
  expect(openRungs({ mastery: { 'half-past': mastery('not-yet', daysBefore), 'quarter-to': mastery('sure', 0) } })).toEqual(open);
});

test('a change is no change while what was known before is as uncertain as it is large', () => {
  const picture = (mean: number, spread: number, answers: number) =>
    ({
      pupils: [
        {
          id: 'a',
          name: 'Anouk',
          answers,
          diagnosis: { ideas: [] },
          mastery: { 'half-past': mastery('nearly', 1, { mean, spread, answers }) },
        },
      ],
    }) as unknown as ClassPicture;
  const word = (spreadBefore: number) => changeBetween(picture(0.3, spreadBefore, 10), picture(0.8, 0.05, 20)).rungs[0]!.change.word;
  expect([word(0.05), word(0.5)]).toEqual(['more', 'none']);
});
