/**
 * What the diagnosis takes for granted, all in one place. A pupil is one of a few thousand states: which ideas are held
 * (none, one or two), how firmly, whether in reading alone, and how often an answer is right where no idea is in the way.
 */

/** Chances of holding no idea, one, or two at once, before anything is known. */
export const HELD_PRIOR = [0.5, 0.33, 0.17] as const;

/**
 * Which of the ideas it is: each as likely as one of so many, however many the questions could show. On a rung about six are
 * usual, while its questions could show fifteen.
 */
export const USUAL_IDEAS = 6;

/**
 * How often somebody follows an idea where it makes a difference, each as likely as the others before anything is known:
 * children are helped by a neighbouring question, or remember what was said.
 */
export const FIRMNESSES = [0.6, 0.76, 0.92] as const;

/** Of those who hold an idea about both, how many read by it and set hands right all the same. */
export const ONLY_READS = 0.3;

/** Of what an idea would do at a time that many know by heart all the same, so much is expected of it. */
export const BY_HEART = 0.45;

/** Of the times when both of two ideas come to mind: how often the answer shows both at once, and not only one. */
export const BOTH_AT_ONCE = 0.4;

/** Chances of a right answer where no idea is in the way, careless slips included, and how usual each is. */
export const RIGHT = [
  { chance: 0.45, prior: 0.1 },
  { chance: 0.65, prior: 0.16 },
  { chance: 0.8, prior: 0.24 },
  { chance: 0.9, prior: 0.3 },
  { chance: 0.96, prior: 0.2 },
] as const;

/** Of the answers that are not right without an idea, the share that says so: not sure. */
export const SAYS_NOT_SURE = 0.25;

/**
 * Of the wrong answers without an idea of their own, the share that is what some usual idea would give, another one each time:
 * a slip falls where mistakes are easy. The rest is anything.
 */
export const USUAL_MISTAKES = 0.45;

/** Ideas are let go of: chance from one lesson to the next, and within a lesson from ten answers to the next. Some are taken on. */
export const LETS_GO = { lesson: 0.06, within: 0.02 } as const;
export const TAKES_ON = 0.02;

/** After so many days without a question about it half of the ideas that were held are held no more. */
export const HALF_LIFE_DAYS = 60;

/** Answers that are older are not looked at any more: five months. */
export const LOOKS_BACK_DAYS = 150;

/** From so many chances on something can be said of an idea; fewer are chance. */
export const LEAST_CHANCES = 3;

/** The words for how sure an idea is, by its probability and by how many answers show it. */
export const THRESHOLDS = {
  /** Held: expect it again. */
  settled: { probability: 0.9, hits: 3 },
  /** More likely than not, and seen three times; or twice, where hardly anything else explains it. */
  likely: { probability: 0.5, hits: 3 },
  soon: { probability: 0.9, hits: 2 },
} as const;
