import type { LessonSettings } from '../lesson/settings.js';
import { SECONDS_PER_HALF_DAY } from '../time/second-of-day.js';
import { isNotSure } from './not-sure.js';
import { kindOf, type Item, type Response } from './registry.js';

/** A wording that counts in a class for a time. */
export interface ClassWording {
  readonly wording: string;
  /** Seconds since midnight or noon. */
  readonly timeSec: number;
}

/** An item that takes a class's own wordings of its time, too; the same item where its kind takes no words, or there are none. */
export function acceptingItem(item: Item, wordings: readonly ClassWording[]): Item {
  const { accepting, timesOf } = kindOf(item);
  const [at] = timesOf(item);
  if (!accepting || at === undefined) return item;
  const own = wordings.filter(({ timeSec }) => timeSec === at % SECONDS_PER_HALF_DAY).map(({ wording }) => wording);
  return own.length > 0 ? (accepting(item, own) as Item) : item;
}

/** What a pupil wrote that is not taken for the time: a teacher may let it count for the class. */
export function wordingsOf(item: Item, response: Response, settings: LessonSettings): readonly string[] {
  const { unheard } = kindOf(item);
  return unheard && !isNotSure(response) ? unheard(item, response, settings) : [];
}
