import { narrationMs } from '../lesson/settings.js';
import type { BeatKind } from './beat-kind.js';

/** Narration over whatever is shown. */
export interface SayBeat {
  readonly kind: 'say';
  readonly text: string;
}

export const sayBeat: BeatKind<SayBeat> = {
  name: 'Say',
  does: 'say',
  durationMs: (beat, { settings }) => narrationMs(beat.text, settings),
  narration: (beat) => beat.text,
  keeps: ['dial', 'dials', 'dialPlace', 'bands', 'display', 'words', 'board'],
  at: (before) => before,
  motionMs: () => 0,
};
