import type { WordPack, WordRule } from './pack.js';

const ONES = [
  'zero', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten', 'eleven', 'twelve', 'thirteen',
  'fourteen', 'fifteen', 'sixteen', 'seventeen', 'eighteen', 'nineteen',
]; // prettier-ignore
const TENS = ['', '', 'twenty', 'thirty', 'forty', 'fifty'];

/** English number words, 0 to 59. */
const NUMBERS = Array.from({ length: 60 }, (_, n) => {
  if (n < 20) return ONES[n]!;
  return n % 10 === 0 ? TENS[n / 10]! : `${TENS[Math.floor(n / 10)]}-${ONES[n % 10]}`;
});

/** The rules that British and American English share but for the words for past and to. */
function rules(past: string, to: string): readonly WordRule[] {
  return [
    { from: 0, to: 0, register: 'past-to', template: '{h} o’clock' },
    { from: 15, to: 15, register: 'past-to', template: `quarter ${past} {h}` },
    { from: 30, to: 30, register: 'past-to', template: 'half past {h}' },
    { from: 45, to: 45, register: 'past-to', template: `quarter ${to} {n}` },
    { from: 1, to: 14, register: 'past-to', template: `{m} ${past} {h}`, fives: true },
    { from: 16, to: 29, register: 'past-to', template: `{m} ${past} {h}`, fives: true },
    { from: 1, to: 29, register: 'past-to', template: `{m} {minutes} ${past} {h}`, fives: false },
    { from: 31, to: 44, register: 'past-to', template: `{left} ${to} {n}`, fives: true },
    { from: 46, to: 59, register: 'past-to', template: `{left} ${to} {n}`, fives: true },
    { from: 31, to: 59, register: 'past-to', template: `{left} {minutes} ${to} {n}`, fives: false },
    { from: 1, to: 9, register: 'hour-minutes', template: '{h} oh {m}' },
    { from: 10, to: 59, register: 'hour-minutes', template: '{h} {m}' },
  ];
}

export const enGB: WordPack = {
  id: 'en-GB',
  language: 'en-GB',
  numbers: NUMBERS,
  minuteWord: ['minute', 'minutes'],
  rules: rules('past', 'to'),
};

export const enUS: WordPack = {
  id: 'en-US',
  language: 'en-US',
  numbers: NUMBERS,
  minuteWord: ['minute', 'minutes'],
  rules: [...rules('past', 'to'), ...rules('after', 'of').filter((r) => r.template.includes('after') || r.template.includes(' of '))],
};
