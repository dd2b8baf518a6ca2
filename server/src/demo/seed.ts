import { randomInt, randomUUID } from 'node:crypto';
import { dayOf, seededRng, simulateResponse, type MisconceptionId, type PupilProfile, type Rng } from '@zeitpunkt/core';
import type { Pupil } from '@zeitpunkt/contract';
import type { Store } from '../db/connection.js';
import { stored } from '../db/stored.js';
import { hashPassword } from '../features/auth/passwords.js';
import { authQueries } from '../features/auth/queries.js';
import { insertClass, pupilsOf } from '../features/classes/queries.js';
import { pinLesson } from '../features/lessons/pin.js';
import { insertLesson } from '../features/lessons/queries.js';
import { installStarterLessons } from '../features/lessons/starter.js';
import type { LiveRoom } from '../features/live/live-room.js';
import { RoomDirectory } from '../features/live/room-directory.js';
import { savePlan } from '../features/plans/queries.js';
import { newToken, tokenHash } from '../http/tokens.js';
import { DEMO_LESSONS, demoPlan } from './plan.js';

const DAY_MS = 24 * 3600 * 1000;

/** Sign-in of the demo teacher. Made up, printed at every start of the demo, and only ever in demo data. */
export const DEMO_SIGN_IN = { signInName: 'odalys', password: 'tern-harbour-lamp' } as const;

/** Skerrin Island School's class Terns: made-up pupils on a made-up group of islands. */
export const TERNS = [
  'Anouk', 'Bashir', 'Ceri', 'Dov', 'Elin', 'Femi', 'Gita', 'Hamza', 'Inka', 'Jory', 'Kaia', 'Leif', 'Mirela', 'Noor', 'Oskar', 'Pia',
  'Quill', 'Runa', 'Sami', 'Tove', 'Ulla', 'Viggo', 'Wren', 'Yusra', 'Zeb', 'Bo',
] as const; // prettier-ignore

/** Wrong ideas that some of the Terns hold in the demo; everybody else slips now and then. */
const HELD: Partial<Record<(typeof TERNS)[number], MisconceptionId[]>> = {
  Bashir: ['coming-hour'],
  Dov: ['nearest-hour', 'coming-hour'],
  Gita: ['hands-exchanged'],
  Jory: ['numeral-as-minutes'],
  Noor: ['half-of-coming-hour'],
  Sami: ['coming-hour'],
  Ulla: ['hour-hand-on-numeral'],
  Zeb: ['zero-dropped', 'hour-hand-on-numeral'],
};
const ABSENT = new Set<string>(['Inka', 'Viggo']);

/** Fills an empty database with the demo teacher, class, six lessons planned over six weeks and the first of them taught; leaves any other as it is. */
export async function seedDemo(store: Store, nowMs: number): Promise<void> {
  const queries = authQueries(store.db);
  if (queries.anyTeacher()) return;
  const passwordHash = await hashPassword(DEMO_SIGN_IN.password);
  const weekAgoMs = schoolDayBefore(nowMs - 7 * DAY_MS);
  const seeded = store.sqlite.transaction(() => {
    const teacherId = queries.insertTeacher({
      signInName: DEMO_SIGN_IN.signInName,
      name: 'Ms Odalys Fenn',
      passwordHash,
      createdAtMs: weekAgoMs,
      mayInvite: true,
    });
    const { id: classId } = insertClass(store.db, { teacherId, name: 'Terns', pupilNames: TERNS, createdAtMs: weekAgoMs });
    const starters = installStarterLessons(store.db, teacherId);
    const more = DEMO_LESSONS.map((file, index) =>
      insertLesson(store.db, { teacherId, file: stored.lesson(file), place: starters.length + index }),
    );
    const lessonIds = [...starters, ...more];
    savePlan(store.db, classId, 1, demoPlan(lessonIds, dayOf(weekAgoMs)));
    return { teacherId, classId, lessonIds };
  })();
  await teachOnce(store, { ...seeded, lessonId: seeded.lessonIds[0]!, fromMs: weekAgoMs });
}

/** The class meets in the morning of a school day: that day, or the last one before it. */
function schoolDayBefore(ms: number): number {
  const weekday = new Date(ms).getDay(); // Sunday 0
  const daysBack = weekday === 0 ? 2 : weekday === 6 ? 1 : 0;
  return new Date(ms - daysBack * DAY_MS).setHours(9, 40, 0, 0);
}

/** Teaches a lesson from beginning to end with simulated pupils, through the same room that real pupils use. */
async function teachOnce(store: Store, taught: { teacherId: string; classId: string; lessonId: string; fromMs: number }): Promise<void> {
  let clockMs = taught.fromMs;
  const rooms = new RoomDirectory({ store, nowMs: () => clockMs, pupilsOf: (classId) => pupilsOf(store.db, classId), wrongKeys: () => 0 });
  const { teacherId, classId, lessonId } = taught;
  const start = { id: randomUUID(), lessonId, classId };
  rooms.open(start, teacherId, pinLesson(store.db, teacherId, lessonId, clockMs)!);
  const room = rooms.own(start.id, teacherId);
  const inRoom = room.names.pupils
    .filter((pupil) => !ABSENT.has(pupil.name))
    .map((pupil, index) => ({ pupil, participantId: randomUUID(), rng: seededRng(index + 1) }));
  for (const { pupil, participantId } of inRoom) {
    clockMs += randomInt(500, 4000);
    room.join({ participantId, pupilId: pupil.id, tokenHash: tokenHash(newToken()) });
  }
  room.letIn(inRoom.map(({ participantId }) => participantId));
  await room.command(randomUUID(), { type: 'begin' });
  for (const step of room.lesson.steps) {
    await room.command(randomUUID(), { type: 'go', to: step.ref });
    if (step.beat.kind === 'think') clockMs = await answerAll(room, step.beat.itemId, inRoom, clockMs, (atMs) => (clockMs = atMs));
    clockMs += Math.round(step.durationMs);
  }
  await room.command(randomUUID(), { type: 'end' });
}

async function answerAll(
  room: LiveRoom,
  itemId: string,
  inRoom: readonly { pupil: Pupil; participantId: string; rng: Rng }[],
  openedMs: number,
  setClock: (atMs: number) => void,
): Promise<number> {
  const item = room.lesson.context.itemOf(itemId);
  const given = inRoom
    .map(({ pupil, participantId, rng }) => ({
      participantId,
      ...simulateResponse(profileOf(pupil.name), item, room.lesson.lesson.settings, rng),
    }))
    .sort((a, b) => a.responseTimeMs - b.responseTimeMs);
  for (const { participantId, response, responseTimeMs } of given) {
    setClock(openedMs + responseTimeMs);
    await room.respond(participantId, { id: randomUUID(), askingId: itemId, response, responseTimeMs });
  }
  return openedMs;
}

function profileOf(name: string): PupilProfile {
  return { misconceptions: HELD[name as (typeof TERNS)[number]] ?? [], carelessness: 0.06, firmness: 0.85, paceMs: 9000 };
}
