import fastifyWebsocket from '@fastify/websocket';
import Database from 'better-sqlite3';
import Fastify from 'fastify';
import { randomUUID } from 'node:crypto';
import { join } from 'node:path';
import { tellUsage } from './usage.js';
import { groupCommit } from '../../server/src/db/group-commit.js';

// The bare floor: one route, no checks. Insert one row of about 200 bytes, acknowledge, push about 130 bytes to the
// teacher's socket; a question of 1 kB goes to every desk of a room. What arrives in one turn of the event loop shares a transaction.
interface Listener {
  send(text: string): void;
}

const sqlite = new Database(join(process.argv[2]!, 'floor.sqlite'));
sqlite.pragma('journal_mode = WAL');
sqlite.pragma('synchronous = FULL');
sqlite.exec('CREATE TABLE answer (id TEXT PRIMARY KEY, room TEXT, body TEXT) STRICT');
const insert = sqlite.prepare('INSERT INTO answer VALUES (?, ?, ?)');
const commit = groupCommit(sqlite);
const walls = new Map<string, Set<Listener>>();
const desks = new Map<string, Set<Listener>>();
/** About 1 kB, as a question is. */
const QUESTION = JSON.stringify({ type: 'view', note: 'x'.repeat(1000) });
const app = Fastify();
await app.register(fastifyWebsocket);
app.get('/wall/:room', { websocket: true }, (socket, request) => {
  const { room } = request.params as { room: string };
  walls.set(room, (walls.get(room) ?? new Set<Listener>()).add(socket));
  socket.send('{"type":"state"}');
});
app.get('/desk/:room', { websocket: true }, (socket, request) => {
  const { room } = request.params as { room: string };
  desks.set(room, (desks.get(room) ?? new Set<Listener>()).add(socket));
  socket.send('{"type":"view"}');
});
app.post('/open/:room', (request, reply) => {
  const { room } = request.params as { room: string };
  for (const desk of desks.get(room) ?? []) desk.send(QUESTION);
  return reply.send({});
});
app.post('/answer/:room', async (request, reply) => {
  const { room } = request.params as { room: string };
  const { id } = request.body as { id: string };
  const body = JSON.stringify(request.body).slice(0, 140).padEnd(140, ' ');
  await commit(() => insert.run(randomUUID(), room, body));
  const told = JSON.stringify({ type: 'response', id, note: 'x'.repeat(60) });
  for (const wall of walls.get(room) ?? []) wall.send(told);
  return reply.send({ id });
});
await app.listen({ port: 0, host: '127.0.0.1' });
const address = app.server.address();
tellUsage({ port: typeof address === 'object' && address ? address.port : 0 });
