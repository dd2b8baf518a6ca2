import { kindOf, prepareLesson, seededRng, simulateResponse, type Item, type MisconceptionId } from '@zeitpunkt/core';
import type { MarkedResponse, SessionDetail } from '@zeitpunkt/contract';

/** A session of one lesson with three pupils in the room and one who is not there, as the server would send it. */
export function sessionDetail(): SessionDetail {
  const pupils = ['Anouk', 'Bashir', 'Ceri', 'Dov'].map((name) => ({ id: `pupil-${name}`, name }));
  return {
    id: 'session',
    className: 'Terns',
    roomKey: ['boat', 'lamp', 'shell', 'fish'],
    createdAtMs: 0,
    endedAtMs: null,
    lesson: {
      format: 'zeitpunkt-lesson',
      formatVersion: 1,
      title: 'The lamp at the harbour light',
      goal: 'Read half past.',
      successCriteria: [],
      targetMinutes: 5,
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
        { kind: 'say', text: 'Hello.' },
        { kind: 'ask', itemId: 'q1', text: '' },
        { kind: 'answer', itemId: 'q1' },
        { kind: 'ask', itemId: 'q2', text: '' },
      ],
    },
    pupils,
    live: {
      seq: 0,
      nowMs: 0,
      room: { phase: 'running', step: 1, stepStartedAtMs: 0, begunAtMs: 0, questions: { q1: 'open' }, aside: null },
      participants: pupils.slice(0, 3).map(({ id, name }) => ({ id: `in-${name}`, pupilId: id, name, joinedAtMs: 0, online: true })),
      responses: [],
    },
  };
}

/** A marked response as a pupil with these misconceptions would give it. */
export function responseOf(name: string, itemId: string, misconceptions: MisconceptionId[] = [], attempt = 1): MarkedResponse {
  const { lesson } = sessionDetail();
  const item: Item = prepareLesson(lesson).context.itemOf(itemId);
  const { response, responseTimeMs } = simulateResponse(
    { misconceptions, carelessness: 0, paceMs: 5000 },
    item,
    lesson.settings,
    seededRng(1),
  );
  const mark = kindOf(item).mark(item, response, lesson.settings);
  return {
    id: `${name}-${itemId}-${attempt}`,
    pupilId: `pupil-${name}`,
    itemId,
    attempt,
    response: { ...response },
    mark: { ...mark, misconceptions: [...mark.misconceptions] },
    responseTimeMs,
    receivedAtMs: attempt,
  };
}
