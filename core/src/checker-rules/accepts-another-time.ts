import { SECONDS_PER_HALF_DAY, toSecondOfDay } from '../time/second-of-day.js';
import { hear } from '../words/hear.js';
import { WORD_PACKS } from '../words/registry.js';
import { bestWording } from '../words/say.js';
import type { CheckerRule } from './rule.js';

/** Wordings that a teacher lets count and that say another time. */
export const acceptsAnotherTime: CheckerRule = {
  severity: 'error',
  find({ lesson, steps, context }) {
    const pack = WORD_PACKS[lesson.settings.pack];
    return lesson.beats.flatMap((beat, beatIndex) => {
      const item = beat.kind === 'ask' ? context.itemOf(beat.itemId) : null;
      if (item?.kind !== 'write-words') return [];
      const other = item.accepted?.find((words) => {
        const heard = hear(words, pack);
        return heard.kind === 'time' && heard.minuteOfDay % 720 !== (item.timeSec % SECONDS_PER_HALF_DAY) / 60;
      });
      if (other === undefined) return [];
      return [
        {
          at: steps.find((step) => step.beatIndex === beatIndex)!.ref,
          what: `“${other}” counts as right, and the time is ${bestWording(toSecondOfDay(item.timeSec), pack)}.`,
          why: 'Whoever makes this mistake is told that it is right.',
          mend: {
            label: 'Do not let it count',
            apply: (one) => ({
              ...one,
              items: one.items.map((asked) =>
                asked.id === item.id && asked.kind === 'write-words'
                  ? { ...asked, accepted: asked.accepted?.filter((words) => words !== other) ?? [] }
                  : asked,
              ),
            }),
          },
        },
      ];
    });
  },
};
