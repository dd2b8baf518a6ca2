import { reportPose } from '../dial/possible.js';
import { toSecondOfDay, type SecondOfDay } from '../time/second-of-day.js';
import type { StageState } from './stage-state.js';

/** The time the hands on a stage show, or the one nearest to them; 8 o'clock where there is no dial. */
export function timeOnStage(stage: StageState): SecondOfDay {
  const line = stage.bands.find((band) => band.type === 'day-line');
  const nearest = stage.dial ? reportPose(stage.dial.pose).nearest : toSecondOfDay(8 * 3600);
  // The dial alone does not tell morning from evening; a day line on the same stage does.
  const onTheLine = line?.atSec ?? null;
  return onTheLine !== null && onTheLine % 43_200 === nearest % 43_200 ? toSecondOfDay(onTheLine) : nearest;
}
