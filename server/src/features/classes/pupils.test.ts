import { randomUUID } from 'node:crypto';
import type { ClassDetail, ClassPupil } from '@zeitpunkt/contract';
import type { PupilRecord } from '@zeitpunkt/core/paper/family/pupil-record';
import { readFileSync } from 'node:fs';
import { allOfPupil } from '../../testing/all-of-pupil.js';
import { reading, respond, schoolWithRoom, type SchoolWithRoom } from '../../testing/school.js';

let [school, teacher, room] = [] as unknown as SchoolWithRoom;
let url: string;
beforeEach(async () => {
  [school, teacher, room] = await schoolWithRoom();
  url = `/api/classes/${(await teacher.send('GET', '/api/classes')).json()[0].id}`;
});
afterEach(() => school.remove());

const post = async (path: string, body?: unknown) => (await teacher.send('POST', `${url}${path}`, body)).json();
const detail = async (of = url): Promise<ClassDetail> => (await teacher.send('GET', of)).json();
const pupil = async (name: string): Promise<ClassPupil> => (await detail()).pupils.find((one) => one.name === name)!;
const all = allOfPupil(() => [school, teacher, room]);
const signIn = () => teacher.send('POST', '/api/sign-in', { signInName: 'odalys', password: 'tern-harbour-lamp' });
const acts = async () =>
  (await teacher.send('GET', `${url}/record`)).json().map(({ act, count }: { act: string; count: number }) => [act, count]);

test('a list comes in whole or not at all', async () => {
  const list = (...names: string[]) => ({ pupils: names.map((name) => ({ id: randomUUID(), name, reference: `ref ${name}` })) });
  expect(await post('/pupils', list('Marit', 'Ceri'))).toMatchObject({
    code: 'NAME_TAKEN',
    detail: expect.stringMatching(/^Ceri is in this class/),
  });
  expect((await detail()).pupils).toHaveLength(3);
  const many = list(...Array.from({ length: 2000 }, (_, index) => `Pupil ${index + 1}`));
  expect((await post('/pupils', many)).pupils).toHaveLength(2003);
  expect((await detail()).pupils.at(-1)).toMatchObject({ name: 'Pupil 2000', reference: 'ref Pupil 2000', responseCount: 0 });
});

test('a pupil of one class is not taken into another by their id', async () => {
  const otherId = randomUUID();
  await teacher.send('POST', '/api/classes', { id: otherId, name: 'Gannets' });
  const { id } = await pupil('Anouk');
  const reply = await teacher.send('POST', `/api/classes/${otherId}/pupils`, { pupils: [{ id, name: 'Anouk', reference: null }] });
  expect(reply.json()).toMatchObject({ code: 'PUPIL_UNKNOWN' });
  expect((await detail(`/api/classes/${otherId}`)).pupils).toEqual([]);
  expect((await pupil('Anouk')).id).toBe(id);
});

test('two entries of one pupil become one: answers of both count in the order in which they came, and the other device is out', async () => {
  const [anouk, bashir] = [await room.join('Anouk'), await room.join('Bashir')];
  await room.goTo('ask', 'q1');
  const given = [reading('7', '30'), reading('8', '30'), reading('6', '30')];
  for (const [index, device] of [bashir, anouk, bashir].entries()) {
    school.clockMs += 1000;
    await respond(device, given[index]!);
  }
  const [stays, goes] = [await pupil('Anouk'), await pupil('Bashir')];
  const after = await post(`/pupils/${goes.id}/merge`, { into: stays.id });
  expect(after.pupils.map(({ name, responseCount }: ClassPupil) => [name, responseCount])).toEqual([
    ['Anouk', 3],
    ['Ceri', 0],
  ]);
  const { responses, participants } = await room.live();
  expect(responses.map(({ id, pupilId, attempt }) => [id, pupilId, attempt])).toEqual(
    given.map(({ id }, index) => [id, stays.id, index + 1]),
  );
  expect(participants.map(({ name }) => name)).toEqual(['Anouk']);
  expect((await bashir.send('GET', '/api/desk')).json()).toMatchObject({ code: 'DESK_NOT_JOINED' });
  expect((await respond(anouk, reading('7', '30'))).json()).toMatchObject({ attempt: 4 });
  expect(await post(`/pupils/${stays.id}/merge`, { into: stays.id })).toMatchObject({ code: 'PUPIL_UNKNOWN' });
  expect(await acts()).toEqual([['pupils-merged', 2]]);
});

test('who leaves is in no room any more, keeps the answers, and can come back; who moves is in the other class', async () => {
  const ceri = await room.join('Ceri');
  await room.goTo('ask', 'q1');
  await respond(ceri, reading('7', '30'));
  const { id } = await pupil('Ceri');
  await post(`/pupils/${id}/leave`, { left: true });
  expect(await pupil('Ceri')).toMatchObject({ leftAtMs: school.clockMs, responseCount: 1 });
  expect((await ceri.send('GET', '/api/desk')).json()).toMatchObject({ code: 'DESK_NOT_JOINED' });
  await post(`/pupils/${id}/leave`, { left: false });
  expect(await pupil('Ceri')).toMatchObject({ leftAtMs: null });
  const other = randomUUID();
  await teacher.send('POST', '/api/classes', { id: other, name: 'Gannets' });
  await post(`/pupils/${id}/move`, { classId: other });
  expect((await detail(`/api/classes/${other}`)).pupils).toMatchObject([{ name: 'Ceri', responseCount: 1 }]);
  expect((await detail()).pupils.map(({ name }) => name)).toEqual(['Anouk', 'Bashir']);
});

test('one pupil’s data goes out readable and whole, and that is written down', async () => {
  const anouk = await room.join('Anouk');
  await room.goTo('ask', 'q1');
  await respond(anouk, reading('8', '30'));
  await respond(anouk, { ...reading('7', '30'), response: { kind: 'not-sure' } });
  const { id } = await pupil('Anouk');
  const data = (await teacher.send('GET', `${url}/pupils/${id}/export`)).json();
  expect(data).toMatchObject({
    format: 'zeitpunkt-pupil-data',
    formatVersion: 2,
    name: 'Anouk',
    class: 'Terns',
    lessons: [{ title: 'Half past at the harbour' }],
  });
  expect(data.lessons[0].answers).toMatchObject([
    {
      question: 'What time is it?',
      given: { hour: '8', minute: '30' },
      verdict: 'partly',
      possibleIdeas: expect.arrayContaining(['coming-hour']),
    },
    { given: { kind: 'not-sure' }, attempt: 2 },
  ]);
  expect(JSON.stringify(data)).not.toContain('Bashir');
  expect(await acts()).toEqual([['pupil-exported', 1]]);
});

/** What of a pupil's file shows that a table is in it. */
const IN_FILE: Readonly<Record<string, (data: PupilRecord) => unknown>> = {
  card: ({ cardMadeAt }) => cardMadeAt,
  participant: ({ lessons }) => lessons.find(({ came }) => came.length === 1),
  response: ({ lessons }) => lessons.find(({ answers }) => answers[0]?.answer === '8:30'),
  own_place: ({ lessons }) => lessons.find(({ pace, own }) => pace === 'own' && own?.heardAt),
  comment: ({ remarks }) => remarks.find(({ text }) => text === 'Counts on fingers.'),
  group_move: ({ group }) => group?.key === 'rung:half-past',
  home_page: ({ pageForHome }) => pageForHome?.can === 'a',
  sheet_copy: ({ sheets }) => sheets.find(({ code }) => code === 'ABCD'),
};

test('whatever is kept about a pupil is in the pupil’s file, and nothing of it in the school once the pupil is deleted', async () => {
  const anouk = await room.join('Anouk');
  const { id } = await pupil('Anouk');
  await post(`/pupils/${id}/change`, { name: 'Quillon-Wrenfeather', reference: 'ref-7731' });
  await room.goTo('ask', 'q1');
  await respond(anouk, reading('8', '30'));
  await all.fill(id);
  const data = (await teacher.send('GET', `${url}/pupils/${id}/export`)).json();
  for (const { table } of all.pointers()) expect([table, IN_FILE[table]?.(data) ?? null]).toEqual([table, expect.anything()]);

  await room.tell({ type: 'end' });
  await post(`/pupils/${id}/delete`);
  const tables = all.rows("SELECT name FROM sqlite_master WHERE type = 'table'").map(({ name }) => String(name));
  const kept = tables.flatMap((table) => all.rows(`SELECT * FROM "${table}"`).map((row) => `${table} ${JSON.stringify(row)}`));
  expect(kept.filter((row) => row.includes(id) || row.includes('Quillon') || row.includes('ref-7731'))).toEqual([]);
  // What was deleted is overwritten in the files, too: an undeleted page would give the name away.
  school.store.sqlite.pragma('wal_checkpoint(TRUNCATE)');
  expect(readFileSync(school.store.sqlite.name).includes('Quillon')).toBe(false);
});

test('how long answers are kept counts from when their lesson ended, however long before it was opened', async () => {
  await room.goTo('ask', 'q1');
  await respond(await room.join('Ceri'), reading('7', '30'));
  school.clockMs += 100 * 86_400_000;
  await signIn();
  await room.tell({ type: 'end' });
  school.clockMs += 20 * 86_400_000;
  await signIn();
  expect((await teacher.send('GET', `${url}/retention/30`)).json()).toEqual({ sessions: 0, responses: 0 });
  expect((await teacher.send('GET', `${url}/retention/15`)).json()).toEqual({ sessions: 1, responses: 1 });
});

test('answers are deleted when their class keeps them no longer, with those who left; other lessons stay', async () => {
  const ceri = await room.join('Ceri');
  await room.goTo('ask', 'q1');
  await respond(ceri, reading('7', '30'));
  await room.tell({ type: 'end' });
  await post(`/pupils/${(await pupil('Ceri')).id}/leave`, { left: true });
  school.clockMs += 40 * 86_400_000;
  await signIn(); // a sign-in lasts a week
  expect((await teacher.send('GET', `${url}/retention/90`)).json()).toEqual({ sessions: 0, responses: 0 });
  expect((await teacher.send('GET', `${url}/retention/30`)).json()).toEqual({ sessions: 1, responses: 1 });
  await post('/change', { keepDays: 90 });
  expect((await teacher.send('GET', '/api/sessions')).json()).toHaveLength(1);
  await post('/change', { keepDays: null });
  await school.stop();
  school.clockMs += 400 * 86_400_000;
  await school.start();
  await signIn();
  expect((await teacher.send('GET', '/api/sessions')).json()).toHaveLength(1);
  await teacher.send('POST', '/api/clock/confirm');
  school.store.sqlite.exec('UPDATE class SET keep_days = 365');
  await school.stop();
  await school.start(); // the job runs when the server starts, and its clock is believed
  expect((await teacher.send('GET', '/api/sessions')).json()).toEqual([]);
  expect((await detail()).pupils.map(({ name }) => name)).toEqual(['Anouk', 'Bashir']);
  expect(await acts()).toEqual([['retention', 1]]);
});
