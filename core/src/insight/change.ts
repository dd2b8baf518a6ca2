import { RUNG_IDS, type RungId } from '../ladder/registry.js';
import type { MisconceptionId } from '../misconceptions/registry.js';
import type { ClassPicture, PupilPicture } from './class-picture.js';

/** A change of a class between two moments, with its uncertainty. */
export interface Change {
  /** Of mastery: the mean of its difference, −1 to 1. Of an idea: how many more pupils hold it. */
  readonly difference: number;
  /** Where it lies with 80 of a hundred. */
  readonly interval: readonly [number, number];
  readonly word: 'more' | 'less' | 'none';
  /** Pupils who were looked at: those of whom both moments tell something. */
  readonly pupils: number;
}

export interface ClassChange {
  readonly rungs: readonly { readonly id: RungId; readonly change: Change }[];
  readonly ideas: readonly { readonly id: MisconceptionId; readonly change: Change }[];
}

/** Normal deviate of an interval that holds 80 of a hundred. */
const Z = 1.2816;
/** An idea that fewer pupils than this may hold, counted by how sure that is, is not looked at. */
const LEAST_HELD = 0.5;

/**
 * What changed in a class from one moment to another. What is believed at each of them counts as independent: so a change is
 * told a little later than it could be, and never too early.
 */
export function changeBetween(before: ClassPicture, after: ClassPicture): ClassChange {
  const earlier = new Map(before.pupils.map((pupil) => [pupil.id, pupil]));
  const pairs = after.pupils.flatMap((now) => {
    const then = earlier.get(now.id);
    return then && then.answers > 0 && now.answers > then.answers ? [[then, now] as const] : [];
  });
  return { rungs: RUNG_IDS.flatMap((id) => rungChange(id, pairs)), ideas: ideaChanges(pairs) };
}

type Pair = readonly [PupilPicture, PupilPicture];

function rungChange(id: RungId, pairs: readonly Pair[]) {
  const both = pairs.flatMap(([then, now]) => {
    const [one, other] = [then.mastery[id], now.mastery[id]];
    return one && other && other.answers > one.answers ? [[one, other] as const] : [];
  });
  if (both.length === 0) return [];
  const difference = both.reduce((sum, [then, now]) => sum + now.mean - then.mean, 0) / both.length;
  const variance = both.reduce((sum, [then, now]) => sum + then.spread ** 2 + now.spread ** 2, 0) / both.length ** 2;
  return [{ id, change: changeOf(difference, Math.sqrt(variance), both.length) }];
}

function ideaChanges(pairs: readonly Pair[]) {
  const ids = new Set(pairs.flatMap(([, now]) => now.diagnosis.ideas.map(({ id }) => id)));
  return [...ids].flatMap((id) => {
    const of = ({ diagnosis }: PupilPicture) => diagnosis.ideas.find((one) => one.id === id)?.probability;
    const both = pairs.flatMap(([then, now]) => {
      const [one, other] = [of(then), of(now)];
      return one === undefined || other === undefined ? [] : [[one, other] as const];
    });
    const held = Math.max(...[0, 1].map((place) => both.reduce((sum, pair) => sum + pair[place]!, 0)));
    if (both.length === 0 || held < LEAST_HELD) return [];
    const difference = both.reduce((sum, [then, now]) => sum + now - then, 0);
    const variance = both.reduce((sum, [then, now]) => sum + then * (1 - then) + now * (1 - now), 0);
    return [{ id, change: changeOf(difference, Math.sqrt(variance), both.length) }];
  });
}

function changeOf(difference: number, spread: number, pupils: number): Change {
  const interval = [difference - Z * spread, difference + Z * spread] as const;
  const word = interval[0] > 0 ? 'more' : interval[1] < 0 ? 'less' : 'none';
  return { difference, interval, word, pupils };
}
