/**
 * A place in a lesson by name: it stays where it is when beats are added, moved or removed around it, and when worked
 * examples get more or fewer steps.
 */
export interface StepRef {
  readonly beatId: string;
  /** Name of the step within its beat; {@link ONLY_STEP} where the beat has just one. */
  readonly step: string;
}

/** The step of a beat that plays as itself. */
export const ONLY_STEP = 'beat';

export function sameStep(a: StepRef, b: StepRef): boolean {
  return a.beatId === b.beatId && a.step === b.step;
}
