import { handsTogether } from '../talk/talk.js';
import { toSecondOfDay } from '../time/second-of-day.js';
import type { CheckerRule } from './rule.js';

export const overlapWithoutPeek: CheckerRule = {
  severity: 'warning',
  find: ({ lesson, steps }) =>
    lesson.beats.flatMap((beat, beatIndex) => {
      const hidden =
        beat.kind === 'show'
          ? beat.build.hands === 'geared' &&
            !beat.build.layers.peek &&
            handsTogether(toSecondOfDay(beat.build.timeSec - (beat.build.timeSec % 60)))
          : beat.kind === 'set' && beat.layers?.peek === false && handsTogether(toSecondOfDay(beat.timeSec));
      if (!hidden) return [];
      return [
        {
          at: steps.find((step) => step.beatIndex === beatIndex)!.ref,
          what: 'The minute hand hides the hour hand here.',
          why: 'Half of what is to be read cannot be seen.',
          mend: {
            label: 'Let the hour hand show through',
            apply: (one) => ({
              ...one,
              beats: one.beats.map((other) => {
                if (other.id !== beat.id) return other;
                if (other.kind === 'show') return { ...other, build: { ...other.build, layers: { ...other.build.layers, peek: true } } };
                return other.kind === 'set' ? { ...other, layers: { ...other.layers, peek: true } } : other;
              }),
            }),
          },
        },
      ];
    }),
};
