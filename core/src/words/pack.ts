/** How a time can be put into words: past and to the hour, or hour and minutes one after the other. */
export type Register = 'past-to' | 'hour-minutes';

/**
 * One line of a word pack: a wording for the minutes from `from` to `to`. In the template, `{h}` is the hour, `{n}` the coming hour,
 * `{m}` the minutes past, `{left}` the minutes left to the coming hour, `{minutes}` the word "minute" or "minutes" in agreement.
 */
export interface WordRule {
  /** Minutes past the hour this wording serves, both included, 0 to 59. */
  readonly from: number;
  readonly to: number;
  readonly register: Register;
  readonly template: string;
  /** Serves only minutes that are whole fives, or only those that are not; both when absent. */
  readonly fives?: boolean;
}

/** The wordings of one region as data, best first. A pack that counts from the coming hour needs other templates, not other code. */
export interface WordPack {
  readonly id: string;
  readonly language: string;
  /** Words for 0 to 59. */
  readonly numbers: readonly string[];
  readonly minuteWord: readonly [one: string, many: string];
  readonly rules: readonly WordRule[];
}
