import { CoreError } from '../errors.js';
import { stepAt } from '../stage/player.js';
import type { PreparedLesson } from '../lesson/prepare.js';
import type { StepRef } from '../lesson/step-ref.js';
import { sameJson } from '../same-json.js';
import type { Item } from '../question-kinds/registry.js';
import { askingOfScript, withAsking, type Asking, type AskingPhase } from './asking.js';

/**
 * Where somebody stands in a lesson: a live room has one run, a lesson at own pace one for each pupil. A question of the
 * script opens when its ask beat is reached, closes when the run leaves it, and is revealed by its answer beat; what is
 * revealed stays so. A question can also be asked beside the script: once more, or one that is in no lesson.
 */
export interface Run {
  readonly at: StepRef;
  /** When the step began, or the question beside it was put, in milliseconds since 1970 by the server's clock. */
  readonly enteredAtMs: number;
  /** Every question that was asked, in the order they were asked. */
  readonly askings: readonly Asking[];
  /** The asking that is put beside the script, until the next step; null while the script goes on. */
  readonly besideId: string | null;
  /** When each beat was reached, in the order they were: what the lesson really took. */
  readonly trail: readonly { readonly beatId: string; readonly atMs: number }[];
}

/** A lesson that goes to and fro without end keeps the latest of its trail. */
const LONGEST_TRAIL = 1000;

/** A run that has not begun: it stands at the first step and has asked nothing. */
export function newRun(prepared: PreparedLesson): Run {
  return { at: prepared.steps[0]!.ref, enteredAtMs: 0, askings: [], besideId: null, trail: [] };
}

/** The item that a step of the script puts to devices, or null; what is asked aloud is only seen on the stage. */
function itemIdAt(prepared: PreparedLesson, at: StepRef): string | null {
  const { beat } = stepAt(prepared, at);
  return 'itemId' in beat && !prepared.aloud.has(beat.itemId) ? beat.itemId : null;
}

/** The asking that is on the stage now: the one beside the script, or that of the step; null where nothing is asked. */
export function currentAsking(run: Run, prepared: PreparedLesson): Asking | null {
  if (run.besideId !== null) return run.askings.find(({ id }) => id === run.besideId) ?? null;
  const itemId = itemIdAt(prepared, run.at);
  return itemId === null ? null : (askingOfScript(run.askings, itemId) ?? null);
}

/** Whether the answer to an item may be seen: it was revealed, however often it is asked again. */
export function isRevealed(run: Run): (itemId: string) => boolean {
  return (itemId) => run.askings.some(({ item, phase }) => item.id === itemId && phase === 'revealed');
}

/** The run at another step. @throws CoreError ROOM_POSITION_RANGE */
export function enterStep(run: Run, to: StepRef, prepared: PreparedLesson, nowMs: number): Run {
  const step = stepAt(prepared, to);
  const itemId = itemIdAt(prepared, to);
  const closed = closeAll(run.askings, nowMs, itemId);
  const isNewBeat = run.trail.at(-1)?.beatId !== step.ref.beatId;
  const trail = isNewBeat ? [...run.trail, { beatId: step.ref.beatId, atMs: nowMs }].slice(-LONGEST_TRAIL) : run.trail;
  return {
    at: step.ref,
    enteredAtMs: nowMs,
    askings: reach(closed, step.beat.kind, itemId, prepared, nowMs),
    besideId: null,
    trail,
  };
}

/** What reaching a beat does to the question it is about. */
function reach(
  askings: readonly Asking[],
  kind: string,
  itemId: string | null,
  prepared: PreparedLesson,
  nowMs: number,
): readonly Asking[] {
  if (itemId === null) return askings;
  const asking = askingOfScript(askings, itemId);
  if (asking?.phase === 'revealed') return askings;
  // Coming back to an ask beat opens it again; think time leaves it as it was left.
  const phase: AskingPhase = kind === 'answer' ? 'revealed' : kind === 'ask' || !asking ? 'open' : asking.phase;
  const closedAtMs = phase === 'open' ? null : (asking?.closedAtMs ?? nowMs);
  return withAsking(askings, { id: itemId, item: prepared.context.itemOf(itemId), phase, closedAtMs });
}

/** Closes every open question but that of an item. */
function closeAll(askings: readonly Asking[], nowMs: number, exceptItemId: string | null = null): readonly Asking[] {
  const isLeft = ({ id, phase }: Asking) => phase === 'open' && id !== exceptItemId;
  return askings.map((asking): Asking => (isLeft(asking) ? { ...asking, phase: 'closed', closedAtMs: nowMs } : asking));
}

/** The run with everything closed: the lesson is over. */
export function closeRun(run: Run, nowMs: number): Run {
  return { ...run, askings: closeAll(run.askings, nowMs), besideId: null };
}

/**
 * The run with a question put beside the script: an item that was asked before, once more, or one of no lesson. Everything
 * else closes.
 * @throws CoreError LESSON_ITEM_TWICE where another item carries its id
 */
export function askBeside(run: Run, item: Item, prepared: PreparedLesson, nowMs: number): Run {
  const known = [...run.askings.map((asking) => asking.item), ...prepared.lesson.items].find(({ id }) => id === item.id);
  if (known && !sameJson(known, item)) {
    throw new CoreError('LESSON_ITEM_TWICE', `Another question of this lesson carries the id “${item.id}”.`, { item: item.id });
  }
  const times = run.askings.filter((asking) => asking.item.id === item.id).length;
  // The plain id of a lesson's own item is kept for the script's asking; a dot stands in no item's id.
  const isPlainIdFree = times === 0 && !prepared.lesson.items.some(({ id }) => id === item.id);
  const id = isPlainIdFree ? item.id : `${item.id}.${times + 1}`;
  return {
    ...run,
    enteredAtMs: nowMs,
    askings: [...closeAll(run.askings, nowMs), { id, item, phase: 'open', closedAtMs: null }],
    besideId: id,
  };
}

/**
 * The run without the question that is put beside its script, as if it had not been asked. Whether somebody has answered it is
 * for whoever keeps the answers to say.
 * @throws CoreError QUESTION_NOT_OPEN for any other question, and once it was closed
 */
export function withoutAsking(run: Run, askingId: string): Run {
  const asking = run.askings.find(({ id }) => id === askingId);
  if (run.besideId !== askingId || asking?.phase !== 'open') throw new CoreError('QUESTION_NOT_OPEN', 'Only a question beside the script that is still open can be taken back.'); // prettier-ignore
  return { ...run, askings: run.askings.filter((one) => one !== asking), besideId: null };
}

/** The run back at its script, with what was asked beside it closed; the same run where nothing was. */
export function backToScript(run: Run, nowMs: number): Run {
  if (run.besideId === null) return run;
  return { ...run, askings: closeAll(run.askings, nowMs), besideId: null };
}

/**
 * The run with an asking closed or revealed. What is revealed stays so.
 * @throws CoreError QUESTION_UNKNOWN
 */
export function setPhase(run: Run, askingId: string, phase: 'closed' | 'revealed', nowMs: number): Run {
  const asking = run.askings.find(({ id }) => id === askingId);
  if (!asking) throw new CoreError('QUESTION_UNKNOWN', `The question “${askingId}” has not been asked in this room.`, { askingId });
  if (asking.phase === 'revealed' || asking.phase === phase) return run;
  return { ...run, askings: withAsking(run.askings, { ...asking, phase, closedAtMs: asking.closedAtMs ?? nowMs }) };
}
