import type { WordPack } from '../../words/pack.js';

/** Numbers that hours and fives are named with; where single minutes are asked, all to 29. */
const HOURS = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12];
const FIVES = [20, 25, 30, 45];

/** Words to press: those of the pack’s wordings, and the numbers in them. The same for every time of a rung, so that none is given away. */
export function tilesOf(pack: WordPack, singleMinutes: boolean): readonly string[] {
  const words = pack.rules
    .filter(({ register }) => register !== 'half-day')
    .flatMap(({ template }) => template.split(' '))
    .filter((word) => !word.startsWith('{') && word !== '');
  const numbers = singleMinutes ? Array.from({ length: 29 }, (_, index) => index + 1) : [...HOURS, ...FIVES];
  const minutes = singleMinutes ? pack.minuteWord : [];
  return [...new Set([...words, ...minutes, ...numbers.map((number) => pack.numbers[number]!)])];
}
