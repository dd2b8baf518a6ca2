import { timesInText } from '../words/times-in-text.js';
import { WORD_PACKS } from '../words/registry.js';
import { bestWording } from '../words/say.js';
import type { CheckerRule } from './rule.js';
import { saidIn, withSaid } from './said.js';

export const untaughtWording: CheckerRule = {
  severity: 'error',
  find({ lesson, steps }) {
    const own = WORD_PACKS[lesson.settings.pack];
    const others = Object.values(WORD_PACKS).filter((pack) => pack !== own && pack.tongue === own.tongue);
    return saidIn(lesson).flatMap(({ beat, beatIndex, text }) => {
      const taught = timesInText(text, own);
      const isTaught = (from: number, to: number) => taught.some((one) => one.from < to && from < one.to);
      const untaught = others.flatMap((pack) => timesInText(text, pack)).find(({ from, to }) => !isTaught(from, to));
      if (!untaught) return [];
      const right = bestWording(untaught.at, own);
      return [
        {
          at: steps.find((step) => step.beatIndex === beatIndex)!.ref,
          what: `“${text.slice(untaught.from, untaught.to)}” is not how this lesson says it.`,
          why: 'A wording that is not taught is asked of nobody.',
          mend: {
            label: `Say ${right}`,
            apply: (one) =>
              withSaid(one, beat.id, (words) =>
                words === text ? words.slice(0, untaught.from) + right + words.slice(untaught.to) : words,
              ),
          },
        },
      ];
    });
  },
};
