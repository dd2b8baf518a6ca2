/**
 * How a wording counts: past and to the hour; hour and minutes one after the other; quarters of the coming hour (a
 * regional way in several languages); or with the half of the day named.
 */
export type Register = 'past-to' | 'hour-minutes' | 'coming-quarters' | 'half-day';

/**
 * One wording for the minutes from `from` to `to`. Slots of the template: `{h}` the hour, `{hour}` the hour in the form it
 * takes before a noun, `{n}` the coming hour, `{h24}` the hour of 24, `{m}` the minutes past, `{left}` the minutes left to
 * the coming hour, `{mOf}` and `{leftOf}` the same before the word for minutes, `{toHalf}` and `{pastHalf}` the minutes before and after the half, `{minutes}` the word for minutes in
 * agreement with the number before it, `{part}` the half or part of the day.
 */
export interface WordRule {
  /** Minutes past the hour this wording serves, both included, 0 to 59. */
  readonly from: number;
  readonly to: number;
  readonly register: Register;
  readonly template: string;
  /** Serves only minutes that are whole fives (true) or only those that are not (false); both when absent. */
  readonly fives?: boolean;
  /** Serves only this moment of the day, in minutes since midnight: noon and midnight have words of their own. */
  readonly only?: number;
}

/**
 * A shape that typed words may have, and what it means: hour·60 + base + sign·M minutes. Words of the shape are names of
 * the lexicon; `H` is an hour, `M` a number of minutes.
 */
export interface HeardShape {
  readonly shape: string;
  readonly base?: number;
  readonly sign?: 1 | -1;
  /** Range of M, both included; 1 to 59 when absent. */
  readonly minutes?: readonly [number, number];
  /** Largest hour this shape takes; 12 when absent. Above 12, and at 0, the hour is one of 24. */
  readonly hours?: number;
  /** Nobody teaches it so, but it is understood: counts as a slip. */
  readonly slip?: 1;
  /** Takes only minutes below ten that are typed with two digits, "05"; the others take none of those that a misconception drops the zero of. */
  readonly padded?: true;
  /** Reads as this time only through a misconception. */
  readonly misconception?: 'zero-dropped';
}

/** A word as it is written, and slips that are known to mean it. Other slips are found by their distance in letters. */
export interface Lexeme {
  readonly written: readonly string[];
  readonly slips?: readonly string[];
}

/** Which half of the day a part of the day names, by the hour of the 12-hour dial. */
export type DayPart = 'am' | 'pm' | 'night';

/** The languages in which lessons talk. */
export type Tongue = 'en' | 'de';

/** The wordings of one region, all of it data. A pack with another way of counting fits without code. */
export interface WordPack {
  readonly id: string;
  readonly language: string;
  readonly tongue: Tongue;
  /** Words for 0 to 59. */
  readonly numbers: readonly string[];
  /** Hours whose word is another one before a noun, by number. */
  readonly hourForms: Readonly<Record<number, string>>;
  /** Numbers of minutes whose word is another one before the word for minutes, by number. */
  readonly minuteForms: Readonly<Record<number, string>>;
  readonly minuteWord: readonly [one: string, many: string];
  readonly rules: readonly WordRule[];
  readonly lexicon: Readonly<Record<string, Lexeme>>;
  /** Words of the lexicon that may stand behind a display, "7:30 Uhr", and whether that is a slip (1) or not (0). */
  readonly displayNouns: Readonly<Record<string, 0 | 1>>;
  /** Slips and homophones of single numbers: "for" is four. */
  readonly numberSlips: Readonly<Record<string, number>>;
  /** Parts of the day as typed, and what they mean. */
  readonly dayParts: Readonly<Record<string, DayPart>>;
  /** Words that carry no time. */
  readonly fillers: readonly string[];
  /** What a word sounds like, as rewriting rules one after the other; see {@link file://./sounds.ts}. */
  readonly sounds: readonly (readonly [from: RegExp, to: string])[];
  /** What may be said before a time: "I think", longer ones first. */
  readonly openings: readonly string[];
  /** Words that are none of the pack's with a slip in it, though only a letter apart: "moon" is not noon. */
  readonly otherWords: readonly string[];
  readonly shapes: readonly HeardShape[];
  /** Spellings that stand for another without being a slip, "ue" for "ü" for one. */
  readonly folds: readonly (readonly [from: string, to: string])[];
}
