import type { HeardShape, Lexeme, WordPack, WordRule } from './pack.js';
import { ENGLISH_SOUNDS } from './sounds.js';

const ONES =
  'zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(
    ' ',
  );
const TENS = ['', '', 'twenty', 'thirty', 'forty', 'fifty'];

/** English number words, 0 to 59. */
const NUMBERS = Array.from({ length: 60 }, (_, n) => {
  if (n < 20) return ONES[n]!;
  return n % 10 === 0 ? TENS[n / 10]! : `${TENS[Math.floor(n / 10)]}-${ONES[n % 10]}`;
});

/** Wordings past and to the hour with one pair of words for past and to. */
function pastTo(past: string, to: string): readonly WordRule[] {
  return [
    { from: 15, to: 15, register: 'past-to', template: `quarter ${past} {h}` },
    { from: 45, to: 45, register: 'past-to', template: `quarter ${to} {n}` },
    { from: 1, to: 14, register: 'past-to', template: `{m} ${past} {h}`, fives: true },
    { from: 16, to: 29, register: 'past-to', template: `{m} ${past} {h}`, fives: true },
    { from: 1, to: 29, register: 'past-to', template: `{m} {minutes} ${past} {h}`, fives: false },
    { from: 31, to: 44, register: 'past-to', template: `{left} ${to} {n}`, fives: true },
    { from: 46, to: 59, register: 'past-to', template: `{left} ${to} {n}`, fives: true },
    { from: 31, to: 59, register: 'past-to', template: `{left} {minutes} ${to} {n}`, fives: false },
  ];
}

const SHARED_RULES: readonly WordRule[] = [
  { from: 0, to: 0, register: 'past-to', template: '{h} o’clock' },
  { from: 30, to: 30, register: 'past-to', template: 'half past {h}' },
  { from: 1, to: 9, register: 'hour-minutes', template: '{h} oh {m}' },
  { from: 10, to: 59, register: 'hour-minutes', template: '{h} {m}' },
  { from: 0, to: 0, register: 'half-day', template: 'midnight', only: 0 },
  { from: 0, to: 0, register: 'half-day', template: 'noon', only: 720 },
  { from: 0, to: 0, register: 'half-day', template: '{h} {part}' },
  { from: 30, to: 30, register: 'half-day', template: 'half past {h} {part}' },
  { from: 1, to: 9, register: 'half-day', template: '{h} oh {m} {part}' },
  { from: 10, to: 59, register: 'half-day', template: '{h} {m} {part}' },
];

function shapesOf(pasts: readonly string[], tos: readonly string[]): readonly HeardShape[] {
  const around = (words: readonly string[], sign: 1 | -1) =>
    words.flatMap((word): HeardShape[] => [
      { shape: `quarter ${word} H`, base: 15 * sign },
      { shape: `M ${word} H`, sign },
      { shape: `M minutes ${word} H`, sign },
    ]);
  return [
    { shape: 'H' },
    { shape: 'H oclock' },
    { shape: 'half past H', base: 30 },
    { shape: 'half H', base: 30 },
    // Said so in some places; where the pack does not teach "after", it is a slip all the same.
    { shape: 'half after H', base: 30, ...(!pasts.includes('after') && { slip: 1 as const }) },
    ...around(pasts, 1),
    ...around(tos, -1),
    { shape: 'H M', sign: 1, minutes: [10, 59] },
    { shape: 'H M', sign: 1, minutes: [0, 9], padded: true },
    { shape: 'H M', sign: 1, minutes: [1, 9], misconception: 'zero-dropped' },
    { shape: 'H oh M', sign: 1, minutes: [1, 9] },
    { shape: 'H M', sign: 1, minutes: [10, 59], hours: 23 },
    { shape: 'H oh M', sign: 1, minutes: [1, 9], hours: 23 },
  ];
}

const LEXICON: Readonly<Record<string, Lexeme>> = {
  half: { written: ['half'], slips: ['harf', 'haf', 'arf', 'hav', 'halve', 'have', 'hlf', 'hafe', 'hald'] },
  // As it is heard: sounded out, it may begin with c, k, q or qu and end in a vowel.
  quarter: {
    written: ['quarter'],
    slips: ['c', 'k', 'q', 'qu', 'kw', 'qw', 'cw'].flatMap((start) =>
      ['arter', 'ater', 'orter', 'ourter', 'otter', 'oter', 'arta', 'ata', 'orta', 'ota', 'ortr', 'artr', 'artre', 'ort', 'awta']
        .map((end) => start + end)
        .concat('qter'),
    ),
  },
  past: { written: ['past'], slips: ['passed', 'parst', 'pased', 'pass', 'pas', 'pst', 'paste', 'parsed', 'pastt'] },
  to: { written: ['to'], slips: ['too', 'two', '2', 'tu'] },
  oclock: { written: ["o'clock"], slips: ['oclock', 'oclok', 'oclick', 'aclock', 'oklok'] },
  minutes: { written: ['minutes', 'minute', 'mins', 'min'], slips: ['minits', 'minit', 'minets', 'minutse', 'minuets'] },
  oh: { written: ['oh', 'o'], slips: ['ow', 'zero', '0'] },
  noon: { written: ['noon', 'midday'], slips: ['nune', 'mid-day'] },
  midnight: { written: ['midnight'], slips: ['midnite', 'mid-night'] },
  after: { written: ['after'], slips: ['afta', 'aftr'] },
};

const NUMBER_SLIPS = {
  for: 4,
  fore: 4,
  fower: 4,
  won: 1,
  wun: 1,
  to: 2,
  too: 2,
  tow: 2,
  tree: 3,
  free: 3,
  fiv: 5,
  sicks: 6,
  sevin: 7,
  ate: 8,
  eigt: 8,
  elevn: 11,
  leven: 11,
  twelv: 12,
  twelf: 12,
  fourty: 40,
  fiveteen: 15,
  twenny: 20,
  wan: 1,
  oen: 1,
  fif: 5,
  fivety: 50,
  fivty: 50,
  sx: 6,
  svn: 7,
  ait: 8,
  eit: 8,
  eite: 8,
  aight: 8,
  nne: 9,
  tn: 10,
  alevn: 11,
  levn: 11,
  twelw: 12,
};

const SHARED = {
  numbers: NUMBERS,
  hourForms: {},
  minuteForms: {},
  minuteWord: ['minute', 'minutes'],
  displayNouns: { oclock: 1 },
  numberSlips: NUMBER_SLIPS,
  dayParts: { am: 'am', pm: 'pm', morning: 'am', afternoon: 'pm', evening: 'pm', night: 'night' },
  fillers: ['a', 'an', 'the', 'in', 'at', "it's", 'its', 'it', 'is', 'and', 'now', 'exactly', 'about', 'around'],
  openings: [
    'i think the time is',
    'i think it is',
    "i think it's",
    'i think its',
    'i think',
    'i thik',
    'i fink',
    'i thing',
    'the time is now',
    'the time is',
    'the time',
    'time is',
    'it is now',
    "it's now",
    'its now',
    'now it is',
    "now it's",
    'the clock says',
    'the clock shows',
    'my clock says',
    'it says',
    'it shows',
    'my answer is',
    'the answer is',
    'it is about',
    "it's about",
  ],
  otherWords: [
    ...'even none moon soon nein halb boon noun fine line mine wine pine vine dine nice fire live give dive hive file'.split(' '),
    ...'your hour tour pour sour weight height heaven these hall calf halo last cast fast east post pest minus'.split(' '),
  ],
  sounds: ENGLISH_SOUNDS,
  folds: [
    ['1/2', 'half'],
    ['1/4', 'quarter'],
    ['one quarter', 'quarter'],
    ['mid day', 'midday'],
    ['mid night', 'midnight'],
    ['a minute', '1 minute'],
  ],
} as const;

export const enGB: WordPack = {
  ...SHARED,
  id: 'en-GB',
  language: 'en-GB',
  tongue: 'en',
  rules: [...SHARED_RULES, ...pastTo('past', 'to')].sort(bestFirst),
  lexicon: LEXICON,
  shapes: shapesOf(['past'], ['to']),
};

export const enUS: WordPack = {
  ...SHARED,
  id: 'en-US',
  language: 'en-US',
  tongue: 'en',
  rules: [...SHARED_RULES, ...pastTo('past', 'to'), ...pastTo('after', 'of')].sort(bestFirst),
  lexicon: {
    ...LEXICON,
    of: { written: ['of'], slips: ['ov', 'off'] },
    till: { written: ['till', 'til', "'til", 'until'], slips: ['tell', 'untill', 'untell'] },
    before: { written: ['before'], slips: ['befor', 'b4'] },
  },
  shapes: shapesOf(['past', 'after'], ['to', 'of', 'till', 'before']),
};

/** Past and to before hour and minutes, and the words for the half of the day last; the order within stays. */
function bestFirst(a: WordRule, b: WordRule): number {
  const rank = { 'past-to': 0, 'hour-minutes': 1, 'coming-quarters': 2, 'half-day': 3 };
  return rank[a.register] - rank[b.register];
}
