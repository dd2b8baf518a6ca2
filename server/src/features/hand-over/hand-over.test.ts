import { randomUUID } from 'node:crypto';
import { anotherTeacher, reading, respond, School, TestRoom, type Browser } from '../../testing/school.js';

let school: School;
let first: Browser;
let quay: Browser;
let quayId: string;
let terns: string;
beforeEach(async () => {
  school = await new School().start();
  first = await school.teacher();
  quay = await anotherTeacher(school, first);
  quayId = (await quay.send('GET', '/api/me')).json().teacher.id;
  [{ id: terns }] = (await first.send('GET', '/api/classes')).json();
});
afterEach(() => school.remove());

const codeOf = (reply: { json: () => { code: string } }) => reply.json().code;
const idsOf = (reply: { json: () => { id: string }[] }) => reply.json().map(({ id }) => id);
const handOver = (to = quayId) => first.send('POST', `/api/classes/${terns}/hand-over`, { to });

/** A lesson that was taught to the class and answered. */
async function taught(lessonId?: string): Promise<TestRoom> {
  const room = await TestRoom.open(school, first, lessonId);
  const anouk = await room.join('Anouk');
  await room.goTo('think', 'q1');
  await respond(anouk, reading('7', '30'));
  await room.tell({ type: 'end' });
  return room;
}

test('a class goes with its pupils, cards, answers and plan; the lessons that only it uses go, too', async () => {
  const [lessonId, planned, kept] = idsOf(await first.send('GET', '/api/lessons'));
  const room = await taught(lessonId);
  const cards = (await first.send('POST', `/api/classes/${terns}/cards`, { pupilIds: [room.pupilId('Anouk')] })).json();
  const { revision, plan } = (await first.send('GET', `/api/classes/${terns}/plan`)).json();
  const series = { startsOn: '2026-11-02', weekdays: [1], lessonIds: [planned], skipped: [] };
  await first.send('POST', `/api/classes/${terns}/plan`, { revision, plan: { ...plan, series } });
  expect((await first.send('GET', `/api/classes/${terns}/hand-over`)).json()).toEqual({ lessons: 2, copied: 0, taught: 1, running: false });

  expect((await handOver()).statusCode).toBe(204);
  expect(idsOf(await first.send('GET', '/api/classes'))).toEqual([]);
  expect(idsOf(await quay.send('GET', '/api/classes'))).toContain(terns);
  expect(idsOf(await first.send('GET', '/api/lessons'))).not.toContain(planned);
  expect(idsOf(await first.send('GET', '/api/lessons'))).toContain(kept);
  expect(idsOf(await quay.send('GET', '/api/lessons')).slice(-2)).toEqual([lessonId, planned]);
  expect((await quay.send('GET', `/api/classes/${terns}/plan`)).json().plan.series.lessonIds).toEqual([planned]);
  const path = `/api/sessions/${room.detail.id}`;
  expect((await quay.send('GET', path)).json().live.responses).toHaveLength(1);
  expect(codeOf(await first.send('GET', path))).toBe('NOT_FOUND');
  expect(codeOf(await first.send('GET', `/api/classes/${terns}`))).toBe('NOT_FOUND');
  const [{ token }] = cards.cards ?? cards;
  expect((await school.browser().send('POST', '/api/desk/card', { token })).statusCode).toBe(200);
  expect((await first.send('GET', '/api/acts')).json().acts[0]).toMatchObject({ act: 'class-handed-over', about: 'Terns → Mr Quay' });
});

test('a lesson that another class uses, too, stays; a copy goes along, and what was taught of it is of the copy', async () => {
  const [lessonId] = idsOf(await first.send('GET', '/api/lessons'));
  const room = await taught(lessonId);
  const petrels = randomUUID();
  await first.send('POST', '/api/classes', { id: petrels, name: 'Petrels' });
  await first.send('POST', '/api/sessions', { id: randomUUID(), lessonId, classId: petrels });
  expect((await first.send('GET', `/api/classes/${terns}/hand-over`)).json()).toMatchObject({ lessons: 1, copied: 1 });
  const before = (await quay.send('GET', '/api/lessons')).json().length;
  await handOver();
  expect(idsOf(await first.send('GET', '/api/lessons'))).toContain(lessonId);
  const copies = (await quay.send('GET', '/api/lessons')).json().slice(before);
  expect(copies).toHaveLength(1);
  const session = (await quay.send('GET', `/api/sessions/${room.detail.id}`)).json();
  expect([session.lessonId, session.live.responses.length]).toEqual([copies[0].id, 1]);
});

test('while a lesson runs nothing is handed over, nor to nobody, to oneself, or by somebody else', async () => {
  const room = await TestRoom.open(school, first);
  expect(codeOf(await handOver())).toBe('CLASS_RUNNING');
  await room.tell({ type: 'end' });
  expect(codeOf(await handOver(randomUUID()))).toBe('TEACHER_UNKNOWN');
  expect(codeOf(await handOver((await first.send('GET', '/api/me')).json().teacher.id))).toBe('TEACHER_UNKNOWN');
  expect(codeOf(await quay.send('POST', `/api/classes/${terns}/hand-over`, { to: quayId }))).toBe('NOT_FOUND');
  expect(codeOf(await quay.send('GET', `/api/classes/${terns}/hand-over`))).toBe('NOT_FOUND');
});

test('what was given out at own pace goes on with the other teacher', async () => {
  const [lessonId] = idsOf(await first.send('GET', '/api/lessons'));
  const id = randomUUID();
  const start = { id, lessonId, classId: terns, pupilIds: null, firstDay: '2026-11-02', lastDay: '2026-11-06', byKey: true, voice: false };
  const { roomKey } = (await first.send('POST', '/api/own-pace', start)).json();
  const { pupils } = (await first.send('GET', `/api/classes/${terns}`)).json();
  const join = async (name: string) => {
    const desk = school.browser();
    const pupilId = pupils.find((one: { name: string }) => one.name === name).id;
    expect((await desk.send('POST', '/api/desk/join', { joinId: randomUUID(), roomKey, pupilId })).statusCode).toBe(200);
    return desk;
  };
  const anouk = await join('Anouk');
  await handOver();
  expect(codeOf(await first.send('GET', `/api/own-pace/${id}`))).toBe('NOT_FOUND');
  expect((await anouk.send('GET', '/api/desk')).json()).toMatchObject({ pupilName: 'Anouk', own: {} }); // nothing changed for the pupil
  await join('Bashir');
  expect((await quay.send('GET', `/api/own-pace/${id}`)).json().live.places).toHaveLength(3);
});

test('a teacher leaves: classes first, then lessons and dials go to a colleague and the account is closed', async () => {
  const firstId = (await first.send('GET', '/api/me')).json().teacher.id;
  const path = `/api/staff/${quayId}`;
  expect((await first.send('GET', `${path}/closing`)).json()).toMatchObject({ classes: [{ name: 'Gannets', pupils: 1 }], dials: 0 });
  expect(codeOf(await first.send('POST', `${path}/close`, { lessonsTo: null }))).toBe('ACCOUNT_IN_USE');
  expect(codeOf(await quay.send('POST', `/api/staff/${firstId}/close`, { lessonsTo: null }))).toBe('NOT_ALLOWED');
  expect(codeOf(await first.send('POST', `/api/staff/${firstId}/close`, { lessonsTo: quayId }))).toBe('ACCOUNT_IN_USE');
  const [{ id: gannets }] = (await quay.send('GET', '/api/classes')).json();
  await quay.send('POST', `/api/classes/${gannets}/hand-over`, { to: firstId });
  const lessons = idsOf(await quay.send('GET', '/api/lessons'));
  await quay.send('POST', `/api/rehearsals`, { id: randomUUID(), lessonId: lessons[0] });
  expect((await quay.send('POST', `${path}/close`, { lessonsTo: firstId })).statusCode).toBe(204);
  expect(idsOf(await first.send('GET', '/api/lessons'))).toEqual(expect.arrayContaining(lessons));
  expect((await quay.send('GET', '/api/account')).statusCode).toBe(401);
  expect((await first.send('GET', '/api/staff')).json().teachers).toHaveLength(1);
  expect((await first.send('GET', '/api/acts')).json().acts[0]).toMatchObject({ act: 'account-closed', about: 'Mr Quay' });
});
