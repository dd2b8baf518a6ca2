import { seededRng } from '../random/rng.js';
import { answered } from '../testing/insight.js';
import type { InsightAnswer } from './insight-answer.js';
import { unusualIn } from './unusual.js';

const TIMES = Array.from({ length: 16 }, (_, index) => `${(index % 12) + 1}:${index < 12 ? '20' : '40'}`);
const give = (pupilId: string, typed: (shown: string, index: number) => string): readonly [string, InsightAnswer[]] => [
  pupilId,
  TIMES.map((shown, index) => answered(pupilId, shown, typed(shown, index), { atMs: index * 60_000, askingId: `a${index}` })),
];
const right = (shown: string) => shown;
const oddly = (shown: string, index: number) => (index % 3 === 0 ? `${(Number(shown.split(':')[0]) % 12) + 1}:53` : shown);
const whys = (...pupils: (readonly [string, InsightAnswer[]])[]) =>
  unusualIn('s1', new Map(pupils)).map(({ why, pupilId }) => `${pupilId} ${why}`);

test('answers that turn from right to wrong half-way are told, with both halves; what is mixed all along is not', () => {
  const swapped = give('Dov', (shown, index) => (index < 8 ? shown : '1:11'));
  expect(unusualIn('s1', new Map([swapped]))).toEqual([{ why: 'changed', pupilId: 'Dov', sessionId: 's1', before: [8, 8], after: [0, 8] }]);
  expect(
    whys(
      give('Elin', (shown, index) => (index % 2 === 0 ? shown : '1:11')),
      give('Anouk', right),
    ),
  ).toEqual([]);
});

test('rare mistakes made alike are told of both; mistakes that an idea explains are not', () => {
  expect(whys(give('Femi', oddly), give('Gita', oddly), give('Hamza', right))).toEqual(['Femi alike', 'Gita alike']);
  const coming = (shown: string) => `${(Number(shown.split(':')[0]) % 12) + 1}:${shown.split(':')[1]}`;
  expect(whys(give('Inka', coming), give('Jory', coming))).toEqual([]);
});

test('a class of pupils who slip by chance is told nothing of', () => {
  const rng = seededRng(9);
  const pupils = Array.from({ length: 26 }, (_, index) => give(`p${index}`, (shown) => (rng() < 0.8 ? shown : `${1 + Math.floor(12 * rng())}:${10 + Math.floor(50 * rng())}`))); // prettier-ignore
  expect(whys(...pupils)).toEqual([]);
});
