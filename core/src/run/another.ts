import { isAboutGoal } from '../ladder/goal.js';
import { RUNG_IDS, RUNGS, rungIdOf, rungOf } from '../ladder/registry.js';
import type { Rung } from '../ladder/rung.js';
import { isOnRung } from '../ladder/rung-times.js';
import type { LessonSettings } from '../lesson/settings.js';
import { predictionsBy, predictionsOf } from '../question-kinds/predictions.js';
import { kindOf, type Item } from '../question-kinds/registry.js';
import type { Rng } from '../random/rng.js';
import { secondOfDay, SECONDS_PER_HALF_DAY } from '../time/second-of-day.js';

/** Questions that are drawn from each rung that may be meant; on a small rung all times may have been asked. */
const DRAWS = 60;
/** How much less alike a question is for each thing: its time was asked, its sort of time, how it asks, an idea that it cannot show, its hour. */
const COST = { asked: 100, sort: 20, way: 20, idea: 3, hour: 10 } as const;

const onDial = (item: Item) =>
  kindOf(item)
    .timesOf(item)
    .map((at) => at % SECONDS_PER_HALF_DAY);
const hoursOf = (item: Item) => onDial(item).map((at) => Math.floor(at / 3600));

/**
 * Another question of the same kind: about the same sort of time (half past after half past), asked in the same way, in which the
 * same ideas would show; of another hour, and about times that were not asked yet where there are such.
 * @param asked every question of the lesson and of the room so far
 * @param beside those of other hours than this one will stand beside
 */
export function anotherLike(
  item: Item,
  asked: readonly Item[],
  id: string,
  settings: LessonSettings,
  rng: Rng,
  beside: readonly Item[] = [],
): Item {
  const kind = kindOf(item);
  const times = kind.timesOf(item);
  const taken = new Set(asked.flatMap(onDial));
  const hours = new Set([item, ...beside].flatMap(hoursOf));
  const sort = rungIdOf(times);
  const ideas = [...predictionsOf(item, settings).keys()];
  const ways = waysOf(item);
  const cost = (made: Item) =>
    (onDial(made).some((at) => taken.has(at)) ? COST.asked : 0) +
    (rungIdOf(kind.timesOf(made)) === sort ? 0 : COST.sort) +
    (waysOf(made) === ways ? 0 : COST.way) +
    (hoursOf(made).some((hour) => hours.has(hour)) ? COST.hour : 0) +
    (ideas.length - predictionsBy(ideas, made, settings).size) * COST.idea;
  let best: { readonly item: Item; readonly cost: number } | null = null;
  for (const rung of rungsFor(item)) {
    for (let draw = 0; draw < DRAWS && best?.cost !== 0; draw++) {
      const made = kind.make(id, rng, rung, settings);
      const costs = cost(made);
      if (!best || costs < best.cost) best = { item: made, cost: costs };
    }
  }
  return best!.item;
}

/** Rungs of which a question may be: the lowest one of its times, and those whose goal it is about and whose times these are. */
function rungsFor(item: Item): readonly Rung[] {
  const times = kindOf(item).timesOf(item);
  const byGoal = RUNG_IDS.map((id) => ({ id, rung: RUNGS[id] as Rung })).filter(
    ({ id, rung }) => rung.goalKinds && isAboutGoal(id, item) && isOnRung(rung, times),
  );
  const rungs = [rungOf(times), ...byGoal.map(({ rung }) => rung)];
  if (times.length !== 1) return rungs;
  // A question about one time is drawn from those of its sort, as far as its kind allows.
  const sort = rungIdOf(times);
  const narrow = (rung: Rung): Rung => ({ ...rung, minutes: rung.minutes.filter((minute) => rungIdOf([secondOfDay(0, minute)]) === sort) });
  return [...rungs.map(narrow), ...rungs];
}

/** How a question asks, its times aside: from words or a display, for the end or the length, of 24 hours. */
function waysOf(item: Item): string {
  const { id: _id, ...fields } = item;
  return JSON.stringify(Object.entries(fields).filter(([, value]) => typeof value === 'string'));
}
