import { SILENCE_MS } from '@zeitpunkt/core/live/room';
import { randomUUID } from 'node:crypto';
import { reading, respond, schoolWithRoom, type Browser, type SchoolWithRoom } from '../../testing/school.js';

let [school, teacher, room] = [] as unknown as SchoolWithRoom;
beforeEach(async () => ([school, teacher, room] = await schoolWithRoom()));
afterEach(() => school.remove());

const desk = async (pupil: Browser) => (await pupil.send('GET', '/api/desk')).json();
const codeOf = (reply: { json: () => { code: string } }) => reply.json().code;

describe('with an open question', () => {
  let anouk: Browser;
  beforeEach(async () => {
    anouk = await room.join('Anouk');
    await room.goTo('ask', 'q1');
  });

  test('who has not answered is nudged, until the question closes', async () => {
    expect((await desk(anouk)).question.nudged).toBe(false);
    await room.tell({ type: 'nudge', askingId: 'q1' });
    expect((await desk(anouk)).question.nudged).toBe(true);
    await room.tell({ type: 'close', askingId: 'q1' });
    expect((await desk(anouk)).question.nudged).toBe(false);
    expect(codeOf(await room.tell({ type: 'nudge', askingId: 'q1' }))).toBe('QUESTION_NOT_OPEN');
  });

  test('a question beside the script is taken back before anybody answers, and leaves nothing behind', async () => {
    const extra = { id: 'more-1', kind: 'read-dial', timeSec: 5 * 3600 } as const;
    await room.tell({ type: 'ask', item: extra });
    expect((await desk(anouk)).question.askingId).toBe('more-1');
    expect((await room.tell({ type: 'take-back', askingId: 'more-1' })).statusCode).toBe(200);
    expect((await desk(anouk)).question.askingId).toBe('q1');
    const { askings, besideId } = (await teacher.send('GET', `/api/sessions/${room.detail.id}`)).json().live.room.run;
    expect([askings.map(({ id }: { id: string }) => id), besideId]).toEqual([['q1'], null]);
    expect(codeOf(await respond(anouk, { ...reading('5', '00'), askingId: 'more-1' }))).toBe('QUESTION_NOT_OPEN');
    expect(codeOf(await room.tell({ type: 'take-back', askingId: 'q1' }))).toBe('QUESTION_NOT_OPEN');
  });

  test('once somebody has answered, or is just answering, a question stays', async () => {
    const extra = { id: 'more-1', kind: 'read-dial', timeSec: 5 * 3600 } as const;
    await room.tell({ type: 'ask', item: extra });
    const [answer, taken] = await Promise.all([
      respond(anouk, { ...reading('5', '00'), askingId: 'more-1' }),
      room.tell({ type: 'take-back', askingId: 'more-1' }),
    ]);
    // Whichever came first: an answer that was acknowledged is kept, and the other was refused.
    expect([answer.statusCode, taken.statusCode].sort()).toEqual([200, 409]);
    const { live } = (await teacher.send('GET', `/api/sessions/${room.detail.id}`)).json();
    expect(live.responses).toHaveLength(answer.statusCode === 200 ? 1 : 0);
    expect(live.room.run.askings).toHaveLength(answer.statusCode === 200 ? 2 : 1);
  });

  test('more time is counted down for all from when it was promised, and nothing closes by itself', async () => {
    await room.tell({ type: 'more-time', askingId: 'q1', minutes: 2 });
    school.clockMs += 30_000;
    expect((await desk(anouk)).question.countdown).toEqual({ totalMs: 120_000, leftMs: 90_000 });
    school.clockMs += 200_000;
    expect((await desk(anouk)).question).toMatchObject({ phase: 'open', countdown: { leftMs: 0 } });
    expect((await respond(anouk, reading('7', '30'))).json()).toMatchObject({ late: false });
    expect(codeOf(await room.tell({ type: 'more-time', askingId: 'q1', minutes: 31 }))).toBe('REQUEST_SHAPE');
  });

  test('an answer is talked about on the stage of everybody, and whose it is reaches no pupil', async () => {
    const bashir = await room.join('Bashir');
    await respond(bashir, reading('8', '30'));
    await room.tell({ type: 'close', askingId: 'q1' });
    const { item } = (await room.live()).room.run.askings[0]!;
    const answer = (hour: string) => ({ kind: 'answer', item, response: { kind: 'read-dial', hour, minute: '30' } });
    const shows = (shown: object) => room.tell({ type: 'aside', aside: { timeSec: null, marks: [], shows: shown } });
    expect(codeOf(await shows({ ...answer('8'), response: { kind: 'set-dial', hourDeg: 1, minuteDeg: 0 } }))).toBe('RESPONSE_SHAPE');
    await shows(answer('8'));
    const told = await desk(anouk);
    expect(told).toMatchObject({
      question: null,
      stage: { before: { stem: 'How could somebody get this answer?', display: { hour: '8', minute: '30' } } },
    });
    expect(JSON.stringify(told)).not.toContain('Bashir');
    await room.tell({ type: 'aside', aside: null });
    expect((await desk(anouk)).question).toMatchObject({ askingId: 'q1', phase: 'closed' });
  });
});

test('“Ready?” is asked and answered in passing: the newest pulse counts, and none is kept', async () => {
  const [anouk, bashir] = [await room.join('Anouk'), await room.join('Bashir')];
  await room.tell({ type: 'begin' });
  await room.tell({ type: 'pulse', on: true });
  const { id } = (await desk(anouk)).calls.pulse;
  await anouk.send('POST', '/api/desk/ready', { pulse: id, ready: true });
  await bashir.send('POST', '/api/desk/ready', { pulse: id - 1, ready: true }); // of an earlier one
  expect((await desk(anouk)).calls.pulse).toEqual({ id, ready: true });
  expect((await desk(bashir)).calls.pulse).toEqual({ id, ready: null });
  const { participants, passing } = await room.live();
  expect(passing.ready).toEqual([{ participantId: participants[0]!.id, ready: true }]);
  school.clockMs += 1000;
  await room.tell({ type: 'pulse', on: true });
  expect((await room.live()).passing.ready).toEqual([]);
  await room.tell(room.goToBeat(2));
  expect((await desk(anouk)).calls).toEqual({ showMe: false, pulse: null });
});

test('clocks are shown only while they are called for', async () => {
  const anouk = await room.join('Anouk');
  const pose = { hourDeg: 225, minuteDeg: 180 };
  const show = () => anouk.send('POST', '/api/desk/shown', { pose });
  await room.tell({ type: 'begin' });
  await show();
  await room.tell({ type: 'show-me', on: true });
  expect([(await desk(anouk)).calls.showMe, (await room.live()).passing.shown]).toEqual([true, []]);
  await show();
  const { id } = (await room.live()).participants[0]!;
  expect((await room.live()).passing.shown).toEqual([{ participantId: id, pose }]);
  expect(codeOf(await anouk.send('POST', '/api/desk/shown', { pose: { hourDeg: 360, minuteDeg: 0 } }))).toBe('REQUEST_SHAPE');
  await teacher.send('POST', `/api/sessions/${room.detail.id}/participants/${id}/send-out`);
  expect((await room.live()).passing.shown).toEqual([]);
});

test('one who is not on the list comes in under their own name, waits, and leaves nothing behind when sent away', async () => {
  await room.tell({ type: 'door-admits', admits: 'one-by-one' });
  const join = async (newName: string, more: object = {}) => {
    const body = { joinId: randomUUID(), roomKey: room.key, pupilId: randomUUID(), newName, ...more };
    return { body, reply: await school.browser().send('POST', '/api/desk/join', body) };
  };
  const names = async () => {
    const [{ id }] = (await teacher.send('GET', '/api/classes')).json();
    return (await teacher.send('GET', `/api/classes/${id}`)).json().pupils.map(({ name }: { name: string }) => name);
  };
  const { body, reply } = await join(' Marit ');
  expect(reply.json()).toMatchObject({ phase: 'door', pupilName: 'Marit' });
  expect((await school.browser().send('POST', '/api/desk/join', body)).json()).toMatchObject({ phase: 'door' }); // sent again
  expect((await room.live()).participants).toMatchObject([{ name: 'Marit', newcomer: true, waits: true }]);
  expect(await names()).toContain('Marit');
  expect(codeOf((await join('Anouk')).reply)).toBe('NAME_TAKEN');
  await teacher.send('POST', `/api/sessions/${room.detail.id}/participants/${body.joinId}/send-out`);
  expect(await names()).not.toContain('Marit');
  await room.tell({ type: 'door-admits', admits: 'class-list' });
  expect(codeOf((await join('Ivo')).reply)).toBe('PUPIL_UNKNOWN');
  await room.tell({ type: 'door-admits', admits: 'all' });
  expect((await join('Ivo')).reply.json()).toMatchObject({ phase: 'lobby', pupilName: 'Ivo' });
});

test('who was sent out waits at the door when coming again, after a restart too', async () => {
  await room.join('Anouk');
  const { id } = (await room.live()).participants[0]!;
  await teacher.send('POST', `/api/sessions/${room.detail.id}/participants/${id}/send-out`);
  await school.stop();
  await school.start();
  expect(await desk(await room.join('Anouk'))).toMatchObject({ phase: 'door' });
  expect(await desk(await room.join('Bashir'))).toMatchObject({ phase: 'lobby' });
});

test('a room ends by itself after three hours of silence, and says so; one that is heard of goes on', async () => {
  const anouk = await room.join('Anouk');
  await room.goTo('ask', 'q1');
  school.clockMs += SILENCE_MS - 1000;
  await respond(anouk, reading('7', '30'));
  school.clockMs += 2000;
  await school.stop();
  await school.start(); // looked for at the start, and every few minutes
  expect((await room.live()).room.phase).toBe('running');
  school.clockMs += SILENCE_MS;
  await school.stop();
  await school.start();
  await teacher.send('POST', '/api/sign-in', { signInName: 'odalys', password: 'tern-harbour-lamp' });
  expect((await room.live()).room).toMatchObject({ phase: 'ended', endedBy: 'silence' });
  expect(await desk(anouk)).toMatchObject({ phase: 'ended' });
});
