import { CoreError } from '@zeitpunkt/core';
import { ClientMessage } from '@zeitpunkt/contract';
import type { FastifyPluginAsyncTypebox } from '@fastify/type-provider-typebox';
import { Type } from '@sinclair/typebox';
import type { FastifyRequest } from 'fastify';
import type { WebSocket } from 'ws';
import { fitsOf } from '../../http/fits.js';
import { whatIsWrong } from '../../http/what-is-wrong.js';
import type { RequireTeacher } from '../auth/guard.js';
import type { DeskPlace } from './desk-routes.js';
import type { RoomDirectory } from './room-directory.js';

export interface SocketOptions {
  readonly rooms: RoomDirectory;
  readonly requireTeacher: RequireTeacher;
  readonly findDesk: (request: FastifyRequest) => DeskPlace;
}

/** A line that does not answer this long is taken for dead. */
const HEARTBEAT_MS = 20_000;

/** Sockets only push; what changes something goes over HTTP. The only thing a window may say is "sync". */
export const sockets: FastifyPluginAsyncTypebox<SocketOptions> = async (app, { rooms, requireTeacher, findDesk }) => {
  const Query = Type.Object({ window: Type.Union([Type.Literal('console'), Type.Literal('audience')]) });
  const ofTeacher = (request: FastifyRequest) => rooms.own((request.params as { id: string }).id, requireTeacher(request).id);

  app.get(
    '/ws/sessions/:id',
    // Refused before the upgrade, so that the browser gets a plain HTTP answer.
    { websocket: true, schema: { querystring: Query }, preValidation: async (request) => void ofTeacher(request) },
    (socket, request) => {
      const room = ofTeacher(request);
      const window = (request.query as { window: 'console' | 'audience' }).window;
      serve(socket, () => socket.send(JSON.stringify({ type: 'state', live: room.live(window) })), room.listen(window, socket));
    },
  );

  app.get('/ws/desk', { websocket: true, preValidation: async (request) => void findDesk(request) }, (socket, request) => {
    const { room, participantId } = findDesk(request);
    const stop = room.listenDesk(participantId, { send: (text) => socket.send(text), close: () => socket.close(1000, 'released') });
    const sendView = () => {
      if (room.hasParticipant(participantId)) socket.send(JSON.stringify({ type: 'view', view: room.deskView(participantId) }));
    };
    serve(socket, sendView, stop);
  });
};

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
