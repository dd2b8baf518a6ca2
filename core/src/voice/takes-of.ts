import { narrationAt } from '../stage/player.js';
import type { PreparedLesson, Step } from '../lesson/prepare.js';
import { sameStep } from '../lesson/step-ref.js';
import { fingerprintOf } from './fingerprint.js';
import type { Take } from './take.js';

/** A step at which somebody speaks, with what was said there. */
export interface VoicedStep {
  readonly step: Step;
  readonly words: string;
  readonly take: Take | null;
  /** The step was changed after its take: what is said may not fit any more. */
  readonly stale: boolean;
}

/** The steps at which a teacher speaks: all but time to think about which nothing is said. */
export function spokenSteps(prepared: PreparedLesson): Step[] {
  return prepared.steps.filter(({ beat, ref }) => beat.kind !== 'think' || narrationAt(prepared, ref).trim() !== '');
}

/** These steps, each with its take: the latest, where there are several. */
export function voicedSteps(prepared: PreparedLesson, takes: readonly Take[]): VoicedStep[] {
  return spokenSteps(prepared).map((step) => {
    const take = latestAt(step, takes);
    return { step, words: narrationAt(prepared, step.ref), take, stale: take !== null && !fits(prepared, take) };
  });
}

/** The take that is heard at a step: none where it does not fit the step any more. */
export function takeFor(prepared: PreparedLesson, step: Step, takes: readonly Take[]): Take | null {
  const take = latestAt(step, takes);
  return take && fits(prepared, take) ? take : null;
}

const latestAt = ({ ref }: Step, takes: readonly Take[]) => takes.findLast(({ at }) => sameStep(at, ref)) ?? null;
const fits = (prepared: PreparedLesson, { at, fingerprint }: Take) => fingerprint === fingerprintOf(prepared, at);
