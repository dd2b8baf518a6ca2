import { SIZES } from '@zeitpunkt/contract';
import fastifyCompress from '@fastify/compress';
import fastifyCookie from '@fastify/cookie';
import fastifyWebsocket from '@fastify/websocket';
import Fastify, { LogController, type FastifyInstance } from 'fastify';
import { FEATURES } from './features.js';
import { answerRoute } from './features/live/answer-route.js';
import { nameFeatures, type DataTypeProvider } from './http/feature.js';
import { guardLargeBodies } from './http/large-bodies.js';
import { checkOrigin } from './http/origin-check.js';
import { answerBrokenRequest, answerFrameworkError, answerNotFound, installProblems } from './http/problems.js';
import { requestNumbers } from './http/request-number.js';
import { requestRates } from './http/request-rates.js';
import { retryWhileBusy } from './http/retry-while-busy.js';
import { forgiveStalls } from './http/stalls.js';
import { checkTraffic } from './http/traffic.js';
import { securityHeaders, webPages } from './http/web-pages.js';
import { sendWrittenJson } from './http/written-json.js';
import { type AppOptions, type Shared, sharedOf } from './shared.js';

/** A request has this long to arrive whole, in milliseconds; one that trickles in is cut off. */
const REQUEST_MS = 20_000;

nameFeatures({ answerRoute, registerOthers });

/** Builds the server without listening, so that tests can inject requests. */
export async function buildApp(options: AppOptions): Promise<FastifyInstance> {
  const shared = sharedOf(options);
  const app = Fastify({
    logger: options.logger ?? false,
    // What was asked for carries ids and keys: only problems are written down, by the number that they are told with.
    logController: new LogController({ disableRequestLogging: true }),
    genReqId: requestNumbers(),
    bodyLimit: shared.limits.teacherBodyBytes,
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
  app.addHook('onClose', () => shared.work.close());
  checkTraffic(app);
  options.figures?.watch(app, shared);
  retryWhileBusy(app);
  app.addHook('onRequest', checkOrigin);
  await app.register(fastifyWebsocket, { options: { maxPayload: SIZES.socketMessage.bytes, autoPong: false } });
  await app.register(answerRoute, shared);
  await app.register(registerOthers, shared);
  return app;
}

/** Every route but the one where answers come in. */
async function registerOthers(app: FastifyInstance, shared: Shared): Promise<void> {
  answerNotFound(app);
  app.addHook('preSerialization', sendWrittenJson);
  await securityHeaders(app);
  await app.register(fastifyCookie);
  app.addHook('onRequest', requestRates(shared.askerOf, shared.nowMs));
  await app.register(fastifyCompress, { threshold: 1024 });
  guardLargeBodies(app, shared.limits.teacherBodyBytes, shared.requireTeacher);
  for (const feature of FEATURES) await app.register(feature, shared);
  if (shared.pages) await webPages(app, shared.pages);
}
