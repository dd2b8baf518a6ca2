import { typedTime, type TypedTime } from '../acts/typed-time.js';
import type { Rng } from '../random/rng.js';
import { wrapSecondOfDay, type SecondOfDay } from '../time/second-of-day.js';
import type { Judgement } from './question-kind.js';
import { isRightVerdict } from './verdict.js';

/** One of several, each as likely as the others. */
export function oneOf<const T>(choices: readonly [T, ...T[]], rng: Rng): T {
  return choices[Math.floor(rng() * choices.length)]!;
}

/** A time beside the right one, as a hurried count gives it: a tick, a five or an hour too far or too short. */
export function timeBeside(at: SecondOfDay, rng: Rng): SecondOfDay {
  return wrapSecondOfDay(at + oneOf([60, -60, 300, -300, 3600, -3600], rng));
}

/**
 * A time typed wrong as children do it: a tick, a five or an hour beside it, a digit wrong, a box left empty, hour and
 * minutes exchanged, digits turned round. What would be right after all becomes the first of these.
 */
export function slipOfTime(at: SecondOfDay, rng: Rng, judge: (typed: TypedTime) => Judgement, key = typedTime(at)): TypedTime {
  const exchanged = { hour: key.minute, minute: key.hour.padStart(2, '0') };
  const turned = { hour: key.hour, minute: [...key.minute].reverse().join('') };
  const beside = typedTime(timeBeside(at, rng));
  const digit = { ...key, minute: `${key.minute[0]}${(Number(key.minute[1]) + oneOf([1, 9], rng)) % 10}` };
  const nothing = { hour: '', minute: '' };
  const slipped = oneOf([beside, digit, { ...key, minute: '' }, nothing, exchanged, turned], rng);
  // Where the time need only be about right, a tick or a five is no mistake.
  return [slipped, beside].find((typed) => !isRightVerdict(judge(typed).verdict)) ?? typedTime(wrapSecondOfDay(at + 3600));
}

/** A list in another order, each as likely as the others. */
export function shuffled<T>(list: readonly T[], rng: Rng): T[] {
  const left = [...list];
  return list.map(() => left.splice(Math.floor(rng() * left.length), 1)[0]!);
}
