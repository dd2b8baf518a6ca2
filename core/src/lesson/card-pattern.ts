import { SECONDS_PER_DAY, toSecondOfDay, wrapSecondOfDay, type SecondOfDay } from '../time/second-of-day.js';

/** A pattern of times, one for each school day: the first, and how many minutes on each next one is, over and over. */
export interface CardPattern {
  readonly firstSec: number;
  /** Minutes from card to card, 1 to 12 of them, each −720 to 720 and not 0; begun again at the end. */
  readonly stepsMin: readonly number[];
}

/** The time of a card, past midnight going round. @param card from 1 */
export function cardTime({ firstSec, stepsMin }: CardPattern, card: number): SecondOfDay {
  const round = stepsMin.reduce((sum, step) => sum + step, 0);
  const [rounds, rest] = [Math.floor((card - 1) / stepsMin.length), (card - 1) % stepsMin.length];
  const minutes = rounds * round + stepsMin.slice(0, rest).reduce((sum, step) => sum + step, 0);
  return wrapSecondOfDay(toSecondOfDay(firstSec) + minutes * 60);
}

const MOST_STEPS = 12;
const HALF_DAY_MIN = 720;

/**
 * The shortest pattern that given times follow, each read as the next one on a dial, forwards; null for fewer than two times
 * or the same one twice running.
 * @example patternOf([8:00, 8:30, 9:00, 10:00, 10:30, 11:00]) // 30, 30, 60 minutes on
 */
export function patternOf(times: readonly SecondOfDay[]): CardPattern | null {
  const steps = times.slice(1).map((at, index) => {
    const dayMin = SECONDS_PER_DAY / 60;
    const on = ((((at - times[index]!) / 60) % dayMin) + dayMin) % dayMin;
    return on > HALF_DAY_MIN ? on - dayMin : on;
  });
  if (steps.length === 0 || steps.includes(0)) return null;
  for (let length = 1; length <= Math.min(MOST_STEPS, steps.length); length++) {
    if (steps.every((step, index) => step === steps[index % length])) return { firstSec: times[0]!, stepsMin: steps.slice(0, length) };
  }
  return null;
}
