import type { Acts } from '../acts/acts.js';
import { timeTyped, type TypedTime } from '../acts/typed-time.js';
import { coherenceOf, STRICTNESS } from '../dial/coherence.js';
import { nearestTime } from '../dial/nearest-time.js';
import { gearedPose, turnDeg, type Pose } from '../dial/pose.js';
import { RUNGS, type RungId } from '../ladder/registry.js';
import type { Rung } from '../ladder/rung.js';
import type { LessonSettings } from '../lesson/settings.js';
import type { Item, Response } from '../question-kinds/registry.js';
import { isNotSure } from '../question-kinds/not-sure.js';
import { secondOfDay, toSecondOfDay, type SecondOfDay } from '../time/second-of-day.js';
import { actsOf } from './distorted-acts.js';
import type { MisconceptionId } from './registry.js';

/** What a pupil with a wrong idea makes of a time, as two dials. */
export interface IdeaPair {
  /** What the pupil did: read the hands, or set them. */
  readonly act: 'read' | 'set';
  /** Seconds since midnight. */
  readonly at: number;
  /** The hands as they were shown, or should have been set. */
  readonly asked: Pose;
  readonly answered: Pose;
  /** The time that was written or set; null where the hands were set so that they agree on none. */
  readonly answeredAt: number | null;
}

/** Hands that differ by less look alike on a small dial, in degrees. */
const SEEN_DEG = 4;
/** Hours in the order in which examples look for one: those where the numerals are far apart first. */
const HOURS = [2, 8, 4, 10, 5, 7, 1, 11, 3, 9, 6, 12];

/**
 * An example of a wrong idea on a rung: the first of its times at which somebody who holds it answers another time. Times that are
 * chosen because they mislead come first.
 * @returns null for an idea that shows neither where a dial is read nor where it is set
 */
export function ideaPair(id: MisconceptionId, rungId: RungId, settings: LessonSettings): IdeaPair | null {
  const [right, acts] = [actsOf([], settings), actsOf([id], settings)];
  const times = timesOn(RUNGS[rungId]);
  for (const at of times) {
    const pair = readPair(at, acts);
    if (pair) return pair;
  }
  for (const at of times) {
    const pair = setPair(at, right, acts);
    if (pair) return pair;
  }
  return null;
}

/** The same from what a pupil answered; null where it was not read from a dial or set on one, or is no time. */
export function pairOfAnswer(item: Item, response: Response): IdeaPair | null {
  if (isNotSure(response)) return null;
  if (item.kind === 'read-dial' && response.kind === 'read-dial') return pairOf('read', toSecondOfDay(item.timeSec), response);
  if (item.kind !== 'set-dial' || response.kind !== 'set-dial') return null;
  const { hourDeg, minuteDeg } = response;
  return { act: 'set', at: item.timeSec, asked: gearedPose(toSecondOfDay(item.timeSec)), answered: { hourDeg, minuteDeg }, answeredAt: timeShownBy({ hourDeg, minuteDeg }) }; // prettier-ignore
}

function readPair(at: SecondOfDay, acts: Acts): IdeaPair | null {
  const [typed] = acts.read(gearedPose(at)).flatMap((read) => acts.digits(read, null));
  return typed ? pairOf('read', at, typed) : null;
}

function setPair(at: SecondOfDay, right: Acts, acts: Acts): IdeaPair | null {
  const [[key], [answered]] = [right.set(at), acts.set(at)];
  if (!key || !answered || !isSeen(key, answered)) return null;
  return { act: 'set', at, asked: key, answered, answeredAt: timeShownBy(answered) };
}

function pairOf(act: 'read', at: SecondOfDay, typed: TypedTime): IdeaPair | null {
  const answeredAt = timeTyped(typed);
  if (answeredAt === null) return null;
  const [asked, answered] = [gearedPose(at), gearedPose(answeredAt)];
  return isSeen(asked, answered) ? { act, at, asked, answered, answeredAt } : null;
}

const isSeen = (one: Pose, other: Pose) =>
  Math.abs(turnDeg(one.hourDeg, other.hourDeg)) >= SEEN_DEG || Math.abs(turnDeg(one.minuteDeg, other.minuteDeg)) >= SEEN_DEG;

/** The time that both hands agree on exactly enough; null where they agree on none. */
const timeShownBy = (pose: Pose): SecondOfDay | null => (coherenceOf(pose).residualDeg <= STRICTNESS.exact ? nearestTime(pose) : null);

function timesOn(rung: Rung): readonly SecondOfDay[] {
  const tricky = rung.tricky.map(({ hour, minute }) => secondOfDay(hour % 12, minute));
  const at = (minutes: readonly number[]) => HOURS.flatMap((hour) => minutes.map((minute) => secondOfDay(hour % 12, minute)));
  return [...tricky, ...at(rung.newMinutes), ...at(rung.minutes)];
}
