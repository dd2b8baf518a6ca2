import { motionMs, narrationAt } from '../stage/player.js';
import { prepareLesson, type PreparedLesson, type Step } from '../lesson/prepare.js';
import type { Lesson } from '../lesson/lesson.js';
import { cuesOf } from './align.js';
import { chaptersOf, type Chapter } from './chapters.js';
import type { Cue, Take } from './take.js';
import type { Shot } from './shot.js';
import { takeFor } from './takes-of.js';

/** How a question is waited for in a film: as the script says, always with a countdown, or always with a card that asks to stop the film. */
export type ThinkAs = 'script' | 'countdown' | 'card';

/** A lesson as a film: what is seen and heard when, with captions and chapters. */
export interface Film {
  readonly prepared: PreparedLesson;
  readonly shots: readonly Shot[];
  readonly totalMs: number;
  readonly cues: readonly Cue[];
  readonly chapters: readonly Chapter[];
}

/** A breath between two takes, in milliseconds. */
export const BREATH_MS = 350;
/** A card that asks to stop the film stands so long, in milliseconds: long enough to reach for the button. */
const CARD_MS = 6000;

/**
 * Lays out the film of a lesson. A step lasts as long as its take and its motion; without a take, as long as planned.
 * @throws CoreError what prepareLesson throws
 */
export function filmOf(lesson: Lesson, takes: readonly Take[], thinkAs: ThinkAs): Film {
  const prepared = prepareLesson(waitingAs(lesson, thinkAs));
  let startMs = 0;
  const shots = prepared.steps.map((step): Shot => {
    const take = takeFor(prepared, step, takes);
    const durationMs = durationOf(prepared, step, take);
    const shot = { step, startMs, durationMs, take };
    startMs += durationMs;
    return shot;
  });
  const cues = shots.flatMap((shot) => cuesOfShot(prepared, shot));
  return { prepared, shots, totalMs: startMs, cues, chapters: chaptersOf(prepared, shots) };
}

function waitingAs(lesson: Lesson, thinkAs: ThinkAs): Lesson {
  if (thinkAs === 'script') return lesson;
  const beats = lesson.beats.map((beat) => {
    if (beat.kind !== 'think') return beat;
    const { stops: _stops, ...counts } = beat;
    return thinkAs === 'card' ? ({ ...counts, stops: true } as const) : counts;
  });
  return { ...lesson, beats };
}

function durationOf(prepared: PreparedLesson, step: Step, take: Take | null): number {
  const spokenMs = take ? take.durationMs + BREATH_MS : 0;
  if (step.beat.kind === 'think') return Math.max(spokenMs, step.beat.stops ? CARD_MS : step.beat.seconds * 1000);
  return take ? Math.max(spokenMs, motionMs(prepared, step.ref)) : step.durationMs;
}

function cuesOfShot(prepared: PreparedLesson, { step, startMs, durationMs, take }: Shot): Cue[] {
  const cues = take ? take.cues : cuesOf(narrationAt(prepared, step.ref), [], durationMs);
  return cues.map(({ fromMs, toMs, text }) => ({ fromMs: startMs + fromMs, toMs: startMs + toMs, text }));
}

/** The shot that is on at a moment of a film; before it the first, past its end the last. */
export function shotAt({ shots }: Film, atMs: number): Shot {
  return shots.findLast(({ startMs }) => startMs <= atMs) ?? shots[0]!;
}

/** The caption that is on at a moment, if one is. */
export function cueAt(cues: readonly Cue[], atMs: number): Cue | null {
  return cues.find(({ fromMs, toMs }) => fromMs <= atMs && atMs < toMs) ?? null;
}
