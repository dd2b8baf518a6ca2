import { reportPose } from '../dial/possible.js';
import type { CheckerRule } from './rule.js';

/** Hands put by themselves that are no time are an example of what cannot be, or a mistake of the teacher’s. */
export const poseAsTime: CheckerRule = {
  severity: 'error',
  find: ({ lesson, steps }) =>
    lesson.beats.flatMap((beat, beatIndex) => {
      if (beat.kind !== 'show' || beat.build.hands === 'geared' || reportPose(beat.build.freePose).possible) return [];
      const { freePose } = beat.build;
      return [
        {
          at: steps.find((step) => step.beatIndex === beatIndex)!.ref,
          what: 'This dial shows hands that can be no time.',
          why: reportPose(freePose).sentence,
          mend: {
            label: 'Ask whether a clock can look like this',
            apply: (one) => ({
              ...one,
              beats: one.beats.map((other) => (other.id === beat.id ? { id: beat.id, kind: 'possible', pose: freePose, text: '' } : other)),
            }),
          },
        },
      ];
    }),
};
