import type { CardRead, ClassPupil, DeskView, OwnPaceDetail, OwnPaceProgress, OwnPlace } from '@zeitpunkt/contract';
import { randomUUID } from 'node:crypto';
import { anotherTeacher, reading, respond, School, type Browser } from '../../testing/school.js';

const [YESTERDAY, TODAY, LAST] = ['2026-11-01', '2026-11-02', '2026-11-06'];
let school: School;
let teacher: Browser;
let pupils: readonly ClassPupil[];
let start: Record<string, unknown>;
beforeEach(async () => {
  school = await new School().start();
  teacher = await school.teacher();
  const [{ id: classId }] = (await teacher.send('GET', '/api/classes')).json();
  pupils = (await teacher.send('GET', `/api/classes/${classId}`)).json().pupils;
  const [{ id: lessonId }] = (await teacher.send('GET', '/api/lessons')).json();
  start = { id: randomUUID(), lessonId, classId, pupilIds: null, firstDay: TODAY, lastDay: LAST, byKey: true, voice: false };
});
afterEach(() => school.remove());

const idOf = (name: string) => pupils.find((one) => one.name === name)!.id;
const give = async (change: object = {}): Promise<OwnPaceDetail> =>
  (await teacher.send('POST', '/api/own-pace', { ...start, ...change })).json();
const at = (path = '') => `/api/own-pace/${String(start['id'])}${path}`;
const detail = async (): Promise<OwnPaceDetail> => (await teacher.send('GET', at())).json();
const place = async (name: string): Promise<OwnPlace> => (await detail()).live.places.find((one) => one.name === name)!;
const desk = async (device: Browser): Promise<DeskView> => (await device.send('GET', '/api/desk')).json();
async function card(name: string): Promise<string> {
  const made = await teacher.send('POST', `/api/classes/${String(start['classId'])}/cards`, { pupilIds: [idOf(name)] });
  return made.json().cards[0].token;
}
async function byCard(token: string): Promise<Browser> {
  const device = school.browser();
  await device.send('POST', '/api/desk/card/join', { token, sessionId: start['id'], joinId: randomUUID() });
  return device;
}
const open = async (name: string) => byCard(await card(name));
/** Goes on as far as the pupil may. */
async function goOn(device: Browser): Promise<DeskView> {
  const { own } = await desk(device);
  return (await device.send('POST', '/api/desk/own/go', { to: own!.steps.at(-1) })).json();
}
const codeOf = (reply: { json: () => { code: string } }) => reply.json().code;

test('a pupil goes through the lesson alone: stops at the question, gets the reason at once, goes back, and comes to the end', async () => {
  await give();
  const anouk = await open('Anouk');
  expect(await desk(anouk)).toMatchObject({ phase: 'running', question: null, own: { at: 0, done: false, lastDay: LAST } });
  const asked = await goOn(anouk);
  expect(asked).toMatchObject({
    question: { askingId: 'q1', phase: 'open', countdown: null, reveal: null },
    own: { farthest: asked.own!.at },
  });
  expect(JSON.stringify(asked)).not.toContain('7:30');
  const behind = { beatId: 'b15', step: 'beat' };
  expect(codeOf(await anouk.send('POST', '/api/desk/own/go', { to: behind }))).toBe('ROOM_POSITION_RANGE');
  await respond(anouk, reading('8', '30'));
  const revealed = await desk(anouk);
  expect(revealed.question).toMatchObject({
    phase: 'revealed',
    reveal: { own: { verdict: 'partly', sayToPupil: expect.stringMatching(/\w/) } },
  });
  // Back to where it was shown how, and on again: the answer stays answered.
  await anouk.send('POST', '/api/desk/own/go', { to: revealed.own!.steps[2] });
  expect(await desk(anouk)).toMatchObject({ question: null, own: { at: 2 } });
  const second = await goOn(anouk);
  expect(second.question).toMatchObject({ askingId: 'q2', phase: 'open' });
  await respond(anouk, { id: randomUUID(), askingId: 'q2', response: { kind: 'not-sure' }, responseTimeMs: 900 });
  await goOn(anouk);
  await respond(anouk, { id: randomUUID(), askingId: 'q3', response: { kind: 'not-sure' }, responseTimeMs: 900 });
  expect((await goOn(anouk)).own).toMatchObject({ done: true });
  expect(await place('Anouk')).toMatchObject({ done: true });
  expect(await place('Bashir')).toMatchObject({ at: null, done: false });
  const review = (await teacher.send('GET', `/api/sessions/${String(start['id'])}`)).json();
  expect(review).toMatchObject({ pace: 'own', live: { responses: [{ askingId: 'q1' }, { askingId: 'q2' }, { askingId: 'q3' }] } });
  expect(review.live.room.run.askings.map(({ id }: { id: string }) => id)).toEqual(['q1', 'q2', 'q3']);
});

test('a pupil stops and comes back on another device, where they stood, also after the server was started again', async () => {
  await give();
  const token = await card('Anouk');
  const tablet = await byCard(token);
  const asked = await goOn(tablet);
  await school.stop();
  await school.start();
  const phone = await byCard(token);
  expect(await desk(phone)).toMatchObject({ question: { askingId: 'q1' }, own: { at: asked.own!.at } });
  expect(codeOf(await tablet.send('GET', '/api/desk'))).toBe('DESK_NOT_JOINED');
  await respond(phone, reading('7', '30'));
  // The server stops between the answer and what follows from it.
  school.store.sqlite.prepare("UPDATE own_place SET run = json_set(run, '$.askings[0].phase', 'open') WHERE run IS NOT NULL").run();
  await school.stop();
  await school.start();
  expect(await desk(phone)).toMatchObject({ question: { phase: 'revealed' } });
});

test('an answer that waited for the line is no late one; it moves nobody who looks at something else meanwhile', async () => {
  await give();
  const anouk = await open('Anouk');
  const { own } = await goOn(anouk);
  await anouk.send('POST', '/api/desk/own/go', { to: own!.steps[1] });
  expect((await respond(anouk, { ...reading('7', '30'), waitedMs: 60_000 })).json()).toMatchObject({ late: false });
  expect(await desk(anouk)).toMatchObject({ own: { at: 1 } });
  expect((await goOn(anouk)).question).toMatchObject({ askingId: 'q2' });
  expect((await respond(anouk, reading('8', '30'))).json()).toMatchObject({ late: true }); // the answer was shown
});

test('by key, under one’s name, and only where the teacher allows it', async () => {
  const { roomKey } = await give();
  const found = (await school.browser().send('POST', '/api/desk/room', { roomKey })).json();
  expect(found).toMatchObject({ pupils: [{ name: 'Anouk' }, { name: 'Bashir' }, { name: 'Ceri' }], newcomers: false });
  const join = (device: Browser) => device.send('POST', '/api/desk/join', { joinId: randomUUID(), roomKey, pupilId: idOf('Ceri') });
  const [first, second] = [school.browser(), school.browser()];
  await join(first);
  const { own: stands } = await goOn(first);
  // Whoever has the pictures takes no pupil's place over: the teacher gives it up.
  expect((await join(second)).json()).toMatchObject({
    code: 'NAME_TAKEN',
    detail: expect.stringContaining('Ceri works on another device'),
  });
  expect(codeOf(await (await anotherTeacher(school, teacher)).send('POST', at(`/places/${idOf('Ceri')}/free`)))).toBe('NOT_FOUND');
  await teacher.send('POST', at(`/places/${idOf('Ceri')}/free`));
  expect(codeOf(await first.send('GET', '/api/desk'))).toBe('DESK_NOT_JOINED');
  expect((await join(second)).json()).toMatchObject({ pupilName: 'Ceri', own: { at: stands!.at } });
  expect((await teacher.send('POST', at('/change'), { byKey: false })).json()).toMatchObject({ roomKey: null });
  expect(codeOf(await join(school.browser()))).toBe('ROOM_KEY_UNKNOWN');
});

test('a key that is open for days has six pictures, of which sixty wrong ones an hour are tried; cards and known devices go on', async () => {
  const { roomKey } = await give();
  expect(roomKey).toHaveLength(6);
  const found = (who: Browser, key: readonly string[]) => who.send('POST', '/api/desk/room', { roomKey: key });
  expect(codeOf(await found(school.browser(), roomKey!.slice(0, 4)))).toBe('ROOM_KEY_UNKNOWN');
  const known = school.browser();
  await known.send('POST', '/api/desk/join', { joinId: randomUUID(), roomKey, pupilId: idOf('Ceri') });
  for (let guess = 0; guess < 60; guess++) {
    expect(codeOf(await found(school.browser(), [...roomKey!].reverse()))).toBe('ROOM_KEY_UNKNOWN');
    school.clockMs += 1000;
  }
  expect((await found(school.browser(), roomKey!)).json()).toMatchObject({
    code: 'REQUEST_RATE',
    detail: expect.stringContaining('join card'),
  });
  expect((await found(known, roomKey!)).statusCode).toBe(200);
  expect(await desk(await open('Anouk'))).toMatchObject({ pupilName: 'Anouk' });
  school.clockMs += 3_600_000;
  expect((await found(school.browser(), roomKey!)).statusCode).toBe(200);
  // Opened again it keeps its pictures.
  await teacher.send('POST', at('/end'));
  expect((await teacher.send('POST', at('/change'), { lastDay: '2026-11-20' })).json()).toMatchObject({ roomKey });
});

test('a lesson opens on its first day, ends after its last, and a later last day opens it again', async () => {
  await give({ firstDay: '2026-11-04' });
  const token = await card('Anouk');
  const lessons = async () => ((await school.browser().send('POST', '/api/desk/card', { token })).json() as CardRead).lessons;
  expect(await lessons()).toMatchObject([{ own: { firstDay: '2026-11-04', lastDay: LAST, open: false, done: false } }]);
  const join = () => school.browser().send('POST', '/api/desk/card/join', { token, sessionId: start['id'], joinId: randomUUID() });
  expect((await join()).json()).toMatchObject({ code: 'OWN_PACE_DAYS', detail: 'This lesson opens on 2026-11-04.' });
  school.clockMs += 2 * 86_400_000;
  const anouk = await byCard(token);
  await goOn(anouk);
  school.clockMs += 3 * 86_400_000;
  expect(await lessons()).toEqual([]);
  await school.stop();
  await school.start(); // what is over is looked for at the start, and every few minutes
  expect(await desk(anouk)).toMatchObject({ phase: 'ended' });
  expect((await respond(anouk, reading('7', '30'))).json()).toMatchObject({ late: true });
  expect(codeOf(await teacher.send('POST', at('/change'), { lastDay: YESTERDAY }))).toBe('OWN_PACE_DAYS');
  await teacher.send('POST', at('/change'), { lastDay: '2026-11-20' });
  expect(await desk(await byCard(token))).toMatchObject({ phase: 'running', question: { askingId: 'q1' } });
  await teacher.send('POST', at('/end'));
  expect((await detail()).live.endedAtMs).toBe(school.clockMs);
});

test('a lesson may be open for one day, and never for days in disorder or that are over', async () => {
  const gives = async (firstDay: string, lastDay: string) => {
    const reply = await teacher.send('POST', '/api/own-pace', { ...start, id: randomUUID(), firstDay, lastDay });
    return reply.statusCode === 200 ? 'given' : [codeOf(reply), reply.json().detail];
  };
  expect(await gives(TODAY, TODAY)).toBe('given');
  expect(await gives(LAST, TODAY)).toEqual(['OWN_PACE_DAYS', 'The last day lies before the first.']);
  expect(await gives('2026-10-30', YESTERDAY)).toEqual(['OWN_PACE_DAYS', 'The last day is over already.']);
  expect(await gives(TODAY, '2026-11-31')).toEqual(['OWN_PACE_DAYS', 'There is no day 2026-11-31 in the calendar.']);
});

test('a mark that is corrected while the lesson is open is what its pupil and its teacher see', async () => {
  await give();
  const anouk = await open('Anouk');
  await goOn(anouk);
  const answer = reading('8', '30');
  await respond(anouk, answer);
  const mark = async () => (await detail()).live.responses.find(({ id }) => id === answer.id)!.mark.verdict;
  expect(await mark()).toBe('partly');
  await teacher.send('POST', `/api/sessions/${String(start['id'])}/responses/${answer.id}/correct`, {
    id: randomUUID(),
    verdict: 'right',
    reason: 'Said it right.',
  });
  expect(await mark()).toBe('right');
  expect((await desk(anouk)).question?.reveal?.own?.verdict).toBe('right');
});

test('whoever leaves the class has no place and no answers in a lesson that is open; back again, both are there', async () => {
  await give();
  const anouk = await open('Anouk');
  await goOn(anouk);
  await respond(anouk, reading('8', '30'));
  const leave = (left: boolean) => teacher.send('POST', `/api/classes/${String(start['classId'])}/pupils/${idOf('Anouk')}/leave`, { left });
  await leave(true);
  const { live } = await detail();
  expect([live.places.map(({ name }) => name), live.responses]).toEqual([['Bashir', 'Ceri'], []]);
  await leave(false);
  expect((await place('Anouk')).at).not.toBeNull();
});

test('the teacher writes one line to a pupil or to all, and takes it away', async () => {
  await give();
  const [anouk, bashir] = [await open('Anouk'), await open('Bashir')];
  await teacher.send('POST', at('/line'), { pupilId: null, line: 'Finish by Friday.' });
  await teacher.send('POST', at('/line'), { pupilId: idOf('Anouk'), line: ' Look at the short hand. ' });
  expect((await desk(anouk)).own!.lines).toEqual(['Finish by Friday.', 'Look at the short hand.']);
  expect((await desk(bashir)).own!.lines).toEqual(['Finish by Friday.']);
  await teacher.send('POST', at('/line'), { pupilId: null, line: '' });
  expect((await desk(bashir)).own!.lines).toEqual([]);
  expect(codeOf(await teacher.send('POST', at('/line'), { pupilId: randomUUID(), line: 'Nobody.' }))).toBe('PUPIL_UNKNOWN');
  expect(codeOf(await teacher.send('POST', at(`/places/${randomUUID()}/free`)))).toBe('PUPIL_UNKNOWN');
  // What was written is there when the server is started again.
  await school.stop();
  await school.start();
  expect((await desk(anouk)).own!.lines).toEqual(['Look at the short hand.']);
});

test('given to some it is open to them alone; given to all, whoever comes into the class has it too', async () => {
  await give({ pupilIds: [idOf('Anouk')] });
  expect((await detail()).live.places.map(({ name }) => name)).toEqual(['Anouk']);
  const token = await card('Bashir');
  expect((await school.browser().send('POST', '/api/desk/card', { token })).json().lessons).toEqual([]);
  const refused = await school.browser().send('POST', '/api/desk/card/join', { token, sessionId: start['id'], joinId: randomUUID() });
  expect(codeOf(refused)).toBe('PUPIL_UNKNOWN');
  start = { ...start, id: randomUUID() };
  await give();
  await teacher.send('POST', `/api/classes/${String(start['classId'])}/pupils`, {
    pupils: [{ id: randomUUID(), name: 'Marit', reference: null }],
  });
  expect((await detail()).live.places.map(({ name }) => name)).toEqual(['Anouk', 'Bashir', 'Ceri', 'Marit']);
});

test('a window of the teacher hears where each pupil is and what they answer; others hear nothing', async () => {
  await give();
  const messages: { type: string; place?: OwnPlace }[] = [];
  const path = `/ws/own-pace/${String(start['id'])}`;
  const socket = await school.app.injectWS(
    path,
    { headers: { host: 'school.test', cookie: teacher.cookie } },
    {
      onInit: (line) => line.on('message', (data) => messages.push(JSON.parse(String(data)))),
    },
  );
  const until = async (type: string, holds: (message: (typeof messages)[number]) => boolean = () => true) => {
    while (!messages.some((message) => message.type === type && holds(message)))
      await new Promise((resolve) => socket.once('message', resolve));
  };
  await until('own');
  const anouk = await open('Anouk');
  const asked = await goOn(anouk);
  await until('place', ({ place: told }) => told?.name === 'Anouk' && told.at === asked.own!.at);
  await respond(anouk, reading('7', '30'));
  await until('answer');
  socket.terminate();
  const { live } = await detail();
  const progress = (await teacher.send('GET', at('/progress'))).json<OwnPaceProgress>();
  expect(progress).toEqual({
    lastDay: live.lastDay,
    steps: asked.own!.total,
    places: live.places.map(({ at: place, done }) => ({ at: place, done })),
  });
  expect(progress.places.filter((one) => one.at !== null)).toHaveLength(1);
  const other = await anotherTeacher(school, teacher);
  for (const [method, url, body] of [
    ['GET', at(), undefined],
    ['GET', at('/progress'), undefined],
    ['POST', at('/change'), { byKey: false }],
    ['POST', at('/line'), { pupilId: null, line: 'Hello' }],
    ['POST', at('/end'), undefined],
    ['POST', '/api/own-pace', start],
    ['GET', path, undefined],
  ] as const) {
    expect([url, codeOf(await other.send(method, url, body))]).toEqual([url, 'NOT_FOUND']);
    expect([url, codeOf(await school.browser().send(method, url, body))]).toEqual([url, 'SIGN_IN_NEEDED']);
  }
});
