import { viewOfRun, type PreparedLesson, type QuestionKindId, type RoomState } from '@zeitpunkt/core';
import type { DeskView, MarkedResponse } from '@zeitpunkt/contract';

/** The room as a desk needs to know it. */
export interface DeskRoom {
  readonly lesson: PreparedLesson;
  readonly room: RoomState;
  readonly seq: number;
  readonly className: string;
}

type Question = NonNullable<DeskView['question']>;

/** What all desks of a room are told alike; made once for all of them. */
export interface SharedView {
  readonly view: Pick<DeskView, 'seq' | 'phase' | 'className' | 'lessonTitle' | 'kinds' | 'stage'>;
  readonly question:
    | (Pick<Question, 'askingId' | 'view' | 'phase' | 'countdown'> & { readonly answer: NonNullable<Question['reveal']>['stage'] | null })
    | null;
}

/** Nothing of a key is put in before the reveal: the core decides what is seen of a run. */
export function sharedView({ lesson, room, seq, className }: DeskRoom, nowMs: number): SharedView {
  const { items, title } = lesson.lesson;
  const kinds = [...new Set<QuestionKindId>(items.map(({ kind }) => kind))];
  const view = { seq, phase: room.phase, className, lessonTitle: title, kinds, stage: null };
  if (room.phase !== 'running') return { view, question: null };
  const { stage, question } = viewOfRun(lesson, room.run, room.aside, Math.max(0, nowMs - room.run.enteredAtMs));
  return { view: { ...view, stage }, question };
}

/** What a pupil is told who waits at the door: that the door was found, and nothing of the lesson. */
export function atTheDoor({ view }: SharedView): SharedView {
  return { view: { ...view, phase: 'door', kinds: [], stage: null }, question: null };
}

/**
 * All that a pupil's device is told. This and {@link sharedView} are the only places that decide it: before the reveal
 * neither key, mark, wording nor anybody else's response is put in.
 * @param latest the pupil's own latest response to an asking, if there is one
 */
export function deskView(
  { view, question }: SharedView,
  pupil: { readonly participantId: string; readonly pupilName: string },
  latest: (askingId: string) => MarkedResponse | undefined,
): DeskView {
  if (!question) return { ...view, ...pupil, question: null };
  const { answer, ...shared } = question;
  const own = latest(question.askingId);
  return {
    ...view,
    ...pupil,
    question: {
      ...shared,
      given: own ? { attempt: own.attempt, response: own.response, late: own.late !== null } : null,
      reveal: answer && { stage: answer, own: own ? { verdict: own.mark.verdict, sayToPupil: own.mark.sayToPupil } : null },
    },
  };
}
