import { CoreError } from '@zeitpunkt/core/errors';
import { ClientMessage, type DeskMessage, RATES } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { FastifyRequest } from 'fastify';
import type { WebSocket } from 'ws';
import type { Feature } from '../../http/feature.js';
import { fitsOf } from '../../http/fits.js';
import type { WebPages } from '../../http/web-pages.js';
import { whatIsWrong } from '../../http/what-is-wrong.js';
import type { LoginLines, RequireTeacher } from '../auth/gives.js';
import type { OwnRooms } from '../own-pace/gives.js';
import { DESK_COOKIE, endedView, type FindDesk } from '../../sessions/desk-places.js';
import { Line } from '../../sessions/line.js';
import type { RoomDirectory } from '../../sessions/room-directory.js';

export interface SocketOptions {
  readonly rooms: RoomDirectory;
  readonly own: OwnRooms;
  readonly requireTeacher: RequireTeacher;
  readonly findDesk: FindDesk;
  readonly loginLines: LoginLines;
  readonly pages: WebPages | null;
}

/** A line that does not answer this long is taken for dead. */
const HEARTBEAT_MS = 20_000;
/** RFC 6455, 7.4.1: the other side broke a rule of ours. */
const POLICY = 1008;

/** Sockets only push; what changes something goes over HTTP. A window may only say "sync", and "ping" to hear whether the line carries. */
export const sockets: Feature<SocketOptions> = async (app, { rooms, own, requireTeacher, findDesk, loginLines, pages }) => {
  const Query = Type.Object({ window: Type.Union([Type.Literal('console'), Type.Literal('audience')]) });
  /** Every line begins with which build of the application is served. */
  const hello = JSON.stringify({ type: 'hello', build: pages?.buildId ?? '' });
  const sessionOf = (request: FastifyRequest) => rooms.head((request.params as { id: string }).id, requireTeacher(request).id);

  app.get(
    '/ws/sessions/:id',
    // Refused before the upgrade, so that the browser gets a plain HTTP answer.
    { websocket: true, schema: { querystring: Query }, preValidation: async (request) => void sessionOf(request) },
    (socket, request) => {
      socket.send(hello);
      const room = rooms.find(sessionOf(request).id);
      if (!room) {
        const word = rooms.lastWord(sessionOf(request).id);
        return void word.then(({ json }) => lastWord(socket, json)).catch(() => socket.terminate());
      }
      const window = (request.query as { window: 'console' | 'audience' }).window;
      const line = new Line(socket, request.socket, () => JSON.stringify({ type: 'state', live: room.live(window) }));
      const stops = [room.listen(window, line), loginLines.add(request, () => line.close(POLICY))];
      serve(socket, line, () => stops.forEach((stop) => stop()));
    },
  );

  app.get('/ws/own-pace/:id', { websocket: true, preValidation: async (request) => void sessionOf(request) }, (socket, request) => {
    socket.send(hello);
    const { id } = sessionOf(request);
    const teacher = requireTeacher(request);
    const whole = () => JSON.stringify({ type: 'own', live: own.detail(id, teacher.id).live });
    const room = own.find(id);
    if (!room) return lastWord(socket, whole());
    const line = new Line(socket, request.socket, whole);
    const stops = [room.listen(line), loginLines.add(request, () => line.close(POLICY))];
    serve(socket, line, () => stops.forEach((stop) => stop()));
  });

  app.get(
    '/ws/desk',
    { websocket: true, preValidation: async (request) => void findDesk(request.cookies[DESK_COOKIE]) },
    (socket, request) => {
      socket.send(hello);
      const place = findDesk(request.cookies[DESK_COOKIE]);
      if (!place.room) return lastWord(socket, JSON.stringify({ type: 'view', view: endedView(place.ended) } satisfies DeskMessage));
      const { room, participantId } = place;
      const line = new Line(socket, request.socket, () => (room.hasParticipant(participantId) ? room.deskMessage(participantId) : null));
      serve(socket, line, room.listenDesk(participantId, line));
    },
  );
};

/** The room has ended: how it ended is all there is to say. */
function lastWord(socket: WebSocket, message: string | Uint8Array): void {
  socket.on('error', () => socket.terminate());
  socket.send(message, { binary: false });
  socket.close(1000);
}

/** Sends the state at once and whenever it is asked for, answers what it cannot read with a sentence, and keeps the line warm. */
function serve(socket: WebSocket, line: Line, stop: () => void): void {
  let alive = true;
  let messages = 0;
  const heartbeat = setInterval(() => {
    if (!alive) return socket.terminate();
    alive = false;
    messages = 0;
    socket.ping();
  }, HEARTBEAT_MS).unref();
  const isTooMuch = () => {
    messages += 1;
    if (messages === RATES.socketMessages.most + 1) socket.close(POLICY);
    return messages > RATES.socketMessages.most;
  };
  socket.on('pong', () => (alive = true));
  socket.on('ping', (data) => {
    if (!isTooMuch()) socket.pong(data);
  });
  socket.on('close', () => {
    clearInterval(heartbeat);
    stop();
  });
  socket.on('error', () => socket.terminate()); // the client broke the protocol, a too large message for one
  socket.on('message', (data) => {
    if (isTooMuch()) return;
    const message = read(String(data));
    if (message instanceof CoreError) line.say(JSON.stringify({ type: 'problem', code: message.code, detail: message.message }));
    else if (message.type === 'ping') line.say(PONG);
    else line.show();
  });
  line.show();
}

const PONG = '{"type":"pong"}';

function read(text: string): ClientMessage | CoreError {
  let message: unknown;
  try {
    message = JSON.parse(text);
  } catch {
    return new CoreError('SOCKET_MESSAGE', 'The socket message is not readable JSON.');
  }
  const fits = fitsOf(ClientMessage);
  return fits(message) ? (message as ClientMessage) : new CoreError('SOCKET_MESSAGE', whatIsWrong('The socket message', fits.errors));
}
