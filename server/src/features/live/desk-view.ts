import { currentItemId, isMovingBeat, kindOf, motionMs, stageAside, stageAt, type PreparedLesson, type RoomState } from '@zeitpunkt/core';
import type { DeskView, MarkedResponse } from '@zeitpunkt/contract';
import { plain } from './plain.js';

/** The room as a desk needs to know it. */
export interface DeskRoom {
  readonly lesson: PreparedLesson;
  readonly room: RoomState;
  readonly seq: number;
  readonly className: string;
}

/** What all desks of a room are told alike; made once for all of them. */
export interface SharedView {
  readonly view: Pick<DeskView, 'seq' | 'phase' | 'className' | 'lessonTitle' | 'stage'>;
  readonly question:
    | (Pick<NonNullable<DeskView['question']>, 'view' | 'phase' | 'countdown'> & {
        readonly itemId: string;
        readonly reveal: Pick<NonNullable<NonNullable<DeskView['question']>['reveal']>, 'key' | 'stage'> | null;
      })
    | null;
}

/** Nothing of a key is put in before the reveal. */
export function sharedView({ lesson, room, seq, className }: DeskRoom, nowMs: number): SharedView {
  const itemId = currentItemId(room, lesson);
  const view = { seq, phase: room.phase, className, lessonTitle: lesson.lesson.title, stage: null };
  if (room.phase !== 'running') return { view, question: null };
  const elapsedMs = Math.max(0, nowMs - room.stepStartedAtMs);
  // A pupil who is answering keeps the question; everybody else sees what the teacher shows beside the script.
  const answering = itemId !== null && room.questions[itemId] === 'open';
  if (itemId === null || (room.aside && !answering)) return { view: { ...view, stage: stageOf(lesson, room, elapsedMs) }, question: null };

  const item = lesson.context.itemOf(itemId);
  const kind = kindOf(item);
  const phase = room.questions[itemId] ?? 'closed';
  const step = lesson.steps[room.step]!;
  const { settings } = lesson.lesson;
  return {
    view,
    question: {
      itemId,
      view: plain(kind.viewOf(item, settings)),
      phase,
      countdown: step.beat.kind === 'think' && phase === 'open' ? stageAt(lesson, room.step, elapsedMs).countdown : null,
      reveal: phase === 'revealed' ? { key: kind.keyOf(item), stage: plain(kind.answered(step.before, item, settings)) } : null,
    },
  };
}

/**
 * All that a pupil's device is told. This and {@link sharedView} are the only places that decide it: before the reveal
 * neither key, mark, wording nor anybody else's response is put in.
 * @param latest the pupil's own latest response to an item, if there is one
 */
export function deskView(
  { view, question }: SharedView,
  pupil: { readonly participantId: string; readonly pupilName: string },
  latest: (itemId: string) => MarkedResponse | undefined,
): DeskView {
  if (!question) return { ...view, ...pupil, question: null };
  const { itemId, reveal, ...shared } = question;
  const own = latest(itemId);
  return {
    ...view,
    ...pupil,
    question: {
      ...shared,
      given: own ? { attempt: own.attempt, response: own.response } : null,
      reveal: reveal && { ...reveal, own: own ? { verdict: own.mark.verdict, sayToPupil: own.mark.sayToPupil } : null },
    },
  };
}

function stageOf(lesson: PreparedLesson, { step, aside }: RoomState, elapsedMs: number): DeskView['stage'] {
  const { beat, before } = lesson.steps[step]!;
  const { settings } = lesson.lesson;
  const marks = plain(aside?.marks ?? []);
  const still = { beat: null, settings, elapsedMs, motionMs: 0, glides: false };
  const settled = stageAt(lesson, step, Infinity);
  if (aside && aside.timeSec !== null) return { ...still, before: plain(stageAside(settled, aside, settings)), marks: [], glides: true };
  if (!isMovingBeat(beat)) return { ...still, before: plain(settled), marks };
  // The words the teacher says are the teacher's to say: the desk needs only what is seen.
  return { ...still, before: plain(before), beat: plain({ ...beat, text: '' }), motionMs: motionMs(lesson, step), marks };
}
