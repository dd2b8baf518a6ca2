/**
 * What the diagnosis takes for granted, all in one place. A pupil is one of a few thousand states: which ideas are held
 * (none, one or two), how far the skill reaches, and how careless they are.
 */

/** Chances of holding no idea, one, or two at once, before anything is known: while something is being learnt each is about as usual. */
export const HELD_PRIOR = [0.34, 0.36, 0.3] as const;

/**
 * How often somebody follows an idea where it makes a difference. Children who hold one follow it at 75 to 95 of a hundred
 * chances: they are helped by a neighbouring question, or remember what was said.
 */
export const FIRMNESS = 0.85;

/** Of the times when both of two ideas come to mind: how often the answer shows both at once, and not only the stronger. */
export const BOTH_AT_ONCE = 0.4;

/** Chances to know the answer where no idea is in the way: from guessing to sure, each as likely as the others before anything is known. */
export const SKILLS = [0.45, 0.65, 0.85, 0.97] as const;

/** Chances of a careless slip on an answer that is known. */
export const CARELESSNESS = [0.02, 0.07, 0.13] as const;

/** Chance that somebody who does not know the answer says so, instead of guessing. */
export const SAYS_NOT_SURE = 0.3;

/** An answer counts half as much as a new one after so many days: children change their minds by being taught. */
export const HALF_LIFE_DAYS = 21;

/** An answer that counts for less than this is not looked at any more: after seven half-lives, about five months. */
export const FORGOTTEN = 1 / 128;

/** From so many chances on something can be said of an idea; fewer are chance. */
export const LEAST_CHANCES = 3;

/** The words for how sure an idea is, by its probability and by how many answers show it. */
export const THRESHOLDS = {
  /** Held: expect it again. */
  settled: { probability: 0.9, hits: 3 },
  /** More likely than not, and seen more than once. */
  likely: { probability: 0.5, hits: 2 },
} as const;
