import { seededRng } from '@zeitpunkt/core/random/rng';
import { dayOf, daysOn } from '@zeitpunkt/core/series/school-days';
import { simulateResponse } from '@zeitpunkt/core/rehearsal/simulated-pupil';
import { randomUUID } from 'node:crypto';
import type { Store } from '../db/connection.js';
import { newEvents } from '../events.js';
import { pupilsOf } from '../sessions/queries/pupils.js';
import { pinLesson } from '../features/lessons/pin.js';
import { OwnRooms } from '../features/own-pace/own-rooms.js';
import { newToken, tokenHash } from '../http/tokens.js';
import { profileAfter, TAUGHT } from './story.js';
import { roomsAt } from './teach.js';

const DAY_MS = 24 * 3600 * 1000;
/** Of the class so many have begun, and of those some are through: the others stopped somewhere. */
const BEGUN = 14;
const THROUGH = 6;
/** A pupil stays about so long at a step, in milliseconds. */
const STAYS_MS = 12_000;

/** Gives a lesson out to the whole class two days ago; some are through, some on the way, some have not begun. */
export async function giveHalfDone(
  store: Store,
  given: { teacherId: string; classId: string; lessonId: string; nowMs: number },
): Promise<void> {
  const { teacherId, classId, lessonId, nowMs } = given;
  let clockMs = nowMs - 2 * DAY_MS;
  const events = newEvents();
  const rooms = roomsAt(store, () => clockMs, events);
  const own = new OwnRooms({
    store,
    nowMs: () => clockMs,
    rooms,
    events,
  });
  const firstDay = dayOf(clockMs);
  const id = randomUUID();
  const start = { id, lessonId, classId, pupilIds: null, firstDay, lastDay: daysOn(firstDay, 9), byKey: true, voice: true };
  own.give(start, teacherId, pinLesson(store.db, teacherId, lessonId, clockMs)!);
  const room = own.find(id)!;
  const rng = seededRng(77);
  for (const [place, pupil] of pupilsOf(store.db, classId).slice(0, BEGUN).entries()) {
    clockMs = Math.round(nowMs - 2 * DAY_MS * rng() - 3600_000);
    const participantId = room.joinByCard(randomUUID(), pupil.id, tokenHash(newToken()));
    // Who is not through stops after a while, at a question or between two.
    let left = place < THROUGH ? Infinity : 3 + Math.floor(rng() * 8);
    for (; left > 0; left--) {
      const { own: at, question } = room.deskView(participantId);
      clockMs += Math.round(STAYS_MS * (0.5 + rng()));
      if (question?.phase === 'open') {
        const item = room.lesson.context.itemOf(question.askingId);
        const answer = simulateResponse(profileAfter(pupil.name, TAUGHT.length), item, room.lesson.lesson.settings, rng);
        clockMs += answer.responseTimeMs;
        await room.respond(participantId, { id: randomUUID(), askingId: question.askingId, ...answer });
      } else if (at!.at < at!.farthest) await room.go(participantId, at!.steps[at!.at + 1]!);
      else break;
    }
  }
}
