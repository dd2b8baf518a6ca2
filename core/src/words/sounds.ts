import type { WordPack } from './pack.js';

/**
 * How a word sounds, roughly: a key that words written as they are heard share with the word that is meant ("firty" with
 * "thirty", "fiv" with "five"), while numbers that only look alike keep apart ("thirty", "forty"). The rules are the pack's.
 * Source: the idea of phonetic keys (Russell, 1918; Philips, 1990), with rules for how young children spell.
 */
export function soundOf(word: string, { sounds }: WordPack): string {
  return sounds.reduce((sound, [from, to]) => sound.replace(from, to), word);
}

/** Keys shorter than this say too little. */
const LEAST_SOUND = 3;

/** Whether a sound says enough to be compared. */
export const tellsAWord = (sound: string): boolean => sound.length >= LEAST_SOUND;

type Sounds = readonly (readonly [from: RegExp, to: string])[];

/** English as children spell it: th and v like f, qu like kw, vowels only as front or back. */
export const ENGLISH_SOUNDS: Sounds = [
  [/[^a-z]/g, ''],
  [/ph|th|v/g, 'f'],
  [/gh/g, ''],
  [/qu?|kw|cw/g, 'kw'],
  [/c(?=[eiy])/g, 's'],
  [/c?k|c/g, 'k'],
  [/x/g, 'ks'],
  [/z/g, 's'],
  [/([aeiouy].*[^aeiouy])e$/, '$1'],
  [/u(?=r)/g, 'i'],
  [/[iey][aeiouy]*/g, 'I'],
  [/[aou][aeiouy]*/g, 'O'],
  [/(.)\1+/g, '$1'],
];

/** German as children spell it, umlauts as two letters already. */
export const GERMAN_SOUNDS: Sounds = [
  [/[^a-z]/g, ''],
  [/ph|v/g, 'f'],
  [/th|dt/g, 't'],
  [/chs|cks|ks/g, 'x'],
  [/ck/g, 'k'],
  [/tz|z/g, 'ts'],
  [/(?:ig|ich|ik)$/g, 'IK'],
  [/aeu|eu|oei|oi/g, 'OI'],
  [/ei|ai|ey|ay/g, 'AI'],
  [/ieh|ie|ih/g, 'i'],
  [/([aeiou])h(?![aeiou])(?!t)/g, '$1'],
  [/(.)\1+/g, '$1'],
];
