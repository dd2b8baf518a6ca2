import { gearedPose } from '../dial/pose.js';
import { reportPose } from '../dial/possible.js';
import { bandKindOf } from '../scene/bands/registry.js';
import { dialOf, TEACHING_LAYERS, type DialMark } from '../scene/dial-state.js';
import { displayAt } from '../scene/display-at.js';
import { keepOnStage, type StageState } from '../scene/stage-state.js';
import { withMarks } from '../scene/with-marks.js';
import { toSecondOfDay, type SecondOfDay } from '../time/second-of-day.js';
import { WORD_PACKS } from '../words/registry.js';
import { say } from '../words/say.js';
import type { LessonSettings } from './settings.js';

/** What a teacher does on the stage beside the script: turns the hands and points. One step brings the script back. */
export interface Aside {
  /** Where the hands were turned to, in seconds since midnight; null while they stand as the script has them. */
  readonly timeSec: number | null;
  /** Pointed at by hand, on top of what the script marks. */
  readonly marks: readonly DialMark[];
}

export const NEW_ASIDE: Aside = { timeSec: null, marks: [] };

/** Marks kept at once; the oldest goes first. */
export const MOST_ASIDE_MARKS = 20;

/** The time the hands on a stage show, or the one nearest to them; 8 o'clock where there is no dial. */
export function timeOnStage(stage: StageState): SecondOfDay {
  const line = stage.bands.find((band) => band.type === 'day-line');
  const nearest = stage.dial ? reportPose(stage.dial.pose).nearest : toSecondOfDay(8 * 3600);
  // The dial alone does not tell morning from evening; a day line on the same stage does.
  const onTheLine = line?.atSec ?? null;
  return onTheLine !== null && onTheLine % 43_200 === nearest % 43_200 ? toSecondOfDay(onTheLine) : nearest;
}

/**
 * The script's stage as the teacher has changed it. Display, words and lines follow the hands; what spoke of the
 * script's time, its board, stem and counts, is left out as soon as the hands show another.
 */
export function stageAside(scripted: StageState, aside: Aside, settings: LessonSettings): StageState {
  if (aside.timeSec === null) return withMarks(scripted, aside.marks);
  const at = toSecondOfDay(aside.timeSec);
  const { dial, bands, display, words } = scripted;
  const handsPointedAt = dial?.marks.filter(({ type }) => type === 'hand') ?? [];
  return {
    ...keepOnStage(scripted, ['dials', 'dialPlace']),
    dial: dialOf(gearedPose(at), dial?.layers ?? TEACHING_LAYERS, [...handsPointedAt, ...aside.marks]),
    bands: bands.map((band) => bandKindOf(band).at(band, at)),
    display: display && displayAt(display, at),
    words: words.length > 0 ? say(at, WORD_PACKS[settings.pack]).slice(0, words.length > 1 ? undefined : 1) : [],
  };
}
