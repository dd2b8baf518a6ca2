import { isMovingBeat, type MovingBeat } from '../beats/moving.js';
import type { BeatBase } from '../beats/registry.js';
import { leavesScript, stageAside, type Aside } from '../stage/aside.js';
import { motionMs, stageAt, stageBefore, stepAt } from '../stage/player.js';
import type { PreparedLesson } from '../lesson/prepare.js';
import type { LessonSettings } from '../lesson/settings.js';
import { kindOf, type ItemView, type KindResponse } from '../question-kinds/registry.js';
import type { DialMark } from '../scene/dial-state.js';
import type { StageState } from '../scene/stage-state.js';
import type { AskingPhase } from './asking.js';
import { currentAsking, isRevealed, type Run } from './run.js';
import { stageOfRun } from './run-stage.js';

/** What a pupil's device is told of where a run stands: either a stage or a question. */
export interface RunView {
  /** A stage to play on from `before`; where `beat` is null nothing moves and `before` is what is seen. */
  readonly stage: {
    readonly before: StageState;
    readonly beat: MovingBeat | null;
    readonly settings: LessonSettings;
    readonly elapsedMs: number;
    readonly motionMs: number;
    /** Pointed at by the teacher, on top. */
    readonly marks: readonly DialMark[];
    /** The teacher turns the hands: they glide from where they were last seen. */
    readonly glides: boolean;
  } | null;
  readonly question: {
    readonly askingId: string;
    readonly view: ItemView;
    readonly phase: AskingPhase;
    readonly countdown: StageState['countdown'];
    /** The stage with the key and its reason; null before the reveal. */
    readonly answer: StageState | null;
    /** The right response, as a pupil would give it; null before the reveal. */
    readonly key: KindResponse | null;
  } | null;
}

/**
 * The only place that decides what a device sees of a run, in a live room and at own pace alike: nothing of a key before
 * its question is revealed.
 * @param aside what a teacher shows beside the script; null at own pace
 * @param elapsedMs milliseconds since the run entered where it stands
 */
export function viewOfRun(prepared: PreparedLesson, run: Run, aside: Aside | null, elapsedMs: number): RunView {
  const asking = currentAsking(run, prepared);
  // A pupil who is answering keeps the question; everybody else sees what the teacher shows beside the script.
  if (!asking || (aside && asking.phase !== 'open')) return { stage: stageView(prepared, run, aside, elapsedMs), question: null };
  const { id, item, phase } = asking;
  const { settings } = prepared.lesson;
  const kind = kindOf(item);
  const isThinking = run.besideId === null && phase === 'open' && stepAt(prepared, run.at).beat.kind === 'think';
  return {
    stage: null,
    question: {
      askingId: id,
      view: kind.viewOf(item, settings),
      phase,
      countdown: isThinking ? stageAt(prepared, run.at, elapsedMs).countdown : null,
      answer: phase === 'revealed' ? kind.answered(item, settings) : null,
      key: phase === 'revealed' ? kind.keyOf(item, settings) : null,
    },
  };
}

function stageView(prepared: PreparedLesson, run: Run, aside: Aside | null, elapsedMs: number): RunView['stage'] {
  const step = stepAt(prepared, run.at);
  const { settings } = prepared.lesson;
  const marks = aside?.marks ?? [];
  const still = { beat: null, settings, elapsedMs, motionMs: 0, glides: false };
  const settled = stageOfRun(prepared, run, Infinity);
  if (aside && leavesScript(aside)) {
    return { ...still, before: stageAside(settled, aside, prepared.lesson), marks: [], glides: aside.shows === null };
  }
  if (run.besideId !== null || !isMovingBeat(step.beat)) return { ...still, before: settled, marks };
  const before = stageBefore(step, isRevealed(run));
  // The words the teacher says are the teacher's to say: the desk needs only what is seen.
  return { ...still, before, beat: movingOnly(step.beat), motionMs: motionMs(prepared, run.at), marks };
}

/** The beat without its words, and without what a lesson keeps beside every beat: the note is the teacher's alone. */
function movingOnly(beat: MovingBeat): MovingBeat {
  const { id: _id, note: _note, plannedSec: _plannedSec, ...rest } = beat as MovingBeat & Partial<BeatBase>;
  return { ...rest, text: '' };
}
