import { talkOf, tongueOf } from '../lesson/talk/registry.js';
import type { LessonSettings } from '../lesson/settings.js';
import { PLAIN_LAYERS, type DialLayers } from '../scene/dial-state.js';
import type { SecondOfDay } from '../time/second-of-day.js';
import { minuteOfHour } from '../time/second-of-day.js';
import type { Tongue } from '../words/pack.js';

/** What every kind says in the same words. */
const SHARED: Readonly<
  Record<Tongue, { readonly haveAGo: string; readonly count: string; readonly firstHour: string; readonly firstMinutes: string }>
> = {
  en: {
    haveAGo: 'Next time, have a go: a guess helps too.',
    count: 'Count round from the 12 once more:',
    firstHour: 'Not yet. Start with the short hand:',
    firstMinutes: 'Not yet. Start with the long hand and count round from the 12.',
  },
  de: {
    haveAGo: 'Trau dich beim nächsten Mal: Auch Raten hilft.',
    count: 'Zähle noch einmal von der 12 herum:',
    firstHour: 'Noch nicht. Fang mit dem kurzen Zeiger an:',
    firstMinutes: 'Noch nicht. Fang mit dem langen Zeiger an und zähle von der 12 herum.',
  },
};

export const haveAGo = (settings: LessonSettings): string => SHARED[tongueOf(settings)].haveAGo;

/** The count to the minutes of a time, once more. */
export function countOnceMore(at: SecondOfDay, settings: LessonSettings): string {
  const counted = talkOf(settings).shortMinutes(at);
  return minuteOfHour(at) < 6 ? counted : `${SHARED[tongueOf(settings)].count} ${counted}`;
}

/** Where to begin, by the order in which the lesson reads the hands; the question about the short hand fits where it stands. */
export function whereToBegin(at: SecondOfDay, settings: LessonSettings): string {
  const { firstHour, firstMinutes } = SHARED[tongueOf(settings)];
  if (settings.readingOrder === 'minute-first') return firstMinutes;
  const talk = talkOf(settings);
  return `${firstHour} ${minuteOfHour(at) === 0 ? talk.whichNumeral : talk.whichHour[settings.betweenRule]}`;
}

/** One object each, so that outlets see an unchanged face as unchanged. */
const ZONED_LAYERS: DialLayers = { ...PLAIN_LAYERS, hourZones: true };

/** The layers of a dial that a reason is given on: zones are drawn where the rule speaks of them. */
export const reasonLayers = ({ betweenRule }: LessonSettings): DialLayers => (betweenRule === 'zone' ? ZONED_LAYERS : PLAIN_LAYERS);
