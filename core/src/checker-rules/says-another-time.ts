import { SECONDS_PER_HALF_DAY, toSecondOfDay } from '../time/second-of-day.js';
import { timesInText } from '../words/times-in-text.js';
import { WORD_PACKS } from '../words/registry.js';
import { bestWording } from '../words/say.js';
import type { CheckerRule } from './rule.js';
import { saidIn, withSaid } from './said.js';

/** What is said of a time that is set, or of one that pupils are to set. */
export const saysAnotherTime: CheckerRule = {
  severity: 'error',
  find({ lesson, steps, context }) {
    const pack = WORD_PACKS[lesson.settings.pack];
    return saidIn(lesson).flatMap(({ beat, beatIndex, text }) => {
      const item = beat.kind === 'ask' || beat.kind === 'think' ? context.itemOf(beat.itemId) : null;
      const meant = beat.kind === 'set' ? beat.timeSec : item?.kind === 'set-dial' ? item.timeSec : null;
      const named = meant === null ? [] : timesInText(text, pack);
      const onDial = (sec: number) => sec % SECONDS_PER_HALF_DAY;
      // Who names several times compares them.
      if (meant === null || named.length !== 1 || onDial(named[0]!.at) === onDial(meant)) return [];
      const right = bestWording(toSecondOfDay(meant), pack);
      const { from, to } = named[0]!;
      return [
        {
          at: steps.find((step) => step.beatIndex === beatIndex)!.ref,
          what: `The words say “${text.slice(from, to)}”, and ${item ? 'what counts as right is' : 'the dial shows'} ${right}.`,
          why: 'Pupils believe what they hear.',
          mend: {
            label: `Say ${right}`,
            apply: (one) => withSaid(one, beat.id, (words) => (words === text ? words.slice(0, from) + right + words.slice(to) : words)),
          },
        },
      ];
    });
  },
};
