import fastifyWebsocket from '@fastify/websocket';
import Database from 'better-sqlite3';
import Fastify from 'fastify';
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
// Nothing is looked at: what comes is kept as it is, and its id stands where all ids stand.
app.addContentTypeParser('application/json', { parseAs: 'string' }, (_request, body, done) => done(null, body));
const ID_AT = '{"id":"'.length;
const NOTE = 'x'.repeat(60);
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
  const body = request.body as string;
  const id = body.slice(ID_AT, ID_AT + 36);
  await commit(() => insert.run(id, room, body));
  const told = `{"type":"response","id":"${id}","note":"${NOTE}"}`;
  for (const wall of walls.get(room) ?? []) wall.send(told);
  return reply.type('application/json').send(`{"id":"${id}"}`);
});
await app.listen({ port: 0, host: '127.0.0.1' });
const address = app.server.address();
tellUsage({ port: typeof address === 'object' && address ? address.port : 0 });
