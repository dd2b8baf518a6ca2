import { CoreError } from '@zeitpunkt/core';
import { ClientMessage, type DeskMessage, type TeacherMessage } from '@zeitpunkt/contract';
import { Type } from '@sinclair/typebox';
import type { FastifyRequest } from 'fastify';
import type { WebSocket } from 'ws';
import type { Feature } from '../../http/feature.js';
import { fitsOf } from '../../http/fits.js';
import { whatIsWrong } from '../../http/what-is-wrong.js';
import type { RequireTeacher } from '../auth/guard.js';
import { endedView, type DeskPlace } from './desk-places.js';
import type { Listener } from './hub.js';
import type { RoomDirectory } from './room-directory.js';

export interface SocketOptions {
  readonly rooms: RoomDirectory;
  readonly requireTeacher: RequireTeacher;
  readonly findDesk: (request: FastifyRequest) => DeskPlace;
  /** Which build of the application is served: every line begins with it. */
  readonly buildId: string;
}

/** A line that does not answer this long is taken for dead. */
const HEARTBEAT_MS = 20_000;

/** Sockets only push; what changes something goes over HTTP. The only thing a window may say is "sync". */
export const sockets: Feature<SocketOptions> = async (app, { rooms, requireTeacher, findDesk, buildId }) => {
  const Query = Type.Object({ window: Type.Union([Type.Literal('console'), Type.Literal('audience')]) });
  const hello = JSON.stringify({ type: 'hello', build: buildId });
  const sessionOf = (request: FastifyRequest) => rooms.detail((request.params as { id: string }).id, requireTeacher(request).id);

  app.get(
    '/ws/sessions/:id',
    // Refused before the upgrade, so that the browser gets a plain HTTP answer.
    { websocket: true, schema: { querystring: Query }, preValidation: async (request) => void sessionOf(request) },
    (socket, request) => {
      socket.send(hello);
      const session = sessionOf(request);
      const room = session.live.room.phase === 'ended' ? undefined : rooms.find(session.id);
      if (!room) return lastWord(socket, { type: 'state', live: session.live });
      const window = (request.query as { window: 'console' | 'audience' }).window;
      serve(socket, () => say(socket, { type: 'state', live: room.live(window) }), room.listen(window, listenerOf(socket)));
    },
  );

  app.get('/ws/desk', { websocket: true, preValidation: async (request) => void findDesk(request) }, (socket, request) => {
    socket.send(hello);
    const place = findDesk(request);
    if (!place.room) return lastWord(socket, { type: 'view', view: endedView(place.ended) });
    const { room, participantId } = place;
    const sendView = () => {
      if (room.hasParticipant(participantId)) say(socket, { type: 'view', view: room.deskView(participantId) });
    };
    serve(socket, sendView, room.listenDesk(participantId, listenerOf(socket)));
  });
};

const listenerOf = (socket: WebSocket): Listener => ({ send: (text) => socket.send(text), close: () => socket.close(1000) });

function say(socket: WebSocket, message: TeacherMessage | DeskMessage): void {
  socket.send(JSON.stringify(message));
}

/** The room has ended: how it ended is all there is to say. */
function lastWord(socket: WebSocket, message: TeacherMessage | DeskMessage): void {
  socket.on('error', () => socket.terminate());
  say(socket, message);
  socket.close(1000);
}

/** Sends the state at once and whenever it is asked for, answers what it cannot read with a sentence, and keeps the line warm. */
function serve(socket: WebSocket, sendState: () => void, stop: () => void): void {
  let alive = true;
  const heartbeat = setInterval(() => {
    if (!alive) return socket.terminate();
    alive = false;
    socket.ping();
  }, HEARTBEAT_MS);
  socket.on('pong', () => (alive = true));
  socket.on('close', () => {
    clearInterval(heartbeat);
    stop();
  });
  socket.on('error', () => socket.terminate()); // the client broke the protocol, a too large message for one
  socket.on('message', (data) => {
    const problem = problemWith(String(data));
    if (problem) socket.send(JSON.stringify({ type: 'problem', code: problem.code, detail: problem.message }));
    else sendState();
  });
  sendState();
}

function problemWith(text: string): CoreError | null {
  let message: unknown;
  try {
    message = JSON.parse(text);
  } catch {
    return new CoreError('SOCKET_MESSAGE', 'The socket message is not readable JSON.');
  }
  const fits = fitsOf(ClientMessage);
  return fits(message) ? null : new CoreError('SOCKET_MESSAGE', whatIsWrong('The socket message', fits.errors));
}
