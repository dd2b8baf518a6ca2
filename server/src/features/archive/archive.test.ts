import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import { randomUUID } from 'node:crypto';
import { parse } from 'csv-parse/sync';
import type { ArchiveFound } from '@zeitpunkt/contract';
import { NEW_PLAN } from '@zeitpunkt/core/series/plan';
import { anotherTeacher, reading, respond, School, schoolWithRoom, type Browser, type SchoolWithRoom } from '../../testing/school.js';

let [school, teacher, room] = [] as unknown as SchoolWithRoom;
/** Another server, with a teacher who takes the class in. */
let other: School;
let there: Browser;
beforeAll(async () => {
  [school, teacher, room] = await schoolWithRoom();
  await livedIn();
  other = await new School().start();
  there = await other.teacher();
});
afterAll(async () => {
  await school.remove();
  await other.remove();
});

type Files = Record<string, Uint8Array>;
const classUrl = () => `/api/classes/${room.detail.classId}`;
const out = async (): Promise<Files> => unzipSync((await teacher.send('GET', `${classUrl()}/everything.zip`)).rawPayload);
const into = (act: 'look' | 'take', bytes: Uint8Array, who: Browser) =>
  who.send('POST', `/api/archives/${act}`, Buffer.from(bytes), { 'content-type': 'application/octet-stream' });
const rowsIn = (of: School) =>
  of.store.sqlite.prepare('SELECT (SELECT count(*) FROM class) AS classes, (SELECT count(*) FROM pupil) AS pupils, (SELECT count(*) FROM lesson) AS lessons, (SELECT count(*) FROM response) AS responses').get(); // prettier-ignore

/** A class with answers, a correction, a remark, a page for home, a group, a wording, a plan, and one who left. */
async function livedIn(): Promise<void> {
  const [anouk, bashir] = [await room.join('Anouk'), await room.join('Bashir')];
  await room.goTo('ask', 'q1');
  const wrong = reading('8', '30');
  await respond(anouk, reading('7', '30'));
  await respond(bashir, wrong);
  await teacher.send('POST', `/api/sessions/${room.detail.id}/responses/${wrong.id}/correct`, { id: randomUUID(), verdict: 'right', reason: 'A slip.' }); // prettier-ignore
  await room.tell({ type: 'end' });
  const [anoukId, bashirId, ceriId] = ['Anouk', 'Bashir', 'Ceri'].map((name) => room.pupilId(name));
  await teacher.send('POST', `${classUrl()}/pupils/${bashirId}/comments`, { id: randomUUID(), responseId: wrong.id, text: 'Ask again.' });
  await teacher.send('POST', `${classUrl()}/home/${anoukId}`, { can: 'Half past.', next: 'Quarters.', tryThis: 'Look up.' });
  await teacher.send('POST', `${classUrl()}/moves`, { pupilId: anoukId, key: 'idea:coming-hour' });
  await teacher.send('POST', `${classUrl()}/pupils/${ceriId}/leave`, { left: true });
  const lessonIds = (await teacher.send('GET', '/api/lessons')).json<{ id: string }[]>().map(({ id }) => id);
  const series = { startsOn: '2026-11-27', weekdays: [4], lessonIds, skipped: [] };
  await teacher.send('POST', `${classUrl()}/plan`, { revision: 0, plan: { ...NEW_PLAN, daysOff: ['2026-12-10'], series } });
}

const json = (bytes: Uint8Array) => JSON.parse(strFromU8(bytes));
const as = (data: unknown) => strToU8(JSON.stringify(data));

test.each<[string, (files: Files) => Files, string, string]>([
  ['without its class', ({ 'class.json': _gone, ...files }) => files, 'FILE_UNREADABLE', 'class.json'],
  ['with a class that is no JSON', (files) => ({ ...files, 'class.json': strToU8('{"name":') }), 'FILE_UNREADABLE', 'class.json'],
  ['in UTF-16', (files) => ({ ...files, 'class.json': new Uint8Array(Buffer.from('{"name":"Terns"}', 'utf16le')) }), 'FILE_UNREADABLE', 'class.json'], // prettier-ignore
  ['in Latin-1', (files) => ({ ...files, 'class.json': new Uint8Array(Buffer.from('{"name":"Müller"}', 'latin1')) }), 'FILE_UNREADABLE', 'UTF-8'], // prettier-ignore
  ['of a newer version', (files) => ({ ...files, 'class.json': as({ ...json(files['class.json']!), formatVersion: 99 }) }), 'FORMAT_NEWER', 'newer'], // prettier-ignore
  ['with a part that is not known', (files) => ({ ...files, 'class.json': as({ ...json(files['class.json']!), grades: [] }) }), 'CLASS_UNREADABLE', 'grades'], // prettier-ignore
  ['with an answer of a stranger', (files) => ({ ...files, 'class.json': as({ ...json(files['class.json']!), pupils: [] }) }), 'CLASS_UNREADABLE', 'not in the class'], // prettier-ignore
  ['with an answer twice', (files) => ({ ...files, 'results.jsonl': Buffer.concat([files['results.jsonl']!, files['results.jsonl']!]) }), 'CLASS_UNREADABLE', 'twice'], // prettier-ignore
  ['with a broken answer', (files) => ({ ...files, 'results.jsonl': strToU8('{"responseId":1}\n') }), 'RESULTS_UNREADABLE', 'line 1'],
  ['with a broken plan', (files) => ({ ...files, 'plan.json': as({ formatVersion: 1, schoolDays: [9] }) }), 'PLAN_UNREADABLE', 'daysOff'],
  ['with a broken lesson', (files) => ({ ...files, [`lessons/${randomUUID()}.lesson.json`]: as({ format: 'zeitpunkt-lesson' }) }), 'LESSON_UNREADABLE', '/'], // prettier-ignore
  ['with a broken lesson that was taught', (files) => ({ ...files, [`taught/${room.detail.id}.lesson.json`]: strToU8('{') }), 'FILE_UNREADABLE', 'taught/'], // prettier-ignore
])('an archive %s is refused with the place, and nothing is changed', async (_name, change, code, place) => {
  const changed = zipSync(change(await out()));
  const before = rowsIn(other);
  expect((await into('take', changed, there)).json()).toMatchObject({ code, detail: expect.stringContaining(place) });
  expect(rowsIn(other)).toEqual(before);
});

test('nobody else gets a class out, and a stranger sends nothing in', async () => {
  const colleague = await anotherTeacher(school, teacher);
  expect((await colleague.send('GET', `${classUrl()}/everything.zip`)).json().code).toBe('NOT_FOUND');
  expect((await school.browser().send('GET', `${classUrl()}/everything.zip`)).json().code).toBe('SIGN_IN_NEEDED');
  expect((await into('look', new Uint8Array(4), school.browser())).json().code).toBe('SIGN_IN_NEEDED');
});

test('200 MB are sent away before they are read', async () => {
  const headers = { 'content-type': 'application/octet-stream', 'content-length': String(200 * 2 ** 20) };
  expect((await teacher.send('POST', '/api/archives/take', Buffer.alloc(10), headers)).json()).toMatchObject({ status: 413 });
});

test('a class goes out whole and comes in on another server: pupils, answers, marks, remarks, plan and lessons', async () => {
  const archive = zipSync(await out());
  const before = rowsIn(other);
  const look = (await into('look', archive, there)).json<ArchiveFound>();
  expect(look).toMatchObject({ name: 'Terns', pupils: 2, sessions: 1, answers: 2, classId: null });
  expect(look.lessons.length).toBeGreaterThan(0);
  expect(rowsIn(other)).toEqual(before);
  const { classId } = (await into('take', archive, there)).json<ArchiveFound>();
  const get = async (who: Browser, id: string, path: string) => (await who.send('GET', `/api/classes/${id}${path}`)).json();
  const named = (of: { pupils: { name: string; reference: string | null; leftAtMs: number | null }[] }) =>
    of.pupils.map(({ name, reference, leftAtMs }) => ({ name, reference, leftAtMs }));
  expect(named(await get(there, classId!, ''))).toEqual(named(await get(teacher, room.detail.classId, '')));
  const notes = await get(there, classId!, '/notes');
  const own = await get(teacher, room.detail.classId, '/notes');
  const plain = (all: typeof own) => ({
    comments: all.comments.map(({ text, responseId }: { text: string; responseId: string }) => [text, responseId]),
    moves: all.moves.map(({ key }: { key: string }) => key),
    homePages: all.homePages.map(({ page }: { page: object }) => page),
  });
  expect(plain(notes)).toEqual(plain(own));
  expect(plain(own)).toMatchObject({ comments: [['Ask again.', expect.any(String)]], moves: ['idea:coming-hour'] });
  const { plan } = await get(there, classId!, '/plan');
  expect(plan.daysOff).toEqual(['2026-12-10']);
  const titles = (await there.send('GET', '/api/lessons')).json<{ id: string; title: string }[]>();
  expect(plan.series.lessonIds.map((id: string) => titles.find((one) => one.id === id)!.title)).toEqual(look.lessons);
  const results = async (who: Browser, id: string) => (await who.send('GET', `/api/classes/${id}/results.csv`)).body;
  const humans = (body: string) =>
    (parse(body, { columns: true, bom: true }) as Record<string, string>[]).map(({ pupil, answer, verdict, correction_reason }) => [pupil, answer, verdict, correction_reason]); // prettier-ignore
  expect(humans(await results(there, classId!))).toEqual(humans(await results(teacher, room.detail.classId)));
  // The lesson is there as it was taught, with its script, not put together from its questions.
  const taughtOf = async (who: Browser) => (await who.send('GET', `/api/sessions/${room.detail.id}`)).json().lesson;
  expect((await taughtOf(there)).beats.length).toBeGreaterThan(10);
  expect(await taughtOf(there)).toEqual(await taughtOf(teacher));
  // What is there already is not made twice.
  expect((await into('take', archive, there)).json()).toMatchObject({ code: 'CLASS_HERE', status: 409 });
});
