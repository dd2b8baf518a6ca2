import { readFileSync } from 'node:fs';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { NEW_BUILD } from '@zeitpunkt/core/stage/dial-build';
import { checkLesson } from '@zeitpunkt/core/checker-rules/check';
import { stored } from '../../db/stored.js';
import { School, TestRoom, type Browser } from '../../testing/school.js';
import { STARTER_LESSONS } from './starter.js';

let school: School;
let teacher: Browser;
let lessonId: string;
let lesson: Lesson;
beforeEach(async () => {
  school = await new School().start();
  teacher = await school.teacher();
  lessonId = (await list())[0].id;
  lesson = (await teacher.send('GET', `/api/lessons/${lessonId}`)).json().lesson;
});
afterEach(() => school.remove());

const list = async () => (await teacher.send('GET', '/api/lessons')).json();
const save = async (revision: number, draft: unknown) =>
  (await teacher.send('POST', `/api/lessons/${lessonId}/draft`, { revision, lesson: draft })).json();
const versions = () => school.store.sqlite.prepare('SELECT version FROM lesson_version WHERE lesson_id = ?').pluck().all(lessonId);

test('a draft is saved in revisions; a save that comes late or from another window overwrites nothing', async () => {
  const mine = { ...lesson, title: 'At the harbour light' };
  expect(await save(1, mine)).toEqual({ revision: 2 });
  expect(await save(1, mine)).toEqual({ revision: 2 }); // its answer was lost, and it was sent again
  expect(await save(1, { ...lesson, title: 'Theirs' })).toMatchObject({ code: 'LESSON_CHANGED', status: 409 });
  expect((await list())[0]).toMatchObject({ title: 'At the harbour light', revision: 2 });
});

test('a lesson is drafted once for each wish, in the schools taught by last, and can be taught at once', async () => {
  const [last] = (await list()).slice(-1);
  const { lesson: file } = (await teacher.send('GET', `/api/lessons/${last.id}`)).json();
  const german = { ...file, settings: { ...file.settings, pack: 'de', betweenRule: 'zone' } };
  await teacher.send('POST', `/api/lessons/${last.id}/draft`, { revision: 1, lesson: german });
  const wish = { id: '11111111-1111-4111-8111-111111111111', rung: 'quarter-past', minutes: 15, delivery: 'live' };
  expect((await teacher.send('POST', '/api/lessons', wish)).json()).toEqual({ id: wish.id, revision: 1 });
  const drafted = (await teacher.send('GET', `/api/lessons/${wish.id}`)).json();
  expect(drafted.lesson).toMatchObject({ title: 'Viertel nach, 15 Minuten', settings: german.settings });
  expect((await teacher.send('POST', '/api/lessons', wish)).json()).toEqual({ id: wish.id, revision: 1 });
  expect((await teacher.send('GET', `/api/lessons/${wish.id}`)).json()).toEqual(drafted);
  const listed = await list();
  expect(listed).toHaveLength(4);
  expect(Math.abs(listed.at(-1).facts.plannedSec / 900 - 1)).toBeLessThanOrEqual(0.05);
  const classId = (await teacher.send('GET', '/api/classes')).json()[0].id;
  const start = { id: '22222222-2222-4222-8222-222222222222', lessonId: wish.id, classId };
  expect((await teacher.send('POST', '/api/sessions', start)).json()).toMatchObject({ lesson: { title: drafted.lesson.title } });
});

test.each([
  [{ minutes: 0 }, /minutes/],
  [{ minutes: 41 }, /minutes/],
  [{ minutes: 12.5 }, /minutes/],
  [{ rung: 'quarter' }, /rung/],
  [{ delivery: null }, /delivery/],
])('a wish for %j is refused with its place', async (change, place) => {
  const wish = { id: '11111111-1111-4111-8111-111111111111', rung: 'half-past', minutes: 15, delivery: 'live', ...change };
  expect((await teacher.send('POST', '/api/lessons', wish)).json()).toMatchObject({
    code: 'REQUEST_SHAPE',
    detail: expect.stringMatching(place),
  });
  expect(await list()).toHaveLength(3);
});

test('a lesson file goes out and comes in again exactly; one of an earlier version is brought up to date', async () => {
  const id = '33333333-3333-4333-8333-333333333333';
  const send = (file: unknown, as = id) => teacher.send('POST', '/api/lessons/files', { id: as, file });
  const there = async (of = id) => (await teacher.send('GET', `/api/lessons/${of}`)).json();
  expect((await send(lesson)).json()).toEqual({ id, revision: 1 });
  expect((await send(lesson)).json()).toEqual({ id, revision: 1 }); // sent again
  expect(await there()).toEqual({ id, revision: 1, lesson });
  expect(await list()).toHaveLength(4);
  const old = JSON.parse(readFileSync('core/src/formats/old-files/lesson/1.json', 'utf8'));
  await send(old, '44444444-4444-4444-8444-444444444444');
  expect(await there('44444444-4444-4444-8444-444444444444')).toMatchObject({ lesson: { formatVersion: 3, title: old.title } });
});

test.each<[string, (file: Lesson) => unknown, string, RegExp]>([
  ['no lesson at all', () => 'a letter', 'LESSON_UNREADABLE', /no JSON object/],
  ['an unknown part', (file) => ({ ...file, moons: 3 }), 'LESSON_UNREADABLE', /unknown member “moons”/],
  ['a newer version', (file) => ({ ...file, formatVersion: 99 }), 'FORMAT_NEWER', /newer version/],
  ['a target of no minutes', (file) => ({ ...file, targetMinutes: 0 }), 'LESSON_UNREADABLE', /at \/targetMinutes/],
  [
    'seconds',
    (file) => ({ ...file, items: [{ ...file.items[0], timeSec: 27_001 }] }),
    'LESSON_UNREADABLE',
    /whole minute.* at \/items\/0\/timeSec/,
  ],
  ['a question that is nowhere', (file) => ({ ...file, items: [] }), 'LESSON_ITEM_UNKNOWN', /has no item “q1”/],
  [
    '10,000 letters to say',
    (file) => ({ ...file, beats: [{ id: 'b1', kind: 'say', text: 'x'.repeat(10_000) }] }),
    'LESSON_UNREADABLE',
    /at \/beats\/0\/text/,
  ],
  ['20 MB', (file) => ({ ...file, goal: 'x'.repeat(5 * 1024 * 1024) }), 'REQUEST_TOO_LARGE', /at most 4096 kB/],
  ['a hostile name', () => JSON.parse('{"__proto__":{"format":"zeitpunkt-lesson"},"format":"x"}'), 'REQUEST_SHAPE', /not readable JSON/],
])('a file with %s is refused with its place, and nothing changes', async (_what, spoil, code, sentence) => {
  const reply = await teacher.send('POST', '/api/lessons/files', { id: '33333333-3333-4333-8333-333333333333', file: spoil(lesson) });
  expect(reply.json()).toMatchObject({ code, detail: expect.stringMatching(sentence) });
  expect(await list()).toHaveLength(3);
});

test('the starter lessons have nothing in them that must be mended', async () => {
  for (const file of STARTER_LESSONS) expect(checkLesson(stored.lesson(file)).map(({ rule, what }) => `${rule}: ${what}`)).toEqual([]);
});

test('a lesson is pinned when a room opens, once for each change, and rooms keep what they teach', async () => {
  expect(versions()).toEqual([]);
  const first = await TestRoom.open(school, teacher);
  await TestRoom.open(school, teacher);
  expect(versions()).toEqual([1]);
  await save(1, { ...lesson, title: 'Changed meanwhile' });
  expect((await TestRoom.open(school, teacher)).detail.lesson.title).toBe('Changed meanwhile');
  expect(versions()).toEqual([1, 2]);
  expect((await teacher.send('GET', `/api/sessions/${first.detail.id}`)).json().lesson.title).toBe(lesson.title);
});

test('300 beats with demonstrations are taken; what cannot be played is refused with its place', async () => {
  const ink = { type: 'ink', id: 'line', d: `M0 0 ${'L1 1 '.repeat(600)}` };
  const build = {
    ...NEW_BUILD,
    marks: [ink],
    beside: [NEW_BUILD, NEW_BUILD].map(({ freePose, layers }) => ({ pose: freePose, layers, marks: [] })),
  };
  const beats = Array.from({ length: 300 }, (_, index) => ({ id: `d${index}`, kind: 'show', build, text: 'Look.' }));
  expect(await save(1, { ...lesson, beats })).toEqual({ revision: 2 });
  expect(await save(2, { ...lesson, beats: [...beats, beats[0]] })).toMatchObject({ code: 'REQUEST_SHAPE' });
  expect(await save(2, { ...lesson, beats: [{ id: 'a', kind: 'think', itemId: 'q1', seconds: 1, text: '' }] })).toMatchObject({
    code: 'REQUEST_SHAPE',
    detail: expect.stringMatching(/>= 3 at \/lesson\/beats\/0\/seconds/),
  });
  expect(await save(2, { ...lesson, beats: [{ id: 'a', kind: 'answer', itemId: 'q1' }] })).toMatchObject({ code: 'LESSON_BEAT_ORDER' });
  expect((await list())[0]).toMatchObject({ revision: 2, facts: { beatCount: 300 } });
});

test('a lesson that cannot be read is listed with the reason, beside the others', async () => {
  school.store.sqlite
    .prepare("UPDATE lesson SET revision = revision + 1, draft = json_set(draft, '$.beats[2].turnSeconds', 'slow') WHERE id = ?")
    .run(lessonId);
  const [broken, ...others] = await list();
  expect(broken).toMatchObject({
    title: lesson.title,
    facts: null,
    problem: `The lesson “${lesson.title}” cannot be read: must be number at /beats/2/turnSeconds.`,
  });
  expect(others.map(({ problem }: { problem: null }) => problem)).toEqual([null, null]);
  expect((await teacher.send('GET', `/api/lessons/${lessonId}`)).json()).toMatchObject({ code: 'LESSON_UNREADABLE' });
});

test('a lesson is put away and brought back, with what was taught of it', async () => {
  const room = await TestRoom.open(school, teacher);
  await teacher.send('POST', `/api/lessons/${lessonId}/archive`);
  expect((await list())[0]).toMatchObject({ id: lessonId, archivedAtMs: school.clockMs });
  expect((await teacher.send('GET', `/api/sessions/${room.detail.id}`)).statusCode).toBe(200);
  await teacher.send('POST', `/api/lessons/${lessonId}/restore`);
  expect((await list())[0].archivedAtMs).toBeNull();
});

test('a note that is made while teaching stays with the lesson; the room that is open teaches on as it was', async () => {
  const note = (beatId: string, text: string) => teacher.send('POST', `/api/lessons/${lessonId}/notes`, { beatId, note: text });
  const { id } = lesson.beats[2]!;
  expect((await note(id, ' Show the lamp ')).json()).toEqual({ revision: 2 });
  expect((await note(id, 'Show the lamp')).json()).toEqual({ revision: 2 }); // sent again
  const kept = (await teacher.send('GET', `/api/lessons/${lessonId}`)).json().lesson;
  expect(kept).toEqual({ ...lesson, beats: lesson.beats.map((beat) => (beat.id === id ? { ...beat, note: 'Show the lamp' } : beat)) });
  expect((await note(id, '')).json()).toEqual({ revision: 3 });
  expect((await teacher.send('GET', `/api/lessons/${lessonId}`)).json().lesson).toEqual(lesson);
  expect((await note('b-gone', 'Lost')).json()).toMatchObject({ code: 'NOT_FOUND', detail: expect.stringContaining('beat') });
});

describe('copied beats', () => {
  const clip = { format: 'zeitpunkt-beats', formatVersion: 3, beats: [], items: [] };
  const read = (change: object) => teacher.send('POST', '/api/clips', { clip: { ...clip, ...change } });

  test('beats of an older version are brought to this one', async () => {
    const beats = [{ id: 'b', kind: 'worked-example', timeSec: 27_030 }];
    expect((await read({ formatVersion: 2, beats })).json()).toEqual({ beats: [{ ...beats[0], timeSec: 27_000 }], items: [] });
  });

  test.each([
    [{ format: 'text' }, 'LESSON_UNREADABLE', 'no beats'],
    [{ formatVersion: 99 }, 'FORMAT_NEWER', 'Copied beats'],
    [{ beats: [{ id: 'b', kind: 'dance' }] }, 'LESSON_UNREADABLE', 'beats'],
    [{ beats: [{ id: 'b', kind: 'ask', itemId: 'none', text: '' }] }, 'LESSON_ITEM_UNKNOWN', 'none'],
    [{ beats: [{ id: 'b', kind: 'say', text: 'x'.repeat(10_001) }] }, 'LESSON_UNREADABLE', 'text'],
  ])('%j is refused with what is wrong', async (change, code, place) => {
    expect((await read(change)).json()).toMatchObject({ code, detail: expect.stringContaining(place) });
  });
});
