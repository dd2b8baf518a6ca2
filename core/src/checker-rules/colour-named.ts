import { tongueOf } from '../talk/registry.js';
import type { CheckerRule } from './rule.js';
import { saidIn, withSaid } from './said.js';
import { sentencesOf } from './sentences.js';

/** A hand by its colour, in either school custom. */
const COLOURS = {
  en: {
    said: /\b(red|blue|green|orange|yellow) (?:hand|one)\b|\bhand in (red|blue|green|orange|yellow)\b/gi,
    length: /\b(short|long|hour|minute)\b/i,
    shape: (isHour: boolean) => `${isHour ? 'short' : 'long'} hand`,
  },
  de: {
    said: /\b(rote|blaue|grüne|orange|gelbe)(n?) (Zeiger)\b/gi,
    length: /\b(kurz|lang|Stunden|Minuten)/i,
    shape: (isHour: boolean, ending = '') => `${isHour ? 'kurze' : 'lange'}${ending} Zeiger`,
  },
} as const;

export const colourNamed: CheckerRule = {
  severity: 'warning',
  find: ({ lesson, steps }) =>
    saidIn(lesson).flatMap(({ beat, beatIndex, text }) => {
      const { said, shape, length } = COLOURS[tongueOf(lesson.settings)];
      // Where the length is said as well, the colour only helps.
      const named = sentencesOf(text)
        .filter((sentence) => !length.test(sentence.text))
        .flatMap((sentence) => sentence.text.match(said) ?? [])[0];
      if (!named) return [];
      // Which colour is which hand is known where the lesson’s dials have them; else the first one named is taken for the short hand.
      const isHour = (colour: string) => /red|rote/i.test(colour);
      return [
        {
          at: steps.find((step) => step.beatIndex === beatIndex)!.ref,
          what: `“${named}” tells a hand by its colour alone.`,
          why: 'Questions show plain hands, as clocks at home have them, and not everybody sees the colours.',
          mend: {
            label: 'Tell the hands by their length',
            apply: (one) =>
              withSaid(one, beat.id, (words) =>
                words.replace(said, (found, _colour: string, ending?: string) =>
                  shape(isHour(found), typeof ending === 'string' ? ending : ''),
                ),
              ),
          },
        },
      ];
    }),
};
