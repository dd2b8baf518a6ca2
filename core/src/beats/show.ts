import { type DialBuild, stageOfBuild } from '../stage/dial-build.js';
import { narrationMs } from '../lesson/settings.js';
import type { BeatKind } from './beat-kind.js';

/** Shows a demonstration that was built on the dial and kept in the lesson. */
export interface ShowBeat {
  readonly kind: 'show';
  readonly build: DialBuild;
  readonly text: string;
}

export const showBeat: BeatKind<ShowBeat> = {
  name: 'Show',
  does: 'show',
  durationMs: (beat, { settings }) => narrationMs(beat.text, settings) + 3000,
  narration: (beat) => beat.text,
  keeps: [],
  at: (_before, beat) => stageOfBuild(beat.build),
  motionMs: () => 0,
};
