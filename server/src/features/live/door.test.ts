import { ONLY_STEP } from '@zeitpunkt/core/lesson/step-ref';
import { randomUUID } from 'node:crypto';
import { reading, respond, School, TestRoom, type Browser } from '../../testing/school.js';

let school: School;
let teacher: Browser;
let room: TestRoom;
beforeEach(async () => {
  school = await new School().start();
  teacher = await school.teacher();
  school.store.sqlite.exec("UPDATE class SET door_admits = 'one-by-one'");
  room = await TestRoom.open(school, teacher);
});
afterEach(() => school.remove());

const lookUp = (who = school.browser()) => who.send('POST', '/api/desk/room', { roomKey: room.key });
const letIn = (...participantIds: string[]) => teacher.send('POST', `/api/sessions/${room.detail.id}/let-in`, { participantIds });
const desk = async (pupil: Browser) => (await pupil.send('GET', '/api/desk')).json();
const waiting = async () => (await room.live()).participants.filter(({ waits }) => waits).map(({ id }) => id);

test('with the right key a pupil waits at the door, sees nothing of the lesson, and is let in alone or with all', async () => {
  const [anouk, bashir, ceri] = [await room.join('Anouk'), await room.join('Bashir'), await room.join('Ceri')];
  await room.goTo('ask', 'q1');
  expect(await desk(anouk)).toMatchObject({ phase: 'door', pupilName: 'Anouk', shapes: [], question: null, stage: null });
  expect((await respond(anouk, reading('7', '30'))).json().code).toBe('QUESTION_NOT_OPEN');
  const [first, ...others] = await waiting();
  await letIn(first!);
  expect([(await desk(anouk)).phase, (await desk(bashir)).phase]).toEqual(['running', 'door']);
  await letIn(...others, randomUUID());
  expect([(await desk(ceri)).phase, await waiting()]).toEqual(['running', []]);
  await school.stop();
  await school.start();
  expect((await desk(bashir)).phase).toBe('running');
});

test('who waits at the door sees the stage at no step of the lesson, while those who are in do', async () => {
  const [anouk, bashir] = [await room.join('Anouk'), await room.join('Bashir')];
  await room.tell({ type: 'begin' });
  const [first] = await waiting();
  await letIn(first!);
  let seen = 0;
  for (const { id } of room.detail.lesson.beats) {
    await room.tell({ type: 'go', to: { beatId: id, step: ONLY_STEP } });
    const [inside, outside] = [await desk(anouk), await desk(bashir)];
    seen += Number(inside.stage !== null);
    expect([outside.phase, outside.stage, outside.question]).toEqual(['door', null, null]);
  }
  expect(seen).toBeGreaterThan(0);
});

test('by setting nobody waits, and the next room of the class remembers it', async () => {
  await room.tell({ type: 'door-admits', admits: 'class-list' });
  expect((await desk(await room.join('Anouk'))).phase).toBe('lobby');
  const next = await TestRoom.open(school, teacher);
  expect(next.detail.live.room.door).toEqual({ open: true, closesAtMs: null, admits: 'class-list' });
});

test('a closed door says what a wrong key says; it closes by itself ten minutes after the lesson has begun', async () => {
  const wrong = await school.browser().send('POST', '/api/desk/room', { roomKey: [...room.key].reverse() });
  // All but the number of the request, which tells nothing.
  const without = ({ statusCode, body }: typeof wrong) => ({ statusCode, body: body.replace(/"number":"\d+"/, '') });
  const same = without(wrong);
  expect((await lookUp()).statusCode).toBe(200);
  await room.tell({ type: 'door', open: false });
  expect(without(await lookUp())).toEqual(same);
  const body = { joinId: randomUUID(), roomKey: room.key, pupilId: room.pupilId('Anouk') };
  expect(without(await school.browser().send('POST', '/api/desk/join', body))).toEqual(same);
  await room.tell({ type: 'door', open: true });
  school.clockMs += 3_600_000; // a lobby stays open
  expect((await lookUp()).statusCode).toBe(200);
  await room.tell({ type: 'begin' });
  school.clockMs += 10 * 60_000 - 1;
  const joined = await school.browser().send('POST', '/api/desk/join', body);
  expect(joined.statusCode).toBe(200);
  school.clockMs += 1;
  expect(without(await lookUp())).toEqual(same);
  // The same join once more, its answer was lost perhaps, is in already.
  expect((await school.browser().send('POST', '/api/desk/join', body)).statusCode).toBe(200);
});

test('a late comer knocks, and comes in when the teacher opens to this one alone', async () => {
  await room.tell({ type: 'door', open: false });
  const [late, stranger] = [school.browser(), school.browser()];
  const knockId = randomUUID();
  const knock = (who: Browser, id: string, roomKey: readonly string[] = room.key) =>
    who.send('POST', '/api/desk/knock', { knockId: id, roomKey });
  const answer = async (id: string) => (await late.send('POST', '/api/desk/knock/answer', { knockId: id, roomKey: room.key })).json();
  const [right, wrong] = [await knock(late, knockId), await knock(stranger, randomUUID(), [...room.key].reverse())];
  expect([right.statusCode, right.body]).toEqual([wrong.statusCode, wrong.body]);
  expect(await answer(knockId)).toEqual({ room: null });
  expect((await room.live()).outside.wrongKeys).toBe(1); // the stranger's; the late comer's key was right
  expect((await room.live()).outside).toMatchObject({ knocks: [{ id: knockId }] });
  await teacher.send('POST', `/api/sessions/${room.detail.id}/knocks/${knockId}/open`);
  expect((await room.live()).outside.knocks).toEqual([]);
  expect((await answer(knockId)).room.pupils).toHaveLength(3);
  expect(await answer(randomUUID())).toEqual({ room: null }); // of somebody who never knocked
  expect((await lookUp(stranger)).statusCode).toBe(404);
  const join = { joinId: randomUUID(), roomKey: room.key, pupilId: room.pupilId('Anouk'), knockId };
  expect((await late.send('POST', '/api/desk/join', join)).json()).toMatchObject({ phase: 'door', pupilName: 'Anouk' });
  expect((await teacher.send('POST', `/api/sessions/${room.detail.id}/knocks/${randomUUID()}/open`)).json().code).toBe('NOT_FOUND');
});

test('a device that fails is slowed down alone, and the teacher sees how many wrong keys were tried', async () => {
  const guessing = school.browser();
  const statuses = [];
  for (let guess = 0; guess < 14; guess++)
    statuses.push((await guessing.send('POST', '/api/desk/room', { roomKey: [...room.key].reverse() })).statusCode);
  // The first try has no cookie yet, and its failure is counted to the address alone.
  expect(statuses).toEqual([...Array<number>(13).fill(404), 429]);
  for (let pupil = 0; pupil < 30; pupil++) expect((await lookUp()).statusCode).toBe(200);
  expect((await room.live()).outside.wrongKeys).toBe(13);
});
