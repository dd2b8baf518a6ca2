import { Type } from '@sinclair/typebox';
import Fastify, { type FastifyInstance } from 'fastify';
import { installProblems } from './problems.js';
import { checkTraffic } from './traffic.js';

const Tide = Type.Object({ atSec: Type.Integer() }, { additionalProperties: false });
let app: FastifyInstance;
let next: unknown;
beforeEach(() => {
  app = Fastify();
  installProblems(app);
  checkTraffic(app);
  app.get('/tide', { schema: { response: { 200: Tide } } }, () => next);
});
afterEach(() => app.close());
const ask = () => app.inject({ method: 'GET', url: '/tide' });

test('a reply that fits leaves as it is', async () => {
  next = { atSec: 27_000 };
  expect((await ask()).json()).toEqual({ atSec: 27_000 });
});

test.each([
  ['of another type', { atSec: '7:30' }],
  ['with a member that nobody foresaw', { atSec: 27_000, answerKey: '7:30' }],
  ['with a member missing', {}],
])('a reply %s is an error of the server, and nothing of it leaves', async (_what, reply) => {
  next = reply;
  const { statusCode, body } = await ask();
  expect([statusCode, JSON.parse(body).code]).toEqual([500, 'INTERNAL']);
  expect(body).not.toMatch(/7:30|answerKey|atSec/);
});
