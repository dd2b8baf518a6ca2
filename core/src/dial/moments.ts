/** Twelve hours, in seconds. */
const ROUND_SEC = 43_200;

/**
 * The eleven moments of twelve hours at which the hands coincide, in seconds after 12 o'clock, with fractions: the minute
 * hand gains a turn on the hour hand every 12/11 of an hour.
 */
export function overlapMoments(): number[] {
  return Array.from({ length: 11 }, (_, k) => (k * ROUND_SEC) / 11);
}

/**
 * The 143 moments of twelve hours at which the dial still shows a time when the hands are exchanged, in seconds after 12
 * o'clock. Exchanged hands at t show 12·t; that is a time of the gears where 144·t and t differ by whole rounds.
 */
export function exchangeableMoments(): number[] {
  return Array.from({ length: 143 }, (_, k) => (k * ROUND_SEC) / 143);
}
