import type { Item, Response } from '../question-kinds/registry.js';
import { minuteOfHour, SECONDS_PER_HALF_DAY, toSecondOfDay } from '../time/second-of-day.js';
import { pairOfAnswer } from './idea-pair.js';
import { misconceptionOf, type MisconceptionId } from './registry.js';

const MINUTES_A_NUMERAL = 5;
/** So many ideas are named beside each other; where more fit, what was wrong says more. */
const MOST_NAMED = 2;

/** An idea as a teacher says it; where that names a numeral, the one at the long hand of this question. */
export function ideaName(id: MisconceptionId, item?: Item): string {
  const { name, nameAt } = misconceptionOf(id);
  const minute = item && 'timeSec' in item ? minuteOfHour(toSecondOfDay(item.timeSec)) : 0;
  return nameAt && minute > 0 && minute % MINUTES_A_NUMERAL === 0 ? nameAt(minute / MINUTES_A_NUMERAL) : name;
}

/**
 * What would explain an answer, in a teacher's words: an idea, or two with "or". Where more of them fit, none is said, but what was
 * wrong: the hour, the minutes, or both. Empty where no idea fits.
 */
export function ideaWords(ids: readonly MisconceptionId[], item: Item, response: Response): string {
  if (ids.length > MOST_NAMED) return whatWasWrong(item, response);
  return ids
    .map((id, place) => {
      const name = ideaName(id, item);
      return place === 0 ? name : name.charAt(0).toLowerCase() + name.slice(1);
    })
    .join(' or ');
}

function whatWasWrong(item: Item, response: Response): string {
  const pair = pairOfAnswer(item, response);
  if (!pair || pair.answeredAt === null) return 'Something else';
  const [asked, answered] = [pair.at, pair.answeredAt].map((at) => toSecondOfDay(at % SECONDS_PER_HALF_DAY));
  const isOtherMinute = minuteOfHour(asked!) !== minuteOfHour(answered!);
  if (!isOtherMinute) return 'Another hour';
  return Math.floor(asked! / 3600) === Math.floor(answered! / 3600) ? 'Other minutes' : 'Another hour and other minutes';
}

/** Verbs whose form with "they" is not the one without its last letter. */
const OF_MANY: Readonly<Record<string, string>> = { Is: 'are', Goes: 'go' };

/** What is said of one pupil, said of several: "Says the coming hour" becomes "They say the coming hour". */
export function saidOfMany(name: string): string {
  const [verb = '', ...rest] = name.split(' ');
  return ['They', OF_MANY[verb] ?? verb.toLowerCase().slice(0, -1), ...rest].join(' ');
}
