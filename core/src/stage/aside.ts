import { gearedPose } from '../dial/pose.js';
import { bandKindOf } from '../scene/bands/registry.js';
import { dialOf, TEACHING_LAYERS, type DialMark } from '../scene/dial-state.js';
import { displayAt } from '../scene/display-at.js';
import { CLEAR_STAGE, keepOnStage, type StageState } from '../scene/stage-state.js';
import { withMarks } from '../scene/with-marks.js';
import { toSecondOfDay } from '../time/second-of-day.js';
import { WORD_PACKS } from '../words/registry.js';
import { say } from '../words/say.js';
import { rungIdOf } from '../ladder/registry.js';
import { beatKindOf } from '../beats/registry.js';
import { kindOf, type Item, type Response } from '../question-kinds/registry.js';
import { explain, type ExplainStep } from './explain.js';
import type { Lesson } from '../lesson/lesson.js';
import { stageOfGiven } from './given-stage.js';
import { referenceChart } from './reference-chart.js';
import type { LessonSettings } from '../lesson/settings.js';

/** What a teacher does on the stage beside the script: turns the hands and points. One step brings the script back. */
export interface Aside {
  /** Where the hands were turned to, in seconds since midnight; null while they stand as the script has them. */
  readonly timeSec: number | null;
  /** Pointed at by hand, on top of what the script marks. */
  readonly marks: readonly DialMark[];
  /**
   * What has the stage instead of turned hands: the explanation of `timeSec` as far as one of its steps, the reference
   * chart, or an answer that somebody gave; null for the hands.
   */
  readonly shows: { readonly kind: 'example'; readonly step: string } | { readonly kind: 'chart' } | GivenAnswer | null;
}

/** An answer to talk about. Whose it is, is told nowhere. */
export interface GivenAnswer {
  readonly kind: 'answer';
  readonly item: Item;
  readonly response: Response;
}

export const NEW_ASIDE: Aside = { timeSec: null, marks: [], shows: null };

/** Whether an aside has the stage to itself; marks alone go on top of the script. */
export function leavesScript(aside: Aside): boolean {
  return aside.timeSec !== null || aside.shows !== null;
}

/** The steps of an explanation given beside the script. */
export function exampleSteps(timeSec: number, settings: LessonSettings): readonly ExplainStep[] {
  return explain(toSecondOfDay(timeSec), settings);
}

/** Marks kept at once; the oldest goes first. */
export const MOST_ASIDE_MARKS = 20;

/** What of its lesson an aside follows. */
export type AsideOf = Pick<Lesson, 'settings'> & Partial<Pick<Lesson, 'rung' | 'items'>>;

/** The stage of an explanation as far as a step; one that it does not have is its last. */
function exampleUpTo(timeSec: number, step: string, settings: LessonSettings): StageState {
  const steps = exampleSteps(timeSec, settings);
  const found = steps.findIndex((one) => one.step === step);
  const context = { settings, layers: TEACHING_LAYERS, itemOf: noItems };
  return steps.slice(0, found < 0 ? undefined : found + 1).reduce((before, { beat }) => {
    const kind = beatKindOf(beat);
    return kind.at(keepOnStage(before, kind.keeps), beat, Infinity, context);
  }, CLEAR_STAGE);
}

/** An explanation asks nothing. */
function noItems(id: string): never {
  throw new Error(`An explanation looks up no item, but ${id} was looked for.`);
}

/**
 * The script's stage as the teacher has changed it. Display, words and lines follow the hands; what spoke of the
 * script's time, its board, stem and counts, is left out as soon as the hands show another.
 */
export function stageAside(scripted: StageState, aside: Aside, { settings, rung, items }: AsideOf): StageState {
  if (aside.shows?.kind === 'chart') {
    const times = (items ?? []).flatMap((item) => kindOf(item).timesOf(item));
    return { ...CLEAR_STAGE, chart: referenceChart(rung ?? rungIdOf(times), settings) };
  }
  if (aside.shows?.kind === 'answer') return withMarks(stageOfGiven(aside.shows.item, aside.shows.response, settings), aside.marks);
  if (aside.shows?.kind === 'example' && aside.timeSec !== null) {
    return withMarks(exampleUpTo(aside.timeSec, aside.shows.step, settings), aside.marks);
  }
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
