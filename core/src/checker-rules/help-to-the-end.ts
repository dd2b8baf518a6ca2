import type { CheckerRule } from './rule.js';
import { withBeats } from '../lesson/lesson-parts.js';

/** So many examples with full help are one too many before plain questions. */
const MOST_HELPED = 4;

export const helpToTheEnd: CheckerRule = {
  severity: 'warning',
  find({ lesson, steps }) {
    const helped = steps.filter(
      ({ kind, stepInBeat, context }) => kind === 'worked-example' && stepInBeat === 0 && context.layers.minuteRing === 'full',
    );
    const examples = lesson.beats.filter(({ kind }) => kind === 'worked-example');
    if (examples.length < MOST_HELPED || helped.length < examples.length) return [];
    const last = helped.at(-1)!;
    return [
      {
        at: last.ref,
        what: 'The minute numbers and colours help up to the last example, and the questions are plain.',
        why: 'Pupils lean on help that never fades, and are lost at a plain clock.',
        mend: {
          label: 'Take the help away before the last example',
          apply: (one) =>
            withBeats(one, last.beatIndex, [{ kind: 'layers', layers: { minuteRing: 'none', handInk: 'alike' }, lasts: true, text: '' }]),
        },
      },
    ];
  },
};
