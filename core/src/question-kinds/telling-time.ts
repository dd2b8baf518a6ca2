import type { RungTimes } from '../ladder/rung-times.js';
import type { LessonSettings } from '../lesson/settings.js';
import type { MisconceptionId } from '../misconceptions/registry.js';
import { secondOfDay } from '../time/second-of-day.js';
import { makeAbout } from './make-about.js';
import { predictionsBy } from './predictions.js';
import { kindOf, textOfResponse, type Item } from './registry.js';

/** A question of the same kind at whose time two ideas do not answer alike. */
export interface TellingTime {
  readonly item: Item;
  /** What the one and the other answer there, as it reads. */
  readonly answers: readonly [string, string];
}

/** The hours that are tried, those where the numerals are far apart first. */
const HOURS = [2, 8, 4, 10, 5, 7, 1, 11, 3, 9, 6, 12];

/**
 * Where a question cannot tell two ideas apart, because both give the same answer: the first time of its rung at which the same
 * kind of question can.
 * @param apart two ideas that answer `item` alike
 * @returns null where no time of the rung tells them apart
 */
export function timeThatTells(
  item: Item,
  apart: readonly [MisconceptionId, MisconceptionId],
  rung: RungTimes,
  settings: LessonSettings,
): TellingTime | null {
  for (const minute of new Set([...rung.newMinutes, ...rung.minutes])) {
    for (const hour of HOURS) {
      const made = makeAbout(item.kind, secondOfDay(hour % 12, minute), rung, settings, 1);
      if (!made) continue;
      const [one, other] = apart.map((id) => answersOf(id, made, settings));
      if (one!.some((text) => other!.includes(text))) continue;
      return { item: made, answers: [one![0]!, other![0]!] };
    }
  }
  return null;
}

/** What an idea answers, as it reads; the right answer where it makes no difference. */
function answersOf(id: MisconceptionId, item: Item, settings: LessonSettings): readonly string[] {
  const wrong = predictionsBy([id], item, settings).get(id);
  return (wrong ?? [kindOf(item).keyOf(item, settings)]).map((response) => textOfResponse(item, response, settings));
}
