import type { RungId } from '../ladder/registry.js';
import { referenceChart } from '../stage/reference-chart.js';
import { narrationMs } from '../lesson/settings.js';
import { CLEAR_STAGE } from '../scene/stage-state.js';
import type { BeatKind } from './beat-kind.js';

/** Shows the reference chart of a rung, in the lesson's own school. */
export interface ChartBeat {
  readonly kind: 'chart';
  readonly rung: RungId;
  readonly text: string;
}

/** So long a chart is looked at, at least. */
const LOOK_MS = 8000;

export const chartBeat: BeatKind<ChartBeat> = {
  name: 'Chart',
  does: 'show',
  durationMs: (beat, { settings }) => Math.max(LOOK_MS, narrationMs(beat.text, settings)),
  narration: (beat) => beat.text,
  keeps: [],
  at: (_before, beat, _elapsedMs, { settings }) => ({ ...CLEAR_STAGE, chart: referenceChart(beat.rung, settings) }),
  motionMs: () => 0,
};
