import type { WordPack } from './pack.js';
import { GERMAN_SOUNDS } from './sounds.js';

const ONES =
  'null eins zwei drei vier fünf sechs sieben acht neun zehn elf zwölf dreizehn vierzehn fünfzehn sechzehn siebzehn achtzehn neunzehn'.split(
    ' ',
  );
const TENS = ['', '', 'zwanzig', 'dreißig', 'vierzig', 'fünfzig'];

/** German number words, 0 to 59: ones before tens, in one word. */
const NUMBERS = Array.from({ length: 60 }, (_, n) => {
  if (n < 20) return ONES[n]!;
  if (n % 10 === 0) return TENS[n / 10]!;
  return `${n % 10 === 1 ? 'ein' : ONES[n % 10]}und${TENS[Math.floor(n / 10)]}`;
});

/**
 * German, as data alone: the half belongs to the coming hour; quarters are counted past and to in the north, and as parts
 * of the coming hour in the south and east.
 */
export const de: WordPack = {
  id: 'de',
  language: 'de',
  tongue: 'de',
  numbers: NUMBERS,
  hourForms: { 1: 'ein' },
  minuteForms: { 1: 'eine' },
  minuteWord: ['Minute', 'Minuten'],
  rules: [
    { from: 0, to: 0, register: 'past-to', template: '{hour} Uhr' },
    { from: 15, to: 15, register: 'past-to', template: 'Viertel nach {h}' },
    { from: 30, to: 30, register: 'past-to', template: 'halb {n}' },
    { from: 45, to: 45, register: 'past-to', template: 'Viertel vor {n}' },
    { from: 1, to: 14, register: 'past-to', template: '{m} nach {h}', fives: true },
    { from: 20, to: 20, register: 'past-to', template: '{m} nach {h}' },
    { from: 20, to: 29, register: 'past-to', template: '{toHalf} vor halb {n}', fives: true },
    { from: 40, to: 40, register: 'past-to', template: '{left} vor {n}' },
    { from: 31, to: 40, register: 'past-to', template: '{pastHalf} nach halb {n}', fives: true },
    { from: 46, to: 59, register: 'past-to', template: '{left} vor {n}', fives: true },
    { from: 1, to: 29, register: 'past-to', template: '{mOf} {minutes} nach {h}', fives: false },
    { from: 31, to: 59, register: 'past-to', template: '{leftOf} {minutes} vor {n}', fives: false },
    { from: 15, to: 15, register: 'coming-quarters', template: 'viertel {n}' },
    { from: 45, to: 45, register: 'coming-quarters', template: 'drei viertel {n}' },
    { from: 1, to: 59, register: 'hour-minutes', template: '{hour} Uhr {m}' },
    { from: 0, to: 0, register: 'half-day', template: 'Mitternacht', only: 0 },
    { from: 0, to: 0, register: 'half-day', template: '{h24} Uhr' },
    { from: 1, to: 59, register: 'half-day', template: '{h24} Uhr {m}' },
  ],
  lexicon: {
    halb: { written: ['halb'], slips: ['hlab', 'halp', 'hab'] },
    viertel: { written: ['viertel'], slips: ['firtel', 'vietel', 'fiertel', 'virtel', 'vierdel'] },
    dreiviertel: { written: ['dreiviertel'], slips: ['dreifirtel', 'dreivirtel'] },
    nach: { written: ['nach'], slips: ['nahc', 'nac', 'nah', 'nch'] },
    vor: { written: ['vor'], slips: ['for', 'vr', 'fohr', 'vohr'] },
    uhr: { written: ['uhr'], slips: ['ur', 'urh', 'uhrr'] },
    minutes: { written: ['minuten', 'minute', 'min'], slips: ['minutn', 'minutten'] },
    noon: { written: ['mittag', 'mittags'], slips: ['mitag'] },
    midnight: { written: ['mitternacht'], slips: ['miternacht', 'mitternach'] },
  },
  displayNouns: { uhr: 0 },
  numberSlips: { ein: 1, eine: 1, zwo: 2, drai: 3, fir: 4, sex: 6, siben: 7, sibn: 7, aht: 8, neuen: 9, zen: 10, zehen: 10, zwelf: 12 },
  dayParts: {
    morgens: 'am',
    morgen: 'am',
    früh: 'am',
    vormittags: 'am',
    vormittag: 'am',
    nachmittags: 'pm',
    nachmittag: 'pm',
    abends: 'pm',
    abend: 'pm',
    nachts: 'night',
    nacht: 'night',
  },
  fillers: ['es', 'ist', 'is', 'um', 'am', 'in', 'der', 'punkt', 'genau', 'jetzt'],
  openings: [
    'ich glaube es ist',
    'ich glaube, es ist',
    'ich denke es ist',
    'ich denke, es ist',
    'ich glaube',
    'ich denke',
    'es ist jetzt',
    'jetzt ist es',
    'die uhr zeigt',
    'die uhr sagt',
    'die zeit ist',
    'es ist ungefähr',
  ],
  otherWords: ['half', 'kalb', 'wir', 'tier', 'bier', 'hier', 'neu', 'nein', 'auch', 'dein', 'mein', 'sein', 'kein', 'uhu'],
  shapes: [
    { shape: 'H' },
    { shape: 'H uhr', hours: 24 },
    { shape: 'H uhr M', sign: 1, hours: 23 },
    { shape: 'halb H', base: -30 },
    { shape: 'viertel nach H', base: 15 },
    { shape: 'viertel vor H', base: -15 },
    { shape: 'viertel H', base: -45 },
    { shape: 'dreiviertel H', base: -15 },
    { shape: 'M nach H', sign: 1 },
    { shape: 'M minutes nach H', sign: 1 },
    { shape: 'M vor H', sign: -1 },
    { shape: 'M minutes vor H', sign: -1 },
    { shape: 'M vor halb H', base: -30, sign: -1 },
    { shape: 'M nach halb H', base: -30, sign: 1 },
    { shape: 'M minutes vor halb H', base: -30, sign: -1 },
    { shape: 'M minutes nach halb H', base: -30, sign: 1 },
  ],
  sounds: GERMAN_SOUNDS,
  folds: [
    ['ü', 'ue'],
    ['ö', 'oe'],
    ['ä', 'ae'],
    ['ß', 'ss'],
    ['1/2', 'halb'],
    ['1/4', 'viertel'],
    ['3/4', 'dreiviertel'],
    ['drei viertel', 'dreiviertel'],
    ['ein viertel', 'viertel'],
    [' und ', 'und'],
  ],
};
