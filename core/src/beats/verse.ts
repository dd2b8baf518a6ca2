import { gearedPose } from '../dial/pose.js';
import { narrationMs } from '../lesson/settings.js';
import { dialOf } from '../scene/dial-state.js';
import { toSecondOfDay } from '../time/second-of-day.js';
import type { BeatKind } from './beat-kind.js';
import type { ExpandingKind } from './expanding-kind.js';

/** The teacher's own lines, said or sung, shown line by line with the hands. */
export interface VerseBeat {
  readonly kind: 'verse';
  /** Up to 24; a line with a time turns the hands to it. */
  readonly lines: readonly { readonly text: string; readonly timeSec: number | null }[];
}

/** Between two lines, in milliseconds: a breath. */
const BREATH_MS = 600;

/** A verse as far as it has come: its last line is the one that is said. */
export const verseBeat: BeatKind<VerseBeat> = {
  name: 'Verse',
  does: 'show',
  durationMs: ({ lines }, { settings }) => narrationMs(lines.at(-1)!.text, settings) + BREATH_MS,
  narration: ({ lines }) => lines.at(-1)!.text,
  keeps: ['dial'],
  at(before, { lines }, _elapsedMs, { layers }) {
    const timed = lines.findLast(({ timeSec }) => timeSec !== null);
    const dial = timed ? dialOf(gearedPose(toSecondOfDay(timed.timeSec!)), before.dial?.layers ?? layers) : before.dial;
    return { ...before, dial, board: lines.map(({ text }) => text) };
  },
  motionMs: () => 0,
};

export const verse: ExpandingKind<VerseBeat, VerseBeat> = {
  name: verseBeat.name,
  does: 'show',
  about: ({ lines }) => `${lines.length} lines`,
  expand: ({ lines }) =>
    lines.map((_, index) => ({ step: `line-${index + 1}`, beat: { kind: 'verse', lines: lines.slice(0, index + 1) } })),
};
