import { NEW_BUILD } from '@zeitpunkt/core/stage/dial-build';
import { randomUUID } from 'node:crypto';
import { School, TestRoom, type Browser } from '../../testing/school.js';

let school: School;
let teacher: Browser;
beforeEach(async () => {
  school = await new School().start();
  teacher = await school.teacher();
});
afterEach(() => school.remove());

const save = (name: string, id: string = randomUUID(), build: object = NEW_BUILD, version = 0) =>
  teacher.send('POST', '/api/dials', { id, name, build, version }).then((reply) => ({ id, reply }));
const names = async () => (await teacher.send('GET', '/api/dials')).json().map((dial: { name: string }) => dial.name);

test('dials are kept in order, renamed, put in another order, deleted and brought back', async () => {
  const { id: first } = await save('Mail boat');
  const { id: second } = await save('Lamp');
  await save('Lamp at night', second, NEW_BUILD, 1);
  expect(await names()).toEqual(['Mail boat', 'Lamp at night']);
  await teacher.send('POST', '/api/dials/order', { ids: [second, first] });
  expect(await names()).toEqual(['Lamp at night', 'Mail boat']);
  await teacher.send('POST', `/api/dials/${second}/delete`);
  expect(await names()).toEqual(['Mail boat']);
  await teacher.send('POST', `/api/dials/${second}/restore`);
  expect(await names()).toEqual(['Lamp at night', 'Mail boat']);
});

test('a deleted dial is gone for good after a day', async () => {
  const { id } = await save('Tide');
  await teacher.send('POST', `/api/dials/${id}/delete`);
  school.clockMs += 24 * 3600 * 1000 + 1;
  await names();
  expect((await teacher.send('POST', `/api/dials/${id}/restore`)).json()).toMatchObject({ code: 'NOT_FOUND' });
  expect(school.store.sqlite.prepare('SELECT count(*) AS dials FROM saved_dial').get()).toEqual({ dials: 0 });
});

test('a dial of a newer version is listed with a sentence and stays as it is', async () => {
  const { id } = await save('Of tomorrow');
  const newer = JSON.stringify({ ...NEW_BUILD, formatVersion: 99, moons: 3 });
  school.store.sqlite.prepare('UPDATE saved_dial SET build = ? WHERE id = ?').run(newer, id);
  expect((await teacher.send('GET', '/api/dials')).json()).toEqual([
    { id, name: 'Of tomorrow', version: 1, build: null, problem: expect.stringMatching(/newer version of Zeitpunkt; open it there\.$/) },
  ]);
  expect(school.store.sqlite.prepare('SELECT build FROM saved_dial').pluck().get()).toBe(newer);
});

test('a build with something unknown in it is refused with its place, and nothing is saved', async () => {
  const { reply } = await save('Odd', randomUUID(), { ...NEW_BUILD, layers: { ...NEW_BUILD.layers, moons: true } });
  expect(reply.json()).toMatchObject({ code: 'REQUEST_SHAPE', detail: expect.stringMatching(/“moons” at \/build\/layers/) });
  expect(await names()).toEqual([]);
});

test('nobody reaches the dials of another teacher', async () => {
  const { id } = await save('Mine');
  school.store.sqlite
    .prepare("INSERT INTO teacher (id, sign_in_name, name, password_hash, created_at_ms) VALUES ('other', 'other', 'Mr Quay', 'x', 0)")
    .run();
  school.store.sqlite.prepare("UPDATE saved_dial SET teacher_id = 'other'").run();
  for (const [url, body] of [
    ['/api/dials', { id, name: 'Taken', build: NEW_BUILD, version: 1 }],
    ['/api/dials/order', { ids: [id] }],
    [`/api/dials/${id}/delete`, undefined],
  ] as const) {
    expect((await teacher.send('POST', url, body)).json()).toMatchObject({ code: 'NOT_FOUND' });
    expect((await school.browser().send('POST', url, body)).json()).toMatchObject({ code: 'SIGN_IN_NEEDED' });
  }
  expect(await names()).toEqual([]);
});

test('a save that comes late, twice, from another window, or for a dial that was deleted meanwhile overwrites nothing', async () => {
  const { id } = await save('Lamp');
  const later = { ...NEW_BUILD, timeSec: 3600 };
  const saved = (version: number, build = later) => save('Lamp', id, build, version).then(({ reply }) => reply.json());
  expect(await saved(1)).toEqual({ version: 2 });
  expect(await saved(1)).toEqual({ version: 2 }); // the same once more, its answer was lost
  expect(await saved(1, { ...NEW_BUILD, timeSec: 7200 })).toMatchObject({
    code: 'DIAL_CHANGED',
    detail: expect.stringContaining('changed meanwhile'),
  });
  expect((await teacher.send('GET', '/api/dials')).json()).toMatchObject([{ version: 2, build: { timeSec: 3600 } }]);
  await teacher.send('POST', `/api/dials/${id}/delete`);
  expect(await saved(2)).toMatchObject({ code: 'DIAL_CHANGED', status: 409, detail: expect.stringContaining('deleted meanwhile') });
});

test('a dial kept in a lesson is its last beat, once, and running rooms keep theirs', async () => {
  const [lesson] = (await teacher.send('GET', '/api/lessons')).json();
  const room = await TestRoom.open(school, teacher);
  const body = { beatId: 'kept-1', build: NEW_BUILD, text: 'Look at this.' };
  const url = `/api/lessons/${lesson.id}/beats`;
  const kept = (await teacher.send('POST', url, body)).json();
  expect(kept).toEqual({ revision: 2, beatCount: lesson.facts.beatCount + 1 });
  expect((await teacher.send('POST', url, body)).json()).toEqual(kept);
  const detail = (await teacher.send('GET', `/api/lessons/${lesson.id}`)).json();
  expect(detail.lesson.beats.at(-1)).toEqual({ id: 'kept-1', kind: 'show', build: NEW_BUILD, text: 'Look at this.' });
  expect((await teacher.send('POST', url, { ...body, text: 'Something else.' })).json()).toMatchObject({ code: 'LESSON_BEAT_TWICE' });
  const taught = (await teacher.send('GET', `/api/sessions/${room.detail.id}`)).json();
  expect(taught.lesson.beats).toHaveLength(lesson.facts.beatCount);
  expect((await TestRoom.open(school, teacher)).detail.lesson.beats).toHaveLength(kept.beatCount);
});

test('a dial file is read through the door of saved dials, and what is none is refused with its place; nothing is saved by reading', async () => {
  const read = async (file: unknown) => (await teacher.send('POST', '/api/dials/read', { file })).json();
  const file = { format: 'zeitpunkt-dial', name: ' Mail boat ', dial: NEW_BUILD };
  expect(await read(file)).toEqual({ name: 'Mail boat', build: NEW_BUILD });
  for (const [bad, code, place] of [
    [null, 'DIAL_UNREADABLE', 'no dial file'],
    [{ ...file, format: 'zeitpunkt-lesson' }, 'DIAL_UNREADABLE', 'no dial file'],
    [{ ...file, name: ' ' }, 'DIAL_UNREADABLE', 'a name'],
    [{ ...file, dial: [] }, 'DIAL_UNREADABLE', 'cannot be read'],
    [{ ...file, dial: { ...NEW_BUILD, layers: { ...NEW_BUILD.layers, moons: true } } }, 'DIAL_UNREADABLE', '/layers'],
    [{ ...file, dial: { ...NEW_BUILD, formatVersion: 99 } }, 'FORMAT_NEWER', 'newer'],
  ] as const) {
    expect(await read(bad)).toMatchObject({ code, detail: expect.stringContaining(place) });
  }
  expect((await school.browser().send('POST', '/api/dials/read', { file })).json().code).toBe('SIGN_IN_NEEDED');
  expect(await names()).toEqual([]);
});
