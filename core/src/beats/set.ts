import { gearedPose } from '../dial/pose.js';
import { narrationMs } from '../lesson/settings.js';
import type { DialLayers } from '../scene/dial-state.js';
import { dialOf } from '../scene/dial-state.js';
import { CLEAR_STAGE, displayOf } from '../scene/stage-state.js';
import { displayText, minuteDigits } from '../time/display.js';
import { hour12, minuteOfHour, toSecondOfDay } from '../time/second-of-day.js';
import { say } from '../words/say.js';
import { WORD_PACKS } from '../words/registry.js';
import type { BeatKind } from './beat-kind.js';

/** Puts dial, display and words to a time and clears what was marked before. */
export interface SetBeat {
  readonly kind: 'set';
  readonly timeSec: number;
  /** The display beside the dial: filled in, empty boxes, or none. */
  readonly display: 'full' | 'empty' | 'none';
  readonly words: boolean;
  /** Layers that differ from those that demonstrations begin with here. */
  readonly layers?: Partial<DialLayers>;
  readonly text: string;
}

/** One object for each layers object of a lesson file, so that outlets see an unchanged face as unchanged. */
const merged = new WeakMap<Partial<DialLayers>, { readonly onto: DialLayers; readonly layers: DialLayers }>();

function layersOf(partial: Partial<DialLayers> | undefined, onto: DialLayers): DialLayers {
  if (!partial) return onto;
  const known = merged.get(partial);
  if (known?.onto === onto) return known.layers;
  const layers = { ...onto, ...partial };
  merged.set(partial, { onto, layers });
  return layers;
}

export const setBeat: BeatKind<SetBeat> = {
  name: 'Set',
  does: 'show',
  about: ({ timeSec }, { separator }) => displayText(toSecondOfDay(timeSec), separator),
  durationMs: (beat, { settings }) => narrationMs(beat.text, settings) + 1000,
  narration: (beat) => beat.text,
  keeps: [],
  at(_before, beat, _elapsedMs, { settings, layers }) {
    const time = toSecondOfDay(beat.timeSec);
    const full = beat.display === 'full';
    return {
      ...CLEAR_STAGE,
      dial: dialOf(gearedPose(time), layersOf(beat.layers, layers)),
      display:
        beat.display === 'none'
          ? null
          : displayOf(full ? String(hour12(time)) : null, full ? minuteDigits(minuteOfHour(time)) : null, settings.separator),
      words: beat.words ? say(time, WORD_PACKS[settings.pack]) : [],
    };
  },
  motionMs: () => 0,
};
