import { kindOf, viewOfRun, WORD_PACKS, type PreparedLesson, type RoomState } from '@zeitpunkt/core';
import type { DeskView, MarkedResponse } from '@zeitpunkt/contract';

/** The room as a desk needs to know it. */
export interface DeskRoom {
  readonly lesson: PreparedLesson;
  readonly room: RoomState;
  readonly seq: number;
  readonly className: string;
}

type Question = NonNullable<DeskView['question']>;

/** What all desks of a room are told alike; made once for all of them, with its JSON. */
export interface SharedView {
  readonly view: Pick<DeskView, 'seq' | 'phase' | 'className' | 'lessonTitle' | 'language' | 'shapes' | 'stage'>;
  readonly question: SharedQuestion | null;
  readonly json: { readonly view: string; readonly question: string; readonly answer: string };
}

interface SharedQuestion {
  readonly shared: Pick<Question, 'askingId' | 'view' | 'phase' | 'countdown'>;
  readonly answer: NonNullable<Question['reveal']>['stage'] | null;
}

function withJson(view: SharedView['view'], question: SharedQuestion | null): SharedView {
  const json = { view: JSON.stringify(view), question: JSON.stringify(question?.shared), answer: JSON.stringify(question?.answer) };
  return { view, question, json };
}

/** Nothing of a key is put in before the reveal: the core decides what is seen of a run. */
export function sharedView({ lesson, room, seq, className }: DeskRoom, nowMs: number): SharedView {
  const { items, title, settings } = lesson.lesson;
  const shapes = [...new Set(items.map((item) => kindOf(item).shape))];
  const view = { seq, phase: room.phase, className, lessonTitle: title, language: WORD_PACKS[settings.pack].language, shapes, stage: null };
  if (room.phase !== 'running') return withJson(view, null);
  const { stage, question } = viewOfRun(lesson, room.run, room.aside, Math.max(0, nowMs - room.run.enteredAtMs));
  if (!question) return withJson({ ...view, stage }, null);
  const { answer, ...shared } = question;
  return withJson({ ...view, stage }, { shared, answer });
}

/** What a pupil is told who waits at the door: that the door was found, and nothing of the lesson. */
export function atTheDoor({ view }: SharedView): SharedView {
  return withJson({ ...view, phase: 'door', shapes: [], stage: null }, null);
}

type Pupil = Pick<DeskView, 'participantId' | 'pupilName'>;
/** The pupil's own latest response to an asking, if there is one. */
type LatestOf = (askingId: string) => MarkedResponse | undefined;

/** What a pupil alone is told of a question: the own response, and of it after the reveal. */
function ownPart({ shared, answer }: SharedQuestion, latest: LatestOf) {
  const own = latest(shared.askingId);
  return {
    given: own ? { attempt: own.attempt, response: own.response, late: own.late !== null } : null,
    own: answer && own ? { verdict: own.mark.verdict, sayToPupil: own.mark.sayToPupil } : null,
  };
}

/**
 * All that a pupil's device is told. This and {@link sharedView} are the only places that decide it: before the reveal
 * neither key, mark, wording nor anybody else's response is put in.
 */
export function deskView({ view, question }: SharedView, pupil: Pupil, latest: LatestOf): DeskView {
  if (!question) return { ...view, ...pupil, question: null };
  const { given, own } = ownPart(question, latest);
  const { shared, answer } = question;
  return { ...view, ...pupil, question: { ...shared, given, reveal: answer && { stage: answer, own } } };
}

/** The same as a message: whatever all desks are told alike is one text for all of them. */
export function deskMessage({ question, json }: SharedView, { participantId, pupilName }: Pupil, latest: LatestOf): string {
  const head = `{"type":"view","view":${json.view.slice(0, -1)},"participantId":"${participantId}","pupilName":${JSON.stringify(pupilName)}`;
  if (!question) return `${head},"question":null}}`;
  const { given, own } = ownPart(question, latest);
  const reveal = question.answer ? `{"stage":${json.answer},"own":${JSON.stringify(own)}}` : 'null';
  return `${head},"question":${json.question.slice(0, -1)},"given":${JSON.stringify(given)},"reveal":${reveal}}}}`;
}
