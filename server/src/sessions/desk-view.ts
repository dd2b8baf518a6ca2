import type { PreparedLesson } from '@zeitpunkt/core/lesson/prepare';
import { moreTimeFor, NO_CALLS, type Calls } from '@zeitpunkt/core/live/calls';
import type { RoomState } from '@zeitpunkt/core/live/room';
import { kindOf } from '@zeitpunkt/core/question-kinds/registry';
import { viewOfRun } from '@zeitpunkt/core/run/run-view';
import { WORD_PACKS } from '@zeitpunkt/core/words/registry';
import type { DeskView, MarkedResponse } from '@zeitpunkt/contract';

/** The room as a desk needs to know it. */
export interface DeskRoom {
  readonly lesson: PreparedLesson;
  readonly room: Pick<RoomState, 'phase' | 'run' | 'aside' | 'calls'>;
  readonly seq: number;
  readonly className: string;
  /** What the teacher recorded of the question that is asked; null where nothing fits. */
  readonly takeId: string | null;
}

type Question = NonNullable<DeskView['question']>;

/** What all desks of a room are told alike; made once for all of them, with its JSON. */
export interface SharedView {
  readonly view: Pick<DeskView, 'seq' | 'phase' | 'className' | 'lessonTitle' | 'language' | 'shapes' | 'stage'>;
  readonly calls: Pick<Calls, 'showMe' | 'pulse'>;
  readonly question: SharedQuestion | null;
  readonly json: { readonly view: string; readonly question: string; readonly answer: string; readonly key: string };
}

interface SharedQuestion {
  readonly shared: Pick<Question, 'askingId' | 'view' | 'phase' | 'nudged' | 'takeId' | 'countdown'>;
  readonly answer: NonNullable<Question['reveal']>['stage'] | null;
  /** The right response; null before the reveal. */
  readonly key: NonNullable<Question['reveal']>['key'] | null;
}

function withJson(view: SharedView['view'], calls: SharedView['calls'], question: SharedQuestion | null): SharedView {
  const json = {
    view: JSON.stringify(view),
    question: JSON.stringify(question?.shared),
    answer: JSON.stringify(question?.answer),
    key: JSON.stringify(question?.key),
  };
  return { view, calls, question, json };
}

/** Nothing of a key is put in before the reveal: the core decides what is seen of a run. */
export function sharedView({ lesson, room, seq, className, takeId }: DeskRoom, nowMs: number): SharedView {
  const { items, title, settings } = lesson.lesson;
  const shapes = [...new Set(items.map((item) => kindOf(item).shape))];
  const view = { seq, phase: room.phase, className, lessonTitle: title, language: WORD_PACKS[settings.pack].language, shapes, stage: null };
  const { calls } = room;
  if (room.phase !== 'running') return withJson(view, calls, null);
  const { stage, question } = viewOfRun(lesson, room.run, room.aside, Math.max(0, nowMs - room.run.enteredAtMs));
  if (!question) return withJson({ ...view, stage }, calls, null);
  const { answer, key, ...asked } = question;
  const nudged = calls.nudged === asked.askingId;
  const countdown = moreTimeFor(calls, asked.askingId, nowMs) ?? asked.countdown;
  return withJson({ ...view, stage }, calls, { shared: { ...asked, nudged, takeId, countdown }, answer, key });
}

/** What a pupil is told who waits at the door: that the door was found, and nothing of the lesson. */
export function atTheDoor({ view }: SharedView): SharedView {
  return withJson({ ...view, phase: 'door', shapes: [], stage: null }, NO_CALLS, null);
}

/** What a pupil's desk is told of that pupil alone. */
export interface DeskPupil {
  readonly participantId: string;
  readonly pupilName: string;
  /** What the pupil has answered to "Ready?"; null while it has not. */
  readonly ready: boolean | null;
  /** Where the pupil stands at own pace; null where the teacher leads. */
  readonly own: DeskView['own'];
}

function callsFor({ showMe, pulse }: SharedView['calls'], { ready }: DeskPupil): DeskView['calls'] {
  return { showMe, pulse: pulse === null ? null : { id: pulse, ready } };
}

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
export function deskView({ view, calls, question }: SharedView, pupil: DeskPupil, latest: LatestOf): DeskView {
  const { participantId, pupilName } = pupil;
  const own = { ...view, participantId, pupilName, calls: callsFor(calls, pupil), own: pupil.own };
  if (!question) return { ...own, question: null };
  const { given, own: ownAnswer } = ownPart(question, latest);
  const { shared, answer, key } = question;
  return { ...own, question: { ...shared, given, reveal: answer && key && { stage: answer, key, own: ownAnswer } } };
}

/** The same as a message: whatever all desks are told alike is one text for all of them. */
export function deskMessage({ calls, question, json }: SharedView, pupil: DeskPupil, latest: LatestOf): string {
  const { participantId, pupilName } = pupil;
  const own = [
    `"participantId":"${participantId}","pupilName":${JSON.stringify(pupilName)}`,
    `"calls":${JSON.stringify(callsFor(calls, pupil))},"own":${JSON.stringify(pupil.own)}`,
  ].join(',');
  const head = `{"type":"view","view":${json.view.slice(0, -1)},${own}`;
  if (!question) return `${head},"question":null}}`;
  const { given, own: ownAnswer } = ownPart(question, latest);
  const reveal = question.answer ? `{"stage":${json.answer},"key":${json.key},"own":${JSON.stringify(ownAnswer)}}` : 'null';
  return `${head},"question":${json.question.slice(0, -1)},"given":${JSON.stringify(given)},"reveal":${reveal}}}}`;
}
