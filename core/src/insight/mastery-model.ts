/**
 * What the mastery of a rung is computed from, all in one place. Mastery is the chance to answer a question of the rung right
 * that cannot be guessed, as it is today. Its logarithm of odds wanders between answers: whoever is taught learns, whoever is
 * not forgets, and after a long time without answers no more is known than at first.
 */

/** Before anything is known: mean and spread of the log-odds. Half of all pupils lie between a third and four fifths. */
export const BEFORE = { mean: 0.4, spread: 1.6 } as const;

/** After so many days without an answer what was known has shrunk to 1/e of what it was. */
export const FORGETTING_DAYS = 110;

/** Within one lesson each answer may teach something: spread that an answer adds to the log-odds. */
export const SPREAD_A_LESSON = 0.35;

/** The log-odds that are looked at: from 3 to 99 of a hundred, in equal steps. */
export const LOWEST = -3.6;
export const HIGHEST = 4.8;
export const LEVELS = 43;

/** The interval that is told holds the truth at this rate. */
export const INTERVAL = 0.8;

/** The words, by what is believed of mastery. */
export const WORDS = {
  /** Below so many answers, or where the interval is wider, nothing is said. */
  leastAnswers: 3,
  widest: 0.55,
  /** *Sure*: it is believed so strongly that mastery is at least so high. */
  sure: { mastery: 0.75, belief: 0.8 },
  /** *Nearly*: believed so strongly to be at least so high; what is neither this nor *not yet* is *now and then*. */
  nearly: { mastery: 0.6, belief: 0.65 },
  /** *Not yet*: the same of mastery being lower. */
  notYet: { mastery: 0.6, belief: 0.75 },
} as const;
