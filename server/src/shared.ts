import type { FastifyRequest, FastifyServerOptions } from 'fastify';
import type { ScheduledBackups } from './backup/scheduled.js';
import type { Store } from './db/connection.js';
import { type Events, newEvents } from './events.js';
import { type FindTeacher, type RequireTeacher, TEACHER_COOKIE, teacherGuard } from './features/auth/guard.js';
import type { Figures } from './figures/figures.js';
import { LoginLines } from './features/auth/login-lines.js';
import { SchoolClock } from './features/clock/school-clock.js';
import { OwnRooms } from './features/own-pace/own-rooms.js';
import { FailedTries } from './http/failed-tries.js';
import { DEFAULT_LIMITS, type Limits } from './http/limits.js';
import type { Asker } from './http/request-rates.js';
import { type Cookies, cookiesOf } from './http/tokens.js';
import { readPages, type WebPages } from './http/web-pages.js';
import { DESK_COOKIE, deskFinder, isPlace, type FindDesk, type FindRoom } from './sessions/desk-places.js';
import { RoomDirectory } from './sessions/room-directory.js';
import { heavyTasks } from './work/tasks.js';
import { workInPlace, type Work } from './work/work.js';

export interface AppOptions {
  readonly store: Store;
  readonly nowMs: () => number;
  readonly setUpCode?: string | null;
  /** Folder of the built web application; without it only the API is served. */
  readonly webDir?: string;
  /** Where pupils reach the school, if it was set: "https://zeit.school.test". */
  readonly publicUrl?: string | null;
  /** A proxy stands before the server and says from which address a request came. */
  readonly behindProxy?: boolean;
  /** Where pupils can reach the school from their own devices. */
  readonly addresses?: () => readonly string[];
  readonly limits?: Partial<Limits>;
  /** Where the school is backed up; left out where no place is set. */
  readonly backups?: ScheduledBackups | null;
  /** Who does heavy work; where it is left out, it is done in place. */
  readonly work?: Work;
  readonly logger?: FastifyServerOptions['logger'];
  /** Counts what happens, for whoever looks after the machine; left out where nobody asks. */
  readonly figures?: Figures | null;
}

/** What the features of one running server share. Each says for itself which of it it needs. */
export interface Shared {
  readonly store: Store;
  readonly nowMs: () => number;
  readonly work: Work;
  readonly limits: Limits;
  readonly events: Events;
  readonly clock: SchoolClock;
  /** Open rooms of lessons that a teacher leads. */
  readonly rooms: RoomDirectory;
  /** Open lessons at own pace. */
  readonly own: OwnRooms;
  readonly findRoom: FindRoom;
  readonly findDesk: FindDesk;
  readonly findTeacher: FindTeacher;
  readonly requireTeacher: RequireTeacher;
  readonly askerOf: (request: FastifyRequest) => Asker;
  readonly loginLines: LoginLines;
  readonly cookies: Cookies;
  readonly keyTries: FailedTries;
  readonly setUpCode: string | null;
  readonly addresses: () => readonly string[];
  readonly backups: ScheduledBackups | null;
  /** The built application; null where only the API is served. */
  readonly pages: WebPages | null;
}

export function sharedOf({ store, nowMs, ...options }: AppOptions): Shared {
  const limits = { ...DEFAULT_LIMITS, ...options.limits };
  const work = options.work ?? workInPlace(heavyTasks(store));
  const events = newEvents();
  const keyTries = new FailedTries(limits.roomKey, nowMs);
  const rooms = new RoomDirectory({ store, work, events, nowMs, mostAttempts: limits.attempts, keyTries });
  const own = new OwnRooms({ store, events, nowMs, rooms });
  const findRoom: FindRoom = (sessionId) => rooms.find(sessionId) ?? own.find(sessionId);
  const guard = teacherGuard(store.db, nowMs);
  const findDesk = deskFinder(rooms, findRoom);
  return {
    store,
    nowMs,
    work,
    limits,
    events,
    clock: new SchoolClock(store.db, nowMs),
    rooms,
    own,
    findRoom,
    findDesk,
    findTeacher: guard.find,
    requireTeacher: guard.require,
    askerOf: (request) => {
      const { [TEACHER_COOKIE]: login, [DESK_COOKIE]: desk } = request.cookies;
      if (login && guard.find(request)) return { is: 'teacher', token: login };
      return desk && isPlace(findDesk, desk) ? { is: 'desk', token: desk } : { is: 'stranger' };
    },
    loginLines: new LoginLines(),
    cookies: cookiesOf(options.publicUrl?.startsWith('https:') ?? false),
    keyTries,
    setUpCode: options.setUpCode ?? null,
    addresses: options.addresses ?? (() => []),
    backups: options.backups ?? null,
    pages: options.webDir === undefined ? null : readPages(options.webDir),
  };
}
