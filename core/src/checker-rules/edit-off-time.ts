import { generatedSteps } from '../beats/worked-example.js';
import type { CheckerRule } from './rule.js';

/** Words of a worked example that were changed, and what they were changed from has changed since. */
export const editOffTime: CheckerRule = {
  severity: 'error',
  find: ({ lesson }) =>
    lesson.beats.flatMap((beat) => {
      if (beat.kind !== 'worked-example' || !beat.edits) return [];
      const generated = new Map(generatedSteps(beat, lesson.settings).map(({ step, beat: made }) => [step as string, made.text]));
      return beat.edits.flatMap(({ step, text, of }) =>
        generated.get(step) === of
          ? []
          : [
              {
                at: { beatId: beat.id, step },
                what: `“${text}” was written for another time or another school.`,
                why: generated.has(step) ? `Here it would be: “${generated.get(step)}”` : 'Here the example has no such step.',
                mend: {
                  label: 'Take the words that fit',
                  apply: (one) => ({
                    ...one,
                    beats: one.beats.map((other) =>
                      other.id === beat.id && other.kind === 'worked-example'
                        ? { ...other, edits: other.edits?.filter((edit) => edit.step !== step) ?? [] }
                        : other,
                    ),
                  }),
                },
              },
            ],
      );
    }),
};
