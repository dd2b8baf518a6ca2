import { talkOf, tongueOf } from '../talk/registry.js';
import { displayText } from '../time/display.js';
import { hour12, minuteOfHour, type SecondOfDay } from '../time/second-of-day.js';
import type { Tongue } from '../words/pack.js';
import { timesOf } from '../lesson/lesson-parts.js';
import type { CheckerRule } from './rule.js';
import { saidIn, withSaid } from './said.js';
import { isDenied, sentencesOf } from './sentences.js';

/** A rule of thumb that holds for a while and then breaks. */
interface Thumb {
  readonly name: string;
  readonly said: Readonly<Record<Tongue, RegExp>>;
  /** Whether it gives a wrong hour or minute for a time. */
  readonly breaksAt: (at: SecondOfDay) => boolean;
}

const THUMBS: readonly Thumb[] = [
  {
    name: 'the nearest numeral is the hour',
    said: {
      en: /(nearest|closest) (numeral|number|hour)|(numeral|number) ((that )?(it |the (short |hour |little )?hand )?is )?(nearest|closest)|(nearest|closest) to/i,
      de: /nächstgelegene|am nächsten (liegt|ist|steht)/i,
    },
    breaksAt: (at) => minuteOfHour(at) >= 30,
  },
  {
    name: 'the smaller numeral is the hour',
    said: { en: /(smaller|lower) (numeral|number|one|of the two)/i, de: /kleinere(n)? (Zahl|von|der)/i },
    breaksAt: (at) => hour12(at) === 12 && minuteOfHour(at) > 0,
  },
  {
    name: 'the hour hand jumps after a full turn',
    said: {
      en: /(hour|short|little|small) hand (jumps|stays (on|at) its (numeral|number)|does.?n.t move until)|stays (on|at) its (numeral|number) until/i,
      de: /(kurze|kleine|Stunden)-?\s?zeiger springt/i,
    },
    breaksAt: (at) => minuteOfHour(at) > 0,
  },
  {
    name: 'a quarter is 25',
    said: { en: /quarter (is|are|means|makes) (25|twenty-five)/i, de: /Viertel (ist|sind|heißt|bedeutet) (25|fünfundzwanzig)/i },
    breaksAt: (at) => minuteOfHour(at) % 30 === 15,
  },
];

export const toldRule: CheckerRule = {
  severity: 'error',
  find(prepared) {
    const { lesson, steps } = prepared;
    const { settings } = lesson;
    const tongue = tongueOf(settings);
    const shown = timesOf(prepared);
    return saidIn(lesson).flatMap(({ beat, beatIndex, text }) =>
      THUMBS.flatMap(({ name, said, breaksAt }) => {
        const isTold = sentencesOf(text).some((sentence) => said[tongue].test(sentence.text) && !isDenied(sentence.text, tongue));
        const broken = isTold ? shown.find(breaksAt) : undefined;
        if (broken === undefined) return [];
        return [
          {
            at: steps.find((step) => step.beatIndex === beatIndex)!.ref,
            what: `It is told that ${name}: ${displayText(broken, settings.separator)} breaks that.`,
            why: 'A rule that breaks later is harder to unlearn than to avoid.',
            mend: {
              label: 'Tell the rule of the lesson',
              apply: (one) =>
                withSaid(one, beat.id, (words) =>
                  words
                    .replace(/[^.!?]+[.!?]*\s*/g, (sentence) =>
                      said[tongue].test(sentence) ? `${talkOf(settings).criteria.between[settings.betweenRule]} ` : sentence,
                    )
                    .trim(),
                ),
            },
          },
        ];
      }),
    );
  },
};
