import type { Lesson } from '../../lesson/lesson.js';
import { ONLY_STEP, type StepRef } from '../../lesson/step-ref.js';

// Version 1 stored the number of a step. This is how lessons expanded then; it must not follow `explain` when that changes.

const HOUR = ['hour-hand', 'hour'];
const MINUTES = ['minute-hand', 'minutes'];

/** The steps of a lesson as version 1 counted them. */
export function stepsOfVersion1({ beats, settings }: Lesson): StepRef[] {
  const reading = settings.readingOrder === 'hour-first' ? [...HOUR, ...MINUTES] : [...MINUTES, ...HOUR];
  return beats.flatMap((beat) => {
    if (beat.kind !== 'worked-example') return [{ beatId: beat.id, step: ONLY_STEP }];
    const isPastHalf = Math.floor(beat.timeSec / 60) % 60 > 30;
    return ['look', ...reading, ...(isPastHalf ? ['left'] : []), 'words'].map((step) => ({ beatId: beat.id, step }));
  });
}
