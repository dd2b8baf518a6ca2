import { minuteDigits } from '../time/display.js';
import { exchangeableMoments, overlapMoments } from './moments.js';
import { readHourHand, readMinuteHand } from './one-hand.js';
import { coherenceOf } from './coherence.js';
import { wrapDeg, type Pose } from './pose.js';

/** What of a dial's hands is seen. */
export interface HandsSeen {
  readonly hourHand: boolean;
  readonly minuteHand: boolean;
  /** Both look the same but for their shape. */
  readonly alike: boolean;
}

const ROUND_SEC = 43_200;
/** A moment is told of within this many seconds: less than the dial is read to. */
const NEAR_SEC = 60;

/**
 * What a teacher may want to know about how a dial can be read as it stands: from one hand alone, where the hands cover
 * each other, and where they could be taken for one another. Plain sentences, none where there is nothing to say.
 */
export function dialNotes(pose: Pose, seen: HandsSeen): string[] {
  if (seen.hourHand && !seen.minuteHand) {
    const { minuteOf12, spreadMin } = readHourHand(pose.hourDeg);
    return [`The hour hand alone: about ${digits(minuteOf12)}, give or take ${spreadMin} minutes.`];
  }
  if (seen.minuteHand && !seen.hourHand) {
    const times = readMinuteHand(pose.minuteDeg);
    return [
      `The minute hand alone: ${times.length} times are possible, ${digits(times[0]!)}, ${digits(times[1]!)}, … ${digits(times.at(-1)!)}.`,
    ];
  }
  if (!seen.hourHand) return [];
  const second = wrapDeg(pose.hourDeg) * 120;
  const near = (moments: readonly number[]) =>
    moments.some((moment) => Math.abs(((moment - second + ROUND_SEC * 1.5) % ROUND_SEC) - ROUND_SEC / 2) < NEAR_SEC);
  const notes: string[] = [];
  if (near(overlapMoments())) notes.push('The hands cover each other here.');
  else if (seen.alike && near(exchangeableMoments())) {
    const { hour, minute } = coherenceOf({ hourDeg: pose.minuteDeg, minuteDeg: pose.hourDeg });
    notes.push(`Hands taken for each other would show a time too: about ${hour}:${minuteDigits(Math.round(minute) % 60)}.`);
  }
  return notes;
}

function digits(minuteOf12: number): string {
  const minute = Math.round(minuteOf12) % 720;
  return `${Math.floor(minute / 60) || 12}:${minuteDigits(minute % 60)}`;
}
