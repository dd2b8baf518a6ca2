import { narrationMs } from '../lesson/settings.js';
import { kindOf } from '../question-kinds/registry.js';
import type { BeatKind } from './beat-kind.js';

/** Asks an item; on devices it opens for responses. */
export interface AskBeat {
  readonly kind: 'ask';
  readonly itemId: string;
  readonly text: string;
  /** Asked aloud only: devices show it and take no responses. */
  readonly aloud?: true;
}

export const askBeat: BeatKind<AskBeat> = {
  name: 'Ask',
  does: 'ask',
  durationMs: (beat, { settings }) => narrationMs(beat.text, settings) + 2000,
  narration: (beat) => beat.text,
  keeps: [],
  at(_before, beat, _elapsedMs, { itemOf, settings }) {
    const item = itemOf(beat.itemId);
    return kindOf(item).asked(item, settings);
  },
  motionMs: () => 0,
};
