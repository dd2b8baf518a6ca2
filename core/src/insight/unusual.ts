import { itemModel } from '../diagnosis/item-model.js';
import { isRightVerdict } from '../question-kinds/verdict.js';
import type { InsightAnswer } from './insight-answer.js';

/** Something about a pupil's answers in one lesson to ask about before anything is made of them: a hint, never a charge. */
export type Unusual =
  | {
      readonly why: 'changed';
      readonly pupilId: string;
      readonly sessionId: string;
      /** Right answers and all, before and after the answer at which they changed. */
      readonly before: readonly [right: number, all: number];
      readonly after: readonly [right: number, all: number];
    }
  | { readonly why: 'alike'; readonly pupilId: string; readonly withId: string; readonly sessionId: string; readonly same: number };

/** Halves of a lesson that are shorter than this say nothing. */
const LEAST_HALF = 5;
/** How much likelier two rates must be than one: chance does this once in some thousand lessons. */
const LEAST_GAIN = 7;
/** Wrong answers that no idea leads to, given by two pupils alike: one may be chance. */
const LEAST_ALIKE = 3;
/** Of the wrong answers that two gave to the same questions, so many are the same. */
const PART_ALIKE = 0.8;

/**
 * Answers of a lesson, by pupil, each pupil's in their order, that may not be one pupil's own: those that change abruptly in the middle of a lesson (a device passed on,
 * somebody helping), and rare mistakes that two pupils make alike (one beside the other). Mistakes that an idea explains do not
 * count: two who hold it make the same ones.
 * Source: the change point by the likelihood ratio of two binomial rates against one (Hinkley and Hinkley, 1970).
 */
export function unusualIn(sessionId: string, pupils: ReadonlyMap<string, readonly InsightAnswer[]>): Unusual[] {
  return [...changesIn(sessionId, pupils), ...alikeIn(sessionId, pupils)];
}

function changesIn(sessionId: string, pupils: ReadonlyMap<string, readonly InsightAnswer[]>): Unusual[] {
  return [...pupils].flatMap(([pupilId, answers]): Unusual[] => {
    const right = answers.map(({ verdict }) => (isRightVerdict(verdict) ? 1 : 0) as number);
    const count = (from: number, to: number) => right.slice(from, to).reduce((sum, one) => sum + one, 0);
    let best: { readonly gain: number; readonly split: number } = { gain: 0, split: 0 };
    for (let split = LEAST_HALF; split <= right.length - LEAST_HALF; split++) {
      const gain =
        logLikelihood(count(0, split), split) +
        logLikelihood(count(split, right.length), right.length - split) -
        logLikelihood(count(0, right.length), right.length);
      if (gain > best.gain) best = { gain, split };
    }
    if (best.gain < LEAST_GAIN) return [];
    const { split } = best;
    return [
      { why: 'changed', pupilId, sessionId, before: [count(0, split), split], after: [count(split, right.length), right.length - split] },
    ];
  });
}

/** Of so many right answers among all, at their own rate. */
function logLikelihood(right: number, all: number): number {
  const part = (some: number) => (some === 0 ? 0 : some * Math.log(some / all));
  return part(right) + part(all - right);
}

function alikeIn(sessionId: string, pupils: ReadonlyMap<string, readonly InsightAnswer[]>): Unusual[] {
  const wrong = [...pupils].map(([pupilId, answers]) => {
    const given = answers.filter(({ verdict }) => !isRightVerdict(verdict) && verdict !== 'blank');
    return { pupilId, byAsking: new Map(given.map((one) => [one.askingId, one])) };
  });
  const found: Unusual[] = [];
  for (const [place, one] of wrong.entries()) {
    for (const other of wrong.slice(place + 1)) {
      const both = [...one.byAsking].flatMap(([asking, answer]) => {
        const theirs = other.byAsking.get(asking);
        return theirs ? [{ answer, isSame: JSON.stringify(answer.response) === JSON.stringify(theirs.response) }] : [];
      });
      const same = both.filter(({ isSame }) => isSame);
      const rare = same.filter(({ answer }) => isRare(answer));
      if (rare.length < LEAST_ALIKE || same.length < PART_ALIKE * both.length) continue;
      found.push(
        { why: 'alike', pupilId: one.pupilId, withId: other.pupilId, sessionId, same: rare.length },
        { why: 'alike', pupilId: other.pupilId, withId: one.pupilId, sessionId, same: rare.length },
      );
    }
  }
  return found;
}

/** Whether no idea leads to an answer. */
function isRare({ item, settings, response, verdict }: InsightAnswer): boolean {
  return itemModel(item, settings)
    .shown(response, verdict)
    .byIdea.every((hit) => hit === 0);
}
