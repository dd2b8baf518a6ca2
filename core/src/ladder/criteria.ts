import { talkOf, tongueOf } from '../talk/registry.js';
import type { LessonSettings } from '../lesson/settings.js';
import type { Rung } from './rung.js';

/** How a pupil knows that a rung is reached, in the school of a lesson: the way of looking first, then what is new. */
export function criteriaOf(rung: Rung, settings: LessonSettings): readonly string[] {
  const { order, between } = talkOf(settings).criteria;
  const isBetween = rung.newMinutes.some((minute) => minute !== 0);
  return [order[settings.readingOrder], ...(isBetween ? [between[settings.betweenRule]] : []), ...rung.criteria[tongueOf(settings)]];
}
