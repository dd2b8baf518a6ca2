import { bandOfChoice, type BandChoice } from '../stage/dial-build.js';
import { narrationMs } from '../lesson/settings.js';
import { timeOnStage } from '../scene/time-on-stage.js';
import type { DialLayers } from '../scene/dial-state.js';
import { layersInWords } from './about-dial.js';
import type { BeatKind } from './beat-kind.js';

/** Shows or hides layers of the dial, or lines under it: also help that fades over a lesson. */
export interface LayersBeat {
  readonly kind: 'layers';
  /** Layers that change; the others stay as they are. */
  readonly layers: Partial<DialLayers>;
  /** Lines and strips under the dial from here on, up to two; as they are where absent. */
  readonly bands?: readonly BandChoice[];
  /** Demonstrations after it begin with these layers too: help that is taken away stays away. */
  readonly lasts: boolean;
  readonly text: string;
}

export const layersBeat: BeatKind<LayersBeat> = {
  name: 'Show or hide',
  does: 'show',
  about: ({ layers }) => layersInWords(layers),
  durationMs: (beat, { settings }) => narrationMs(beat.text, settings) + 1500,
  narration: (beat) => beat.text,
  keeps: ['dial', 'dials', 'dialPlace', 'bands', 'display', 'words', 'board'],
  at(before, beat, _elapsedMs, { settings }) {
    const at = timeOnStage(before);
    return {
      ...before,
      dial: before.dial && { ...before.dial, layers: { ...before.dial.layers, ...beat.layers } },
      bands: beat.bands ? beat.bands.map((choice) => bandOfChoice(choice, { ...settings, events: [] }, at)) : before.bands,
    };
  },
  motionMs: () => 0,
};
