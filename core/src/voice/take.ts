import type { StepRef } from '../lesson/step-ref.js';

/** A stretch of time within a sound, in milliseconds since its beginning; `toMs` is not before `fromMs`. */
export interface Span {
  readonly fromMs: number;
  readonly toMs: number;
}

/** Words that are shown while they are said. */
export interface Cue extends Span {
  readonly text: string;
}

/** What was said at one step of a lesson: all that is kept of it beside the sound itself. */
export interface Take {
  /** Made by whoever records it, so that it is kept once. */
  readonly id: string;
  readonly at: StepRef;
  /** How long the sound is once silence at its ends is cut off, in milliseconds. */
  readonly durationMs: number;
  /** What kind of file the sound is: "audio/webm;codecs=opus". */
  readonly mime: string;
  /** How loud the speech is, in dB below the loudest that can be kept, −100 to 0. */
  readonly speechDb: number;
  /** Where somebody speaks, in order; between them are the pauses. */
  readonly speech: readonly Span[];
  /** The words of the script when it was said. */
  readonly said: string;
  /** Of the step when it was said: another one now, and the take may not fit any more. See fingerprintOf. */
  readonly fingerprint: string;
  /** In order, none over another. */
  readonly cues: readonly Cue[];
  /** Somebody has written or moved the captions: they are not made anew. */
  readonly cuesEdited: boolean;
  /** When it was recorded, in milliseconds since 1970. */
  readonly madeAtMs: number;
  /** Made by a machine for demonstration: nobody spoke. */
  readonly generated?: true;
}

/** A take is at most so long, in milliseconds: whoever speaks longer at one step has forgotten the microphone. */
export const LONGEST_TAKE_MS = 30 * 60_000;
