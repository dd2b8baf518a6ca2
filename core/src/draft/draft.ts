import { checkLesson } from '../checker-rules/check.js';
import type { Lesson } from '../lesson/lesson.js';
import { totalMsOf } from '../lesson/prepare.js';
import { Chances } from './chances.js';
import { Drafting } from './drafting.js';
import type { DraftWish } from './wish.js';

/** Part of the target that a draft may be off. */
const TOLERANCE = 0.05;
/** Chance can leave a draft with something to mend: then it is drawn anew, from another seed. */
const MOST_TRIES = 6;
const NEXT_SEED = 7919;

/** Parts that are added to the shortest lesson at most. */
const MOST_EXTRAS = 70;
/** What the shortest lesson usually takes, and each further part, in milliseconds: where the search begins. */
const USUAL_MS = { shortest: 240_000, part: 38_000 } as const;
/** How far think times are stretched or cut to meet the target, as a part of what they should be. */
const STRETCH = [0.6, 1.7] as const;

/**
 * A whole lesson in the order of the work: recall, goal, demonstration, worked examples from easy to tricky, your turn in
 * both directions, mistakes, use, an exit check, what comes next. The same wish gives the same lesson.
 */
export function draftLesson(wish: DraftWish): Lesson {
  const chances = new Chances(wish.settings);
  const tries: { readonly lesson: Lesson; readonly findings: number }[] = [];
  for (let attempt = 0; attempt < MOST_TRIES; attempt++) {
    const lesson = draftOnce({ ...wish, seed: wish.seed + attempt * NEXT_SEED }, chances);
    const findings = checkLesson(lesson).length;
    if (findings === 0) return lesson;
    tries.push({ lesson, findings });
  }
  return tries.reduce((best, one) => (one.findings < best.findings ? one : best)).lesson;
}

function draftOnce(wish: DraftWish, chances: Chances): Lesson {
  const targetMs = wish.minutes * 60_000;
  const made = new Map<number, { readonly lesson: Lesson; readonly totalMs: number }>();
  const at = (extras: number) => {
    let known = made.get(extras);
    if (!known) {
      const lesson = new Drafting(wish, chances).lesson(extras);
      made.set(extras, (known = { lesson, totalMs: totalMsOf(lesson) }));
    }
    return known;
  };
  // Lessons grow with their parts: the first that is as long as wished lies between two that come nearer and nearer, the next
  // one guessed by what a part takes.
  let [tooShort, longEnough] = [-1, MOST_EXTRAS];
  let guess = Math.round((targetMs - USUAL_MS.shortest) / USUAL_MS.part);
  while (longEnough - tooShort > 1) {
    const extras = Math.min(longEnough - 1, Math.max(tooShort + 1, guess));
    const { totalMs } = at(extras);
    if (totalMs < targetMs) tooShort = extras;
    else longEnough = extras;
    const step = Math.round((targetMs - totalMs) / USUAL_MS.part);
    guess = extras + (step === 0 ? Math.sign(targetMs - totalMs) : step);
  }
  const near = [longEnough, tooShort, longEnough + 1].filter((extras) => extras >= 0).map((extras) => at(extras));
  const fits = near.map(({ lesson, totalMs }) => fitted(lesson, totalMs, targetMs));
  const cost = ({ offMs, stretch }: (typeof fits)[number]) =>
    offMs / targetMs > TOLERANCE ? 10 + offMs / targetMs : Math.abs(Math.log(stretch));
  return fits.reduce((best, one) => (cost(one) < cost(best) ? one : best)).lesson;
}

/** The lesson with its think times cut or stretched towards the target. */
function fitted(lesson: Lesson, totalMs: number, targetMs: number) {
  const thinkMs = thinkMsOf(lesson);
  const stretch = Math.min(STRETCH[1], Math.max(STRETCH[0], (targetMs - totalMs + thinkMs) / thinkMs));
  const beats = lesson.beats.map((beat) =>
    beat.kind === 'think' ? { ...beat, seconds: Math.max(8, Math.round(beat.seconds * stretch)) } : beat,
  );
  const changed: Lesson = { ...lesson, beats };
  return { lesson: changed, stretch, offMs: Math.abs(totalMs - thinkMs + thinkMsOf(changed) - targetMs) };
}

const thinkMsOf = ({ beats }: Lesson) => beats.reduce((sum, beat) => sum + (beat.kind === 'think' ? beat.seconds * 1000 : 0), 0);
