import { gearedPose } from '../dial/pose.js';
import { narrationMs } from '../lesson/settings.js';
import type { DialMark } from '../scene/dial-state.js';
import { dialOf } from '../scene/dial-state.js';
import { bandKindOf } from '../scene/bands/registry.js';
import { displayAt } from '../scene/display-at.js';
import { displayText } from '../time/display.js';
import { toSecondOfDay, wrapSecondOfDay } from '../time/second-of-day.js';
import type { BeatContext, BeatKind } from './beat-kind.js';

/** Turns geared hands from one time to another, counting on the rim, with stops where there is something to see. */
export interface SweepBeat {
  readonly kind: 'sweep';
  readonly fromSec: number;
  /** Forwards when later than `fromSec`, backwards when earlier. A lesson’s sweep ends within the day; another may go on past midnight, from 86,400 on. */
  readonly toSec: number;
  /** Seconds that one full turn of the minute hand takes, 5 to 120. */
  readonly turnSeconds: number;
  readonly count: 'none' | 'ones' | 'fives' | 'quarters';
  /** Moments on the way where the hands wait and the board says what to look at. */
  readonly stops: readonly { readonly atSec: number; readonly prompt: string }[];
  readonly text: string;
}

/** A piece of a sweep: the hands move from one time to another, or wait when both are the same. */
interface Leg {
  readonly fromSec: number;
  readonly toSec: number;
  readonly ms: number;
  readonly prompt: string | null;
}

/** Below this many seconds a turn, the ones of a display would change more than three times a second. */
const FAST_TURN_SECONDS = 20;

const COUNT_BY = { none: null, ones: 1, fives: 5, quarters: 15 } as const;

function legsOf(beat: SweepBeat, { settings }: BeatContext): Leg[] {
  const forwards = beat.toSec >= beat.fromSec;
  const between = (sec: number) => (forwards ? sec > beat.fromSec && sec <= beat.toSec : sec < beat.fromSec && sec >= beat.toSec);
  const stops = beat.stops.filter((stop) => between(stop.atSec)).sort((a, b) => (forwards ? a.atSec - b.atSec : b.atSec - a.atSec));
  const legs: Leg[] = [];
  let at = beat.fromSec;
  const moveTo = (sec: number) => {
    if (sec !== at) legs.push({ fromSec: at, toSec: sec, ms: (Math.abs(sec - at) / 3600) * beat.turnSeconds * 1000, prompt: null });
    at = sec;
  };
  for (const stop of stops) {
    moveTo(stop.atSec);
    legs.push({ fromSec: at, toSec: at, ms: narrationMs(stop.prompt, settings) + 1500, prompt: stop.prompt });
  }
  moveTo(beat.toSec);
  return legs;
}

const movingMs = (legs: readonly Leg[]) => legs.reduce((sum, leg) => sum + leg.ms, 0);

/** Counting round starts at the hour; only a sweep within one hour forwards counts, as a count aloud would. */
function countMarks(beat: SweepBeat, nowSec: number): DialMark[] {
  // Ones at a fast pace would flicker: they are counted in fives.
  const by = beat.count === 'ones' && beat.turnSeconds < FAST_TURN_SECONDS ? 5 : COUNT_BY[beat.count];
  const hourStart = Math.floor(beat.fromSec / 3600) * 3600;
  const minutes = (nowSec - hourStart) / 60;
  if (by === null || minutes < by || minutes > 60) return [];
  return [{ type: 'count', toMinute: Math.floor(minutes / by) * by, by }];
}

const LONGEST_TRAIL_DEG = 48;

/** The fan behind a fast minute hand: a third of a second of its way, backwards when it runs backwards. */
function trailOf(beat: SweepBeat, nowSec: number): number {
  const gone = (nowSec - beat.fromSec) / 10;
  const trail = Math.min(LONGEST_TRAIL_DEG, Math.abs(gone), 120 / beat.turnSeconds);
  return Math.sign(gone) * trail;
}

export const sweepBeat: BeatKind<SweepBeat> = {
  name: 'Sweep',
  does: 'show',
  about: ({ fromSec, toSec }, { separator }) => [fromSec, toSec].map((at) => displayText(toSecondOfDay(at), separator)).join(' to '),
  durationMs: (beat, context) => Math.max(movingMs(legsOf(beat, context)), narrationMs(beat.text, context.settings)) + 1000,
  narration: (beat) => [beat.text, ...beat.stops.map((stop) => stop.prompt)].filter(Boolean).join(' '),
  motionMs: (beat, context) => movingMs(legsOf(beat, context)),
  keeps: ['dial', 'dials', 'dialPlace', 'bands', 'display'],
  at(before, beat, elapsedMs, context) {
    const legs = legsOf(beat, context);
    let now = beat.fromSec;
    let left = elapsedMs;
    const board: string[] = [];
    for (const leg of legs) {
      if (leg.prompt) board.push(leg.prompt);
      const part = leg.ms === 0 ? 1 : Math.min(1, left / leg.ms);
      now = leg.fromSec + (leg.toSec - leg.fromSec) * part;
      left -= leg.ms;
      if (left < 0) break;
    }
    // Between whole seconds the hands move on smoothly; the display shows the whole minute that has been reached. At a
    // fast pace it goes on in fives and the hand blurs into a trail: nothing may flicker more than three times a second.
    const fast = beat.turnSeconds < FAST_TURN_SECONDS;
    const moving = fast && left < 0;
    const stepSec = moving ? 300 : 60;
    const shown = wrapSecondOfDay(Math.floor(now / stepSec) * stepSec);
    const pose = { hourDeg: (now % 43_200) / 120, minuteDeg: (now % 3600) / 10 };
    const stands = legs.length ? pose : gearedPose(toSecondOfDay(beat.fromSec));
    const dial = dialOf(stands, before.dial?.layers ?? context.layers, countMarks(beat, now));
    return {
      ...before,
      dial: moving && now !== beat.fromSec ? { ...dial, trailDeg: trailOf(beat, now) } : dial,
      display: before.display && displayAt(before.display, shown),
      bands: before.bands.map((band) => bandKindOf(band).at(band, shown)),
      board,
    };
  },
};
