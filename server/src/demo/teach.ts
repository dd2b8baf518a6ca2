import { seededRng, type Rng } from '@zeitpunkt/core/random/rng';
import { simulateResponse } from '@zeitpunkt/core/rehearsal/simulated-pupil';
import type { Pupil } from '@zeitpunkt/contract';
import { randomUUID } from 'node:crypto';
import type { Store } from '../db/connection.js';
import { newEvents } from '../events.js';
import { heavyTasks } from '../work/tasks.js';
import { workInPlace } from '../work/work.js';
import { pinLesson } from '../features/lessons/pin.js';
import type { LiveRoom } from '../sessions/live-room.js';
import { RoomDirectory } from '../sessions/room-directory.js';
import { DEFAULT_LIMITS } from '../http/limits.js';
import { newToken, tokenHash } from '../http/tokens.js';
import { ABSENT, DROPPED, LATE, ON_PAPER, profileAfter } from './story.js';

/** The time between two of the class who come in, and how much longer than planned the teacher takes for a step. */
const COMES_IN_MS = 2200;
const [QUICKEST, SLOWEST] = [0.8, 1.5];
/** An answer whose line dropped comes so long after its question was closed. */
const DROPPED_MS = 45_000;

export interface TeachOnce {
  readonly teacherId: string;
  readonly classId: string;
  readonly lessonId: string;
  /** The number of the lesson among those taught, from 0. */
  readonly number: number;
  readonly fromMs: number;
}

/** Rooms by a clock that the demo turns. */
export function roomsAt(store: Store, nowMs: () => number, events = newEvents()): RoomDirectory {
  const work = workInPlace(heavyTasks(store));
  return new RoomDirectory({
    store,
    work,
    nowMs,
    events,
    mostAttempts: DEFAULT_LIMITS.attempts,
    keyTries: { wrongLately: 0 },
  });
}

/** Teaches a lesson from beginning to end with simulated pupils, through the same room that real pupils use. */
export async function teachOnce(store: Store, { teacherId, classId, lessonId, number, fromMs }: TeachOnce): Promise<void> {
  let clockMs = fromMs;
  const rooms = roomsAt(store, () => clockMs);
  const rng = seededRng(1000 + number);
  const start = { id: randomUUID(), lessonId, classId };
  rooms.open(start, teacherId, pinLesson(store.db, teacherId, lessonId, clockMs)!);
  const room = rooms.own(start.id, teacherId);
  const is = (names: Readonly<Record<number, readonly string[]>>) => (pupil: Pupil) => names[number]?.includes(pupil.name) ?? false;
  const [isAbsent, isLate, isDropped, isOnPaper] = [is(ABSENT), is(LATE), is(DROPPED), is(ON_PAPER)];
  const there = room.names.pupils.filter((pupil) => !isAbsent(pupil));
  const inRoom: { pupil: Pupil; participantId: string; rng: Rng }[] = [];
  const comeIn = (pupils: readonly Pupil[]) => {
    for (const pupil of pupils) {
      clockMs += Math.round(COMES_IN_MS * rng());
      const participantId = randomUUID();
      room.join({ participantId, pupilId: pupil.id, tokenHash: tokenHash(newToken()) });
      room.letIn([participantId]);
      inRoom.push({ pupil, participantId, rng: seededRng(97 * number + inRoom.length) });
    }
  };
  comeIn(there.filter((pupil) => !isLate(pupil) && !isOnPaper(pupil)));
  await room.command(randomUUID(), { type: 'begin' });
  /** Answers that wait for the line, each with its question. */
  let waiting: (() => Promise<unknown>)[] = [];
  for (const step of room.lesson.steps) {
    await room.command(randomUUID(), { type: 'go', to: step.ref });
    clockMs += Math.round(step.durationMs * (QUICKEST + (SLOWEST - QUICKEST) * rng()));
    const asking = step.beat.kind === 'think' ? room.detail().live.room.run.askings.find(({ phase }) => phase === 'open') : undefined;
    if (!asking) {
      await Promise.all(waiting.map((send) => send()));
      waiting = [];
      continue;
    }
    const openedMs = clockMs - step.durationMs;
    const given = inRoom
      .map((one) => ({
        ...one,
        ...simulateResponse(profileAfter(one.pupil.name, number), asking.item, room.lesson.lesson.settings, one.rng),
      }))
      .sort((one, other) => one.responseTimeMs - other.responseTimeMs);
    const kept: Promise<unknown>[] = [];
    for (const { pupil, participantId, response, responseTimeMs } of given) {
      const post = { id: randomUUID(), askingId: asking.id, response, responseTimeMs };
      if (isDropped(pupil) && rng() < 0.5) {
        waiting.push(() => room.respond(participantId, { ...post, waitedMs: DROPPED_MS }));
        continue;
      }
      clockMs = Math.round(openedMs + responseTimeMs);
      kept.push(room.respond(participantId, post));
    }
    await Promise.all(kept);
    clockMs = Math.max(clockMs, Math.round(openedMs + step.durationMs));
    comeIn(there.filter((pupil) => isLate(pupil) && !inRoom.some((one) => one.pupil === pupil)));
    await enterFromPaper(rooms, room, teacherId, there.filter(isOnPaper), asking.id, rng, number);
  }
  await room.command(randomUUID(), { type: 'end' });
}

/** What pupils without a device wrote down, typed in by the teacher. */
async function enterFromPaper(
  rooms: RoomDirectory,
  room: LiveRoom,
  teacherId: string,
  pupils: readonly Pupil[],
  askingId: string,
  rng: Rng,
  number: number,
): Promise<void> {
  const item = room.itemOf(askingId)!;
  for (const { id: pupilId, name } of pupils) {
    const { response } = simulateResponse(profileAfter(name, number), item, room.lesson.lesson.settings, rng);
    await rooms.enterResponse(room.id, teacherId, { id: randomUUID(), pupilId, askingId, source: 'paper', response });
  }
}
