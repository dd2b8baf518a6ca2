import { randomUUID } from 'node:crypto';
import { reading, respond, TestRoom, schoolWithRoom, type SchoolWithRoom } from '../testing/school.js';

let [school, teacher, room] = [] as unknown as SchoolWithRoom;
beforeEach(async () => ([school, teacher, room] = await schoolWithRoom()));
afterEach(() => school.remove());

test('a command that changed nothing is remembered: sent again late, it does not move the room back', async () => {
  await room.goTo('ask', 'q1');
  const at = (await room.live()).room.run.at;
  const body = { id: randomUUID(), command: { type: 'go', to: at } };
  const send = () => teacher.send('POST', `/api/sessions/${room.detail.id}/commands`, body);
  await send();
  await room.goTo('answer', 'q1');
  expect((await send()).statusCode).toBe(200);
  expect((await room.live()).room.run.at).not.toEqual(at);
});

test('a command sent twice happens once; a start sent twice opens one room', async () => {
  const id = randomUUID();
  await room.tell({ type: 'begin' }, id);
  const { seq } = (await room.tell(room.goToBeat(4))).json();
  expect((await room.tell({ type: 'begin' }, id)).json()).toMatchObject({ seq, room: { run: { at: { beatId: 'b4' } } } });
  const again = await TestRoom.open(school, teacher);
  expect((await teacher.send('GET', '/api/sessions')).json()).toHaveLength(2);
  expect(again.detail.roomKey).toHaveLength(4);
});

test('commands sent at once are carried out one after the other; a bad one among them stops nobody', async () => {
  const sent = [{ type: 'begin' }, room.goToBeat(3), room.goToBeat(400), room.goToBeat(6), { type: 'end' }];
  const replies = await Promise.all(sent.map((command) => room.tell(command)));
  expect(replies.map(({ statusCode }) => statusCode)).toEqual([200, 200, 400, 200, 200]);
  expect(replies.filter(({ statusCode }) => statusCode === 200).map((reply) => reply.json().room)).toMatchObject([
    { phase: 'running', run: { at: { beatId: 'b1' } } },
    { run: { at: { beatId: 'b3' } } },
    { run: { at: { beatId: 'b6' } } },
    { phase: 'ended' },
  ]);
});

test('a stopped server goes on where it was: step, questions, pupils, answers, and the key on the wall', async () => {
  const anouk = await room.join('Anouk');
  await room.goTo('think', 'q1');
  await respond(anouk, reading('8', '30'));
  const before = await room.live();
  await school.stop();
  await school.start();
  const after = await room.live();
  expect({ ...after, seq: 0, nowMs: 0 }).toEqual({ ...before, seq: 0, nowMs: 0 });
  expect((await anouk.send('GET', '/api/desk')).json()).toMatchObject({ question: { phase: 'open', given: { attempt: 1 } } });
  expect((await respond(anouk, reading('7', '30'))).json()).toMatchObject({ attempt: 2 });
});
