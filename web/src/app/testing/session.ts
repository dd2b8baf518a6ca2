import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { fingerprintOf } from '@zeitpunkt/core/voice/fingerprint';
import type { Take } from '@zeitpunkt/core/voice/take';
import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import { ONLY_STEP, type StepRef } from '@zeitpunkt/core/lesson/step-ref';
import { NO_CALLS } from '@zeitpunkt/core/live/calls';
import type { MisconceptionId } from '@zeitpunkt/core/misconceptions/registry';
import { markOf } from '@zeitpunkt/core/question-kinds/marking';
import type { Item } from '@zeitpunkt/core/question-kinds/registry';
import type { Asking, AskingPhase } from '@zeitpunkt/core/run/asking';
import { seededRng } from '@zeitpunkt/core/random/rng';
import { simulateResponse } from '@zeitpunkt/core/rehearsal/simulated-pupil';
import type { MarkedResponse, SessionDetail } from '@zeitpunkt/contract';
import { lessonWith } from '@zeitpunkt/core/testing/lessons';

const LESSON = lessonWith({
  title: 'The lamp at the harbour light',
  settings: {
    readingOrder: 'hour-first',
    betweenRule: 'passed',
    pack: 'en-GB',
    separator: ':',
    strictness: 'right-side',
    wordsPerMinute: 120,
  },
  items: [
    { id: 'q1', kind: 'read-dial', timeSec: 27_000 },
    { id: 'q2', kind: 'set-dial', timeSec: 34_200, from: 'display', hands: 'free' },
  ],
  beats: [
    { id: 'b1', kind: 'say', text: 'Hello.' },
    { id: 'b2', kind: 'ask', itemId: 'q1', text: '' },
    { id: 'b3', kind: 'answer', itemId: 'q1' },
    { id: 'b4', kind: 'ask', itemId: 'q2', text: '' },
  ],
});

/** A take of a beat as it was said, by its place from 1. */
export const takeOf = (lesson: Lesson, beat: number, own: Partial<Take> = {}): Take => ({
  id: `t${beat}`,
  at: stepOf(beat),
  durationMs: 4000,
  mime: 'audio/webm',
  speechDb: -20,
  speech: [],
  said: 'Good morning.',
  fingerprint: fingerprintOf(prepareLesson(lesson), stepOf(beat)),
  cues: [{ fromMs: 0, toMs: 1500, text: 'Good morning.' }],
  cuesEdited: false,
  madeAtMs: 0,
  ...own,
});

/** The step of a beat of that lesson, by its place from 1. */
export const stepOf = (beat: number): StepRef => ({ beatId: `b${beat}`, step: ONLY_STEP });

/** A question of that lesson as it was asked. */
export const askingOf = (itemId: string, phase: AskingPhase): Asking => ({
  id: itemId,
  item: LESSON.items.find(({ id }) => id === itemId)!,
  phase,
  closedAtMs: phase === 'open' ? null : 0,
});

/** A session of that lesson at its first question, with three pupils in the room and one who is not there. */
export function sessionDetail(): SessionDetail {
  const pupils = ['Anouk', 'Bashir', 'Ceri', 'Dov'].map((name) => ({ id: `pupil-${name}`, name }));
  return {
    id: 'session',
    lessonId: 'lesson',
    classId: 'class',
    className: 'Terns',
    pace: 'live',
    simulated: false,
    roomKey: ['boat', 'lamp', 'shell', 'fish'],
    createdAtMs: 0,
    endedAtMs: null,
    lesson: LESSON,
    pupils,
    live: {
      seq: 0,
      nowMs: 0,
      room: {
        phase: 'running',
        begunAtMs: 0,
        run: { at: stepOf(2), enteredAtMs: 0, askings: [askingOf('q1', 'open')], besideId: null, trail: [] },
        aside: null,
        door: { open: true, closesAtMs: null, admits: 'class-list' },
        calls: NO_CALLS,
        endedBy: null,
      },
      participants: pupils
        .slice(0, 3)
        .map(({ id, name }) => ({ id: `in-${name}`, pupilId: id, name, joinedAtMs: 0, online: true, waits: false, newcomer: false })),
      outside: { knocks: [], wrongKeys: 0 },
      passing: { ready: [], shown: [] },
      responses: [],
    },
    unreadable: [],
  };
}

/** The same session with something else in its room. */
export function withRun(change: Partial<SessionDetail['live']['room']['run']>, live: Partial<SessionDetail['live']> = {}): SessionDetail {
  const detail = sessionDetail();
  const { room } = detail.live;
  return { ...detail, live: { ...detail.live, room: { ...room, run: { ...room.run, ...change } }, ...live } };
}

/** A marked response as a pupil with these misconceptions would give it. */
export function responseOf(name: string, itemId: string, misconceptions: MisconceptionId[] = [], attempt = 1): MarkedResponse {
  const item: Item = prepareLesson(LESSON).context.itemOf(itemId);
  const profile = { misconceptions, firmness: 1, carelessness: 0, paceMs: 5000 };
  const { response, responseTimeMs } = simulateResponse(profile, item, LESSON.settings, seededRng(1));
  return {
    id: `${name}-${itemId}-${attempt}`,
    pupilId: `pupil-${name}`,
    askingId: itemId,
    attempt,
    response,
    mark: markOf(item, response, LESSON.settings),
    responseTimeMs,
    receivedAtMs: attempt,
    source: 'device',
    late: null,
    correction: null,
  };
}
