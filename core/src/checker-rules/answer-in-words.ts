import { tongueOf } from '../talk/registry.js';
import { kindOf, type QuestionKindId } from '../question-kinds/registry.js';
import { SECONDS_PER_HALF_DAY } from '../time/second-of-day.js';
import { timesInText } from '../words/times-in-text.js';
import { WORD_PACKS } from '../words/registry.js';
import type { CheckerRule } from './rule.js';
import { saidIn, withSaid } from './said.js';

/** Questions whose answer is the time itself, said or written. */
const FINDS_THE_TIME: ReadonlySet<QuestionKindId> = new Set([
  'read-dial',
  'hour-hand-alone',
  'hands-in-words',
  'write-words',
  'write-display',
  'choose-one',
]);

const THIS_TIME = { en: 'this time', de: 'dieser Zeit' } as const;

export const answerInWords: CheckerRule = {
  severity: 'error',
  find({ lesson, steps, context }) {
    const pack = WORD_PACKS[lesson.settings.pack];
    return saidIn(lesson).flatMap(({ beat, beatIndex, text }) => {
      // What is said right before a question gives it away as well.
      const next = beat.kind === 'say' ? lesson.beats[beatIndex + 1] : beat;
      if (next?.kind !== 'ask' && next?.kind !== 'think') return [];
      const item = context.itemOf(next.itemId);
      if (!FINDS_THE_TIME.has(item.kind)) return [];
      const given = timesInText(text, pack).find(({ at }) =>
        kindOf(item)
          .timesOf(item)
          .some((key) => at === key % SECONDS_PER_HALF_DAY),
      );
      if (!given) return [];
      return [
        {
          at: steps.find((step) => step.beatIndex === beatIndex)!.ref,
          what: `The words give the answer: “${text.slice(given.from, given.to)}”.`,
          why: 'Nobody has to look at the clock any more.',
          mend: {
            label: 'Leave the time out',
            apply: (one) =>
              withSaid(one, beat.id, (words) =>
                words === text ? words.slice(0, given.from) + THIS_TIME[tongueOf(lesson.settings)] + words.slice(given.to) : words,
              ),
          },
        },
      ];
    });
  },
};
