import { talkOf, tongueOf } from '../talk/registry.js';
import type { LessonSettings } from '../lesson/settings.js';
import { PLAIN_LAYERS, type DialLayers } from '../scene/dial-state.js';
import { displayText } from '../time/display.js';
import type { SecondOfDay } from '../time/second-of-day.js';
import { minuteOfHour } from '../time/second-of-day.js';
import type { Tongue } from '../words/pack.js';
import { partOfDay } from '../words/parts-of-day.js';
import type { Judgement } from './question-kind.js';

interface Shared {
  readonly right: string;
  readonly someRight: string;
  readonly notYet: string;
  readonly haveAGo: string;
  readonly saidSo: string;
  readonly count: string;
  readonly firstHour: string;
  readonly firstMinutes: string;
  readonly twoDigits: string;
  readonly minutesRight: string;
  readonly hourRight: string;
  readonly hoursTo12: string;
  /** A time in digits before its part of the day. */
  readonly digits: (time: string) => string;
}

/** What every kind says in the same words. */
const SHARED: Readonly<Record<Tongue, Shared>> = {
  en: {
    right: 'Yes, that is right.',
    someRight: 'Some of it is right.',
    notYet: 'Not yet.',
    haveAGo: 'Next time, have a go: a guess helps too.',
    saidSo: 'Good that you told me.',
    count: 'Count round from the 12 once more:',
    firstHour: 'Start with the short hand:',
    firstMinutes: 'Start with the long hand and count round from the 12.',
    twoDigits: 'The time is right. The minutes always have two digits.',
    minutesRight: 'Your minutes are right.',
    hourRight: 'Your hour is right.',
    hoursTo12: 'The time is right. After 12 the hours begin again at 1.',
    digits: (time) => time,
  },
  de: {
    right: 'Ja, das stimmt.',
    someRight: 'Etwas davon stimmt.',
    notYet: 'Noch nicht.',
    haveAGo: 'Trau dich beim nächsten Mal: Auch Raten hilft.',
    saidSo: 'Gut, dass du es sagst.',
    count: 'Zähle noch einmal von der 12 herum:',
    firstHour: 'Fang mit dem kurzen Zeiger an:',
    firstMinutes: 'Fang mit dem langen Zeiger an und zähle von der 12 herum.',
    twoDigits: 'Die Zeit stimmt. Die Minuten haben immer zwei Ziffern.',
    minutesRight: 'Deine Minuten stimmen.',
    hourRight: 'Deine Stunde stimmt.',
    hoursTo12: 'Die Zeit stimmt. Nach 12 fangen die Stunden wieder bei 1 an.',
    digits: (time) => `${time} Uhr`,
  },
};

const sharedOf = (settings: LessonSettings): Shared => SHARED[tongueOf(settings)];

/** What is said where nothing is right yet, or only some of it, or all; before the sentence that says what to look at. */
export const opener = ({ verdict }: Judgement, settings: LessonSettings): string => {
  const { right, someRight, notYet } = sharedOf(settings);
  return verdict === 'right' ? right : verdict === 'partly' ? someRight : notYet;
};

/** The hint of a kind whose answer has no parts to praise by themselves: the opener, and what to look at unless all is right. */
export function plainHint(judgement: Judgement, lookAt: string, settings: LessonSettings): string {
  if (judgement.verdict === 'blank') return haveAGo(settings);
  return judgement.verdict === 'right' ? opener(judgement, settings) : `${opener(judgement, settings)} ${lookAt}`;
}

export const haveAGo = (settings: LessonSettings): string => sharedOf(settings).haveAGo;
export const saidSo = (settings: LessonSettings): string => sharedOf(settings).saidSo;

/** Why a time is not in today's form, where only that is left. */
export const aboutForm = (what: 'twoDigits' | 'hoursTo12', settings: LessonSettings): string => sharedOf(settings)[what];

/** "Your minutes are right." */
export const partRight = (part: 'hourRight' | 'minutesRight', settings: LessonSettings): string => sharedOf(settings)[part];

/** The count to the minutes of a time, once more. */
export function countOnceMore(at: SecondOfDay, settings: LessonSettings): string {
  const talk = talkOf(settings);
  // Halves and quarters are seen, not counted.
  return minuteOfHour(at) % 15 === 0
    ? talk.minuteReason(at)
    : minuteOfHour(at) < 6
      ? talk.shortMinutes(at)
      : `${sharedOf(settings).count} ${talk.shortMinutes(at)}`;
}

/** Where to begin, by the order in which the lesson reads the hands; the question about the short hand fits where it stands. */
export function whereToBegin(at: SecondOfDay, settings: LessonSettings): string {
  const { firstHour, firstMinutes } = sharedOf(settings);
  if (settings.readingOrder === 'minute-first') return firstMinutes;
  const talk = talkOf(settings);
  return `${firstHour} ${minuteOfHour(at) === 0 ? talk.whichNumeral : talk.whichHour[settings.betweenRule]}`;
}

/** A 12-hour display with the part of the day: "4:30 in the afternoon", "12:00 noon". */
export function withDayPart(at: SecondOfDay, settings: LessonSettings): string {
  return `${sharedOf(settings).digits(displayText(at, settings.separator))} ${partOfDay(at, tongueOf(settings)).words}`;
}

/** One object each, so that outlets see an unchanged face as unchanged. */
const ZONED_LAYERS: DialLayers = { ...PLAIN_LAYERS, hourZones: true };

/** The layers of a dial that a reason is given on: zones are drawn where the rule speaks of them. */
export const reasonLayers = ({ betweenRule }: LessonSettings): DialLayers => (betweenRule === 'zone' ? ZONED_LAYERS : PLAIN_LAYERS);
