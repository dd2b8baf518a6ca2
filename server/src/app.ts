import fastifyCompress from '@fastify/compress';
import fastifyCookie from '@fastify/cookie';
import fastifyWebsocket from '@fastify/websocket';
import Fastify, { type FastifyInstance, type FastifyServerOptions } from 'fastify';
import { reallyDelete, type Store } from './db/connection.js';
import { addressesPlugin } from './features/addresses/plugin.js';
import { teacherGuard } from './features/auth/guard.js';
import { LoginLines } from './features/auth/login-lines.js';
import { authPlugin } from './features/auth/plugin.js';
import { staffPlugin } from './features/auth/staff-plugin.js';
import { classesPlugin } from './features/classes/plugin.js';
import { deleteWhatIsOld } from './features/classes/retention.js';
import { clockPlugin } from './features/clock/plugin.js';
import { SchoolClock } from './features/clock/school-clock.js';
import { deletePupil, insertClass, insertPupils, mustBeFree, ownClass, pupilOfCard, pupilsOf } from './features/classes/queries.js';
import { archivePlugin } from './features/archive/plugin.js';
import { dialsPlugin } from './features/dials/plugin.js';
import { paperPlugin } from './features/paper/plugin.js';
import { plansPlugin } from './features/plans/plugin.js';
import { lessonsPlugin } from './features/lessons/plugin.js';
import { pinLesson } from './features/lessons/pin.js';
import { installStarterLessons } from './features/lessons/starter.js';
import { answerRoute } from './features/live/answer-route.js';
import { deskFinder, type FindDesk } from './sessions/desk-places.js';
import { cardDeskRoutes } from './features/live/card-desk-routes.js';
import { deskRoutes } from './features/live/desk-routes.js';
import { RoomDirectory } from './sessions/room-directory.js';
import { sockets } from './features/live/sockets.js';
import { teacherRoutes } from './features/live/teacher-routes.js';
import { OwnRooms } from './features/own-pace/own-rooms.js';
import { ownPacePlugin } from './features/own-pace/plugin.js';
import { questionsPlugin } from './features/questions/plugin.js';
import { resultsPlugin } from './features/results/plugin.js';
import { reviewPlugin } from './features/review/plugin.js';
import { simulatedPlugin } from './features/simulated/plugin.js';
import { deleteOldRecordings, voicePlugin } from './features/voice/plugin.js';
import { takesOf } from './features/voice/queries.js';
import { FailedTries } from './http/failed-tries.js';
import { nameFeatures, type DataTypeProvider } from './http/feature.js';
import { guardLargeBodies } from './http/large-bodies.js';
import { DEFAULT_LIMITS, type Limits } from './http/limits.js';
import { checkOrigin } from './http/origin-check.js';
import { answerBrokenRequest, answerFrameworkError, answerNotFound, installProblems } from './http/problems.js';
import { retryWhileBusy } from './http/retry-while-busy.js';
import { checkTraffic } from './http/traffic.js';
import { forgiveStalls } from './http/stalls.js';
import { cookiesOf } from './http/tokens.js';
import { readPages, securityHeaders, webPages } from './http/web-pages.js';
import { sendWrittenJson } from './http/written-json.js';
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
  /** Who does heavy work; where it is left out, it is done in place. */
  readonly work?: Work;
  readonly logger?: FastifyServerOptions['logger'];
}

/** A request has this long to arrive whole, in milliseconds; one that trickles in is cut off. */
const REQUEST_MS = 20_000;

/** Rooms in which nothing is heard any more are looked for so often, in milliseconds. */
const SILENT_EVERY_MS = 5 * 60_000;

nameFeatures({
  answerRoute,
  authPlugin,
  clockPlugin,
  staffPlugin,
  classesPlugin,
  plansPlugin,
  lessonsPlugin,
  addressesPlugin,
  dialsPlugin,
  teacherRoutes,
  reviewPlugin,
  resultsPlugin,
  archivePlugin,
  questionsPlugin,
  paperPlugin,
  simulatedPlugin,
  voicePlugin,
  ownPacePlugin,
  deskRoutes,
  cardDeskRoutes,
  sockets,
  registerOthers,
});

/** Builds the server without listening, so that tests can inject requests. */
export async function buildApp(options: AppOptions): Promise<FastifyInstance> {
  const { store, nowMs } = options;
  const limits = { ...DEFAULT_LIMITS, ...options.limits };
  const app = Fastify({
    logger: options.logger ?? false,
    bodyLimit: limits.teacherBodyBytes,
    frameworkErrors: answerFrameworkError,
    clientErrorHandler: answerBrokenRequest,
    requestTimeout: REQUEST_MS,
    http: { headersTimeout: REQUEST_MS / 2, connectionsCheckingInterval: 2000 },
    forceCloseConnections: 'idle',
    trustProxy: options.behindProxy ? (_address, hop) => hop < 1 : false,
    // A missing or null minute must stay missing: nothing is coerced, nothing silently removed.
  }).withTypeProvider<DataTypeProvider>();

  installProblems(app);
  const stopForgiving = forgiveStalls(app.server);
  app.addHook('onClose', async () => stopForgiving());
  checkTraffic(app);
  retryWhileBusy(app);
  app.addHook('onRequest', checkOrigin);
  await app.register(fastifyWebsocket, { options: { maxPayload: 4096, autoPong: false } });

  const work = options.work ?? workInPlace(heavyTasks(store));
  app.addHook('onClose', () => work.close());
  const keyTries = new FailedTries(limits.roomKey, nowMs);
  const lastingTries = new FailedTries(limits.lastingKey, nowMs);
  const pupils = (classId: string) => pupilsOf(store.db, classId);
  const rooms = new RoomDirectory({
    store,
    work,
    nowMs,
    mostAttempts: limits.attempts,
    pupilsOf: pupils,
    wrongKeys: () => keyTries.wrongLately,
    takesOf: (lessonId) => takesOf(store.db, lessonId),
  });
  const own = new OwnRooms({ store, nowMs, rooms, pupilsOf: pupils });
  const findDesk = deskFinder(rooms, (sessionId) => rooms.find(sessionId) ?? own.find(sessionId));
  await app.register(answerRoute, { rooms, findDesk, limits });
  await app.register(registerOthers, { ...options, limits, work, rooms, own, findDesk, keyTries, lastingTries });
  return app;
}

interface OtherNeeds extends Omit<AppOptions, 'limits' | 'work'> {
  readonly limits: Limits;
  readonly work: Work;
  readonly rooms: RoomDirectory;
  readonly own: OwnRooms;
  readonly findDesk: FindDesk;
  readonly keyTries: FailedTries;
  readonly lastingTries: FailedTries;
}

/** Every route but the one where answers come in. */
async function registerOthers(
  app: FastifyInstance,
  { store, nowMs, limits, work, rooms, own, findDesk, keyTries, lastingTries, ...options }: OtherNeeds,
): Promise<void> {
  answerNotFound(app);
  app.addHook('preSerialization', sendWrittenJson);
  await securityHeaders(app);
  await app.register(fastifyCookie);
  await app.register(fastifyCompress, { threshold: 1024 });

  const guard = teacherGuard(store.db, nowMs);
  guardLargeBodies(app, limits.teacherBodyBytes, guard.require);
  const cookies = cookiesOf(options.publicUrl?.startsWith('https:') ?? false);
  const loginLines = new LoginLines();

  await app.register(authPlugin, {
    store,
    nowMs,
    limits,
    cookies,
    loginLines,
    findTeacher: guard.find,
    setUpCode: options.setUpCode ?? null,
    equip: (teacherId, first) => {
      insertClass(store.db, { teacherId, name: first.className, pupilNames: first.pupilNames, createdAtMs: nowMs() });
      installStarterLessons(store.db, teacherId);
    },
  });
  const classChanged = (classId: string, merged = false) => {
    work.tell('forgetLines', classId);
    rooms.classChanged(classId, merged);
    own.classChanged(classId, merged);
  };
  const takesChanged = (lessonId: string) => {
    rooms.takesChanged(lessonId);
    own.takesChanged(lessonId);
  };
  const clock = new SchoolClock(store.db, nowMs);
  await app.register(clockPlugin, {
    clock,
    requireTeacher: guard.require,
    tidy: () => {
      deleteWhatIsOld(store, nowMs());
      deleteOldRecordings(store, nowMs(), takesChanged);
    },
  });
  await app.register(staffPlugin, { store, requireTeacher: guard.require, nowMs });
  await app.register(classesPlugin, {
    store,
    work,
    clock,
    requireTeacher: guard.require,
    nowMs,
    onChanged: classChanged,
    onDeleted: (classId) => {
      rooms.classDeleted(classId);
      own.classDeleted(classId);
    },
  });
  await app.register(plansPlugin, { store, work, requireTeacher: guard.require, nowMs });
  await app.register(lessonsPlugin, {
    store,
    requireTeacher: guard.require,
    nowMs,
    work,
    limits,
  });
  await app.register(addressesPlugin, { requireTeacher: guard.require, addresses: options.addresses ?? (() => []) });
  await app.register(dialsPlugin, { store, requireTeacher: guard.require, nowMs });
  const pinForTeaching = (teacherId: string, lessonId: string, classId: string) =>
    ownClass(store.db, teacherId, classId) && pinLesson(store.db, teacherId, lessonId, nowMs());
  await app.register(teacherRoutes, {
    rooms,
    requireTeacher: guard.require,
    removePupil: (classId, pupilId) => {
      reallyDelete(store, () => deletePupil(store.db, pupilId));
      classChanged(classId);
    },
    pinForTeaching,
  });
  await app.register(reviewPlugin, {
    store,
    rooms,
    work,
    requireTeacher: guard.require,
    nowMs,
    onCorrected: (sessionId, responseId) => {
      rooms.corrected(sessionId, responseId);
      own.corrected(sessionId, responseId);
    },
    onWordings: (classId) => {
      rooms.wordingsChanged(classId);
      own.wordingsChanged(classId);
    },
  });
  await app.register(resultsPlugin, { store, work, requireTeacher: guard.require, nowMs, onChanged: classChanged });
  await app.register(archivePlugin, { store, work, requireTeacher: guard.require, nowMs });
  await app.register(questionsPlugin, { store, work, requireTeacher: guard.require });
  await app.register(paperPlugin, { store, requireTeacher: guard.require, nowMs });
  await app.register(simulatedPlugin, { store, rooms, requireTeacher: guard.require, nowMs, pinForTeaching });
  await app.register(voicePlugin, { store, takesChanged, findDesk, requireTeacher: guard.require, nowMs });
  await app.register(ownPacePlugin, { own, clock, findDesk, requireTeacher: guard.require, limits, pinForTeaching });
  const addPupil = (classId: string, { id, name }: { readonly id: string; readonly name: string }) => {
    mustBeFree(store.db, classId, name, id);
    insertPupils(store.db, classId, [{ id, name, reference: null }]);
    classChanged(classId);
  };
  const desks = { rooms, findDesk, limits, cookies, keyTries, lastingTries, ownByKey: own.byKey.bind(own), addPupil };
  await app.register(deskRoutes, desks);
  await app.register(cardDeskRoutes, {
    ...desks,
    pupilOfCard: (hashOfToken) => pupilOfCard(store.db, hashOfToken),
    ownLessonsOf: (pupilId) => own.lessonsOf(pupilId),
    find: (sessionId) => rooms.find(sessionId) ?? own.find(sessionId),
  });
  const endSilent = setInterval(() => {
    rooms.endSilent().catch((error: unknown) => app.log.error({ err: error }, 'silent rooms could not be ended; it is tried again later'));
  }, SILENT_EVERY_MS).unref();
  app.addHook('onReady', async () => void (await rooms.endSilent()));
  app.addHook('onClose', async () => clearInterval(endSilent));
  const pages = options.webDir === undefined ? null : readPages(options.webDir);
  await app.register(sockets, { rooms, own, requireTeacher: guard.require, findDesk, loginLines, buildId: pages?.buildId ?? '' });
  if (pages) await webPages(app, pages);
}
