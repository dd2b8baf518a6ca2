import type { Tongue } from '../words/pack.js';
import type { Pose } from './pose.js';
import { turnDeg, wrapDeg } from './pose.js';

/** Degrees within which a hand is at its numeral: half a minute of the hour hand. */
const AT_DEG = 0.25;
/** Degrees from a numeral that are "just past" or "almost at" it: four minutes of the hour hand. */
const CLOSE_DEG = 2.25;

/** Where one hand points: at a numeral, just past it, almost at it, or between it and the next. */
export function placeOfHand(deg: number): { readonly how: 'at' | 'past' | 'almost' | 'between'; readonly numeral: number } {
  const nearest = Math.round(wrapDeg(deg) / 30) % 12 || 12;
  const pastDeg = turnDeg(nearest * 30, deg);
  if (Math.abs(pastDeg) < AT_DEG) return { how: 'at', numeral: nearest };
  if (Math.abs(pastDeg) < CLOSE_DEG) return { how: pastDeg > 0 ? 'past' : 'almost', numeral: nearest };
  return { how: 'between', numeral: Math.floor(wrapDeg(deg) / 30) || 12 };
}

interface Places {
  readonly at: (numeral: number) => string;
  readonly past: (numeral: number) => string;
  readonly almost: (numeral: number) => string;
  readonly between: (numeral: number, next: number) => string;
  readonly ticks: (count: number, numeral: number) => string;
  readonly pose: (hour: string, minute: string) => string;
}

/** How a language says where hands point. */
const PLACES: Readonly<Record<Tongue, Places>> = {
  en: {
    at: (numeral) => `at ${numeral}`,
    past: (numeral) => `just past ${numeral}`,
    almost: (numeral) => `almost at ${numeral}`,
    between: (numeral, next) => `between ${numeral} and ${next}`,
    ticks: (count, numeral) => `${count} ${count === 1 ? 'tick' : 'ticks'} after ${numeral}`,
    pose: (hour, minute) => `The short hour hand points ${hour}. The long minute hand points ${minute}.`,
  },
  de: {
    at: (numeral) => `auf die ${numeral}`,
    past: (numeral) => `kurz hinter die ${numeral}`,
    almost: (numeral) => `fast auf die ${numeral}`,
    between: (numeral, next) => `zwischen ${numeral} und ${next}`,
    ticks: (count, numeral) => `${count} ${count === 1 ? 'Strich' : 'Striche'} hinter die ${numeral}`,
    pose: (hour, minute) => `Der kurze Stundenzeiger zeigt ${hour}. Der lange Minutenzeiger zeigt ${minute}.`,
  },
};

/** Where one hand points, in words a screen reader can speak: "at 6", "just past 6", "between 4 and 5", "almost at 5". */
export function describeHand(deg: number, tongue: Tongue = 'en'): string {
  const { how, numeral } = placeOfHand(deg);
  return PLACES[tongue][how](numeral, (numeral % 12) + 1);
}

/** Which minute tick the minute hand points at, in words; "at 6" where it stands on a numeral. */
export function describeMinuteHand(deg: number, tongue: Tongue = 'en'): string {
  const tick = Math.round(wrapDeg(deg) / 6) % 60;
  if (tick % 5 === 0) return PLACES[tongue].at(tick / 5 || 12);
  return PLACES[tongue].ticks(tick % 5, Math.floor(tick / 5) || 12);
}

/** The picture of a dial in words, without reading the time: what somebody sees, not what it means. */
export function describePose(pose: Pose, tongue: Tongue = 'en'): string {
  return PLACES[tongue].pose(describeHand(pose.hourDeg, tongue), describeMinuteHand(pose.minuteDeg, tongue));
}
