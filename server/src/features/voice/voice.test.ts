import type { RecordingDetail } from '@zeitpunkt/contract';
import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import { wavFile } from '@zeitpunkt/core/rehearsal/generated-voice';
import type { Take } from '@zeitpunkt/core/voice/take';
import { fingerprintOf } from '@zeitpunkt/core/voice/fingerprint';
import { randomUUID } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { listenTo, newEvents } from '../../events.js';
import { anotherTeacher, reading, respond, School, TestRoom, type Browser } from '../../testing/school.js';
import { deleteOldRecordings } from './plugin.js';

const DAY_MS = 86_400_000;
const OCTETS = { 'content-type': 'application/octet-stream' };
let school: School;
let teacher: Browser;
let lessonId: string;
let lesson: ReturnType<typeof prepareLesson>;
beforeEach(async () => {
  school = await new School().start();
  teacher = await school.teacher();
  [{ id: lessonId }] = (await teacher.send('GET', '/api/lessons')).json();
  lesson = prepareLesson((await teacher.send('GET', `/api/lessons/${lessonId}`)).json().lesson);
});
afterEach(() => school.remove());

const at = (path: string) => `/api/lessons/${lessonId}/${path}`;
const sound = (loudness: number) => Buffer.from(wavFile(new Float32Array(800).fill(loudness), 8000));
const recording = async (): Promise<RecordingDetail> => (await teacher.send('GET', at('recording'))).json();
const codeOf = (reply: { json: () => { code: string } }) => reply.json().code;
const begin = (id: string, beatId: string) => teacher.send('POST', at('takes'), { id, at: { beatId, step: 'beat' }, mime: 'audio/wav' });
const piece = (id: string, number: number, bytes = Buffer.from(`piece ${number} `)) =>
  teacher.send('POST', at(`takes/${id}/pieces/${number}`), bytes, OCTETS);
/** Sends a finished sound in one piece, or a piece of it. */
const sendSound = (id: string, bytes = sound(0.5), mime = 'audio/wav', { number = 0, of = Math.max(1, bytes.length) } = {}) =>
  teacher.send('POST', at(`takes/${id}/sound/${number}?mime=${encodeURIComponent(mime)}&bytes=${of}`), bytes, OCTETS);

function takeOf(beatId: string, change: Partial<Take> = {}): Take {
  const { ref } = lesson.steps.find((step) => step.ref.beatId === beatId)!;
  return {
    id: randomUUID(),
    at: ref,
    durationMs: 2000,
    mime: 'audio/wav',
    speechDb: -20,
    speech: [{ fromMs: 100, toMs: 1900 }],
    said: 'Good morning.',
    fingerprint: fingerprintOf(lesson, ref),
    cues: [{ fromMs: 100, toMs: 1900, text: 'Good morning.' }],
    cuesEdited: false,
    madeAtMs: 1,
    ...change,
  };
}
/** Records a take as a device does: begun, in pieces, whole. */
async function record(beatId: string, bytes = sound(0.5), change: Partial<Take> = {}): Promise<Take> {
  const take = takeOf(beatId, change);
  await begin(take.id, beatId);
  await piece(take.id, 0);
  await sendSound(take.id, bytes);
  expect((await teacher.send('POST', at(`takes/${take.id}`), take)).statusCode).toBe(200);
  return take;
}

test('a take comes in pieces, in order and each once, goes on after a gap, and survives the server', async () => {
  const id = randomUUID();
  expect((await begin(id, 'b1')).json()).toEqual({ pieces: 0 });
  expect((await piece(id, 0)).json()).toEqual({ pieces: 1 });
  expect((await piece(id, 0, Buffer.from('sent again'))).json()).toEqual({ pieces: 1 });
  expect((await piece(id, 5)).json()).toEqual({ pieces: 1 });
  await school.stop();
  await school.start();
  expect((await begin(id, 'b1')).json()).toEqual({ pieces: 1 });
  expect((await piece(id, 1)).json()).toEqual({ pieces: 2 });
  expect((await teacher.send('GET', at(`takes/${id}/pieces`))).body).toBe('piece 0 piece 1 ');
  expect(await recording()).toMatchObject({
    takes: [],
    cutOff: [{ id, at: { beatId: 'b1', step: 'beat' }, mime: 'audio/wav', pieces: 2 }],
  });
});

test('of a sound any part is sent that is asked for, so that whoever listens can leap', async () => {
  const whole = sound(0.5);
  const { id } = await record('b1', whole);
  const part = (range?: string) => teacher.send('GET', at(`takes/${id}/sound`), undefined, range === undefined ? {} : { range });
  expect((await part()).headers).toMatchObject({ 'accept-ranges': 'bytes', 'content-length': String(whole.length) });
  const some = await part('bytes=100-199');
  expect([some.statusCode, some.headers['content-range']]).toEqual([206, `bytes 100-199/${whole.length}`]);
  expect(some.rawPayload.equals(whole.subarray(100, 200))).toBe(true);
  expect((await part(`bytes=${whole.length - 10}-`)).rawPayload.equals(whole.subarray(-10))).toBe(true);
  expect((await part('bytes=0-9,20-29')).rawPayload.equals(whole)).toBe(true);
  expect((await part('pages=1-2')).statusCode).toBe(200);
  const beyond = await part('bytes=999999-');
  expect([beyond.statusCode, beyond.headers['content-range']]).toEqual([416, `bytes */${whole.length}`]);
});

test('once its sound is there a take is the one of its step; the one before can be brought back, the one before that is gone', async () => {
  const first = await record('b1');
  expect(await recording()).toMatchObject({ takes: [first], before: [], cutOff: [] });
  const second = await record('b1', sound(0.25));
  const third = await record('b1', sound(0.75));
  expect(await recording()).toMatchObject({ takes: [third], before: [third.at] });
  expect((await teacher.send('GET', at(`takes/${first.id}/sound`))).statusCode).toBe(404);
  expect((await teacher.send('POST', at(`takes/${third.id}/before`))).json()).toMatchObject({ takes: [second] });
  expect((await teacher.send('GET', at(`takes/${second.id}/sound`))).rawPayload).toEqual(sound(0.25));
  expect((await teacher.send('POST', at(`takes/${second.id}/before`))).json()).toMatchObject({ takes: [third] });
  // Sent again after its answer was lost: it stays what it is.
  expect((await teacher.send('POST', at(`takes/${second.id}`), second)).json()).toMatchObject({ takes: [third] });
});

test('a long sound comes in pieces, one after the other; begun anew, what was there is forgotten', async () => {
  const take = takeOf('b1');
  const whole = sound(0.5);
  const part = (number: number, from: number, to: number) =>
    sendSound(take.id, whole.subarray(from, to), 'audio/wav', { number, of: whole.length });
  await begin(take.id, 'b1');
  await piece(take.id, 0);
  expect((await part(0, 0, 500)).json()).toEqual({ pieces: 1 });
  expect((await part(0, 0, 700)).json()).toEqual({ pieces: 1 });
  expect((await part(2, 700, 900)).json()).toEqual({ pieces: 1 });
  await school.stop();
  await school.start();
  expect((await part(1, 700, 1200)).json()).toEqual({ pieces: 2 });
  expect(codeOf(await teacher.send('POST', at(`takes/${take.id}`), take))).toBe('TAKE_UNKNOWN');
  await part(2, 1200, whole.length);
  expect((await teacher.send('GET', at(`takes/${take.id}/sound`))).rawPayload).toEqual(whole);
  expect((await teacher.send('POST', at(`takes/${take.id}`), take)).json()).toMatchObject({ takes: [take] });
  expect(school.store.sqlite.prepare('SELECT count(*) AS n FROM take_piece').get()).toEqual({ n: 0 });
  const tooLong = await sendSound(randomUUID(), whole, 'audio/wav', { of: 41 * 2 ** 20 });
  expect([tooLong.statusCode, (await sendSound(take.id, whole, 'audio/wav', { of: 41 * 2 ** 20 })).json().code]).toEqual([
    404,
    'TAKE_SOUND',
  ]);
});

test('captions are changed in place; those that overlap or leave the take are refused with their place', async () => {
  const take = await record('b1');
  const cues = [{ fromMs: 0, toMs: 900, text: 'Good day.' }];
  expect((await teacher.send('POST', at(`takes/${take.id}/cues`), { cues, cuesEdited: true })).json()).toMatchObject({
    takes: [{ ...take, cues, cuesEdited: true }],
  });
  for (const wrong of [
    [...cues, { fromMs: 800, toMs: 1000, text: 'over' }],
    [{ fromMs: 100, toMs: 2001, text: 'out' }],
    [{ fromMs: 500, toMs: 500, text: 'none' }],
  ]) {
    const reply = await teacher.send('POST', at(`takes/${take.id}/cues`), { cues: wrong, cuesEdited: true });
    expect(codeOf(reply)).toBe('TAKE_UNREADABLE');
    expect(reply.json().detail).toContain(`Caption ${wrong.length}`);
  }
  expect((await recording()).takes[0]).toMatchObject({ cues });
});

test('what is no sound, belongs elsewhere or has not come whole is refused, and nothing is changed', async () => {
  const kept = await record('b1');
  const before = await recording();
  const id = randomUUID();
  await begin(id, 'b2');
  expect(codeOf(await sendSound(id, Buffer.from('<html>')))).toBe('TAKE_SOUND');
  expect(codeOf(await sendSound(id, sound(0.5), 'audio/webm'))).toBe('TAKE_SOUND');
  expect(codeOf(await sendSound(id, Buffer.alloc(0)))).toBe('TAKE_SOUND');
  expect((await sendSound(id, sound(0.5), 'text/html')).statusCode).toBe(400);
  expect(codeOf(await teacher.send('POST', at(`takes/${id}`), takeOf('b2', { id })))).toBe('TAKE_UNKNOWN');
  await sendSound(id);
  expect(codeOf(await teacher.send('POST', at(`takes/${id}`), takeOf('b1', { id })))).toBe('TAKE_ID_TAKEN');
  expect(codeOf(await begin(kept.id, 'b2'))).toBe('TAKE_ID_TAKEN');
  expect((await teacher.send('POST', at(`takes/${id}`), { ...takeOf('b2', { id }), mood: 'glad' })).json().detail).toContain('mood');
  expect((await teacher.send('GET', at(`takes/${id}/sound`), undefined)).statusCode).toBe(200);
  expect((await recording()).takes).toEqual(before.takes);
});

test('a take, a recording, and what is kept no longer are gone from the files too', async () => {
  const secret = (text: string) => Buffer.concat([sound(0.5), Buffer.from(text.repeat(40))]);
  const inFiles = (text: string) => ['', '-wal'].some((end) => readFileSync(join(school.dataDir, `zeitpunkt.sqlite${end}`)).includes(text));
  const first = await record('b1', secret('first take '));
  const second = await record('b2', secret('second take '));
  await record('b3', secret('third take '));
  expect(inFiles('first take ')).toBe(true);
  expect((await teacher.send('POST', at(`takes/${first.id}/delete`))).json().takes).toHaveLength(2);
  expect([inFiles('first take '), inFiles('second take ')]).toEqual([false, true]);

  // A take that is deleted gives its step back to the one before it.
  const again = await record('b2', secret('another take '));
  expect((await teacher.send('POST', at(`takes/${again.id}/delete`))).json()).toMatchObject({
    takes: expect.arrayContaining([expect.objectContaining({ id: second.id })]),
    before: [],
  });
  expect([inFiles('another take '), inFiles('second take ')]).toEqual([false, true]);

  const kept = (await teacher.send('POST', at('recording/keep'), { keepDays: 30 })).json();
  expect(kept.deletesAtMs).toBe(school.clockMs + 30 * DAY_MS);
  const told: string[] = [];
  const events = newEvents();
  listenTo(events, { takesChanged: (of) => told.push(of.lessonId) });
  const tidy = (days: number) => deleteOldRecordings(school.store, events, school.clockMs + days * DAY_MS);
  expect(tidy(29.9)).toBe(0);
  expect((await teacher.send('GET', at(`takes/${second.id}/sound`))).statusCode).toBe(200);
  expect(tidy(30.1)).toBe(1);
  expect(told).toEqual([lessonId]);
  expect([inFiles('second take '), inFiles('third take ')]).toEqual([false, false]);
  expect(await recording()).toMatchObject({ takes: [], deletesAtMs: null });

  await record('b1', secret('fourth take '));
  await teacher.send('POST', at('recording/delete'));
  expect(inFiles('fourth take ')).toBe(false);
});

test('nobody else comes near a recording: not another teacher, not a stranger, not a pupil without the lesson', async () => {
  const take = await record('b1');
  const other = await anotherTeacher(school, teacher);
  const routes = [
    ['GET', at('recording')],
    ['POST', at('takes'), { id: randomUUID(), at: take.at, mime: 'audio/wav' }],
    ['POST', at(`takes/${take.id}`), take],
    ['POST', at(`takes/${take.id}/cues`), { cues: [], cuesEdited: true }],
    ['POST', at(`takes/${take.id}/before`)],
    ['POST', at(`takes/${take.id}/delete`)],
    ['GET', at(`takes/${take.id}/sound`)],
    ['GET', at(`takes/${take.id}/pieces`)],
    ['POST', at('recording/keep'), { keepDays: 1 }],
    ['POST', at('recording/delete')],
  ] as const;
  for (const [method, url, body] of routes) {
    expect([url, (await other.send(method, url, body)).statusCode]).toEqual([url, 404]);
    expect([url, (await school.browser().send(method, url, body)).statusCode]).toEqual([url, 401]);
  }
  const large = await school.browser().send('POST', at(`takes/${take.id}/sound/0?mime=audio/wav&bytes=1000`), Buffer.alloc(1000), OCTETS);
  expect(large.statusCode).toBe(401);
  expect(codeOf(await school.browser().send('GET', `/api/desk/takes/${take.id}`))).toBe('DESK_NOT_JOINED');
  expect((await recording()).takes).toHaveLength(1);
});

test('at own pace a pupil hears what belongs to the steps so far, never the reason before the answer, and what changes at once', async () => {
  const opening = await record('b1');
  const answerBeat = lesson.steps.find(({ beat }) => beat.kind === 'answer')!.ref.beatId;
  const answer = await record(answerBeat);
  const stale = await record('b2', sound(0.5), { fingerprint: 'another' });
  const [{ id: classId }] = (await teacher.send('GET', '/api/classes')).json();
  const [{ id: pupilId }] = (await teacher.send('GET', `/api/classes/${classId}`)).json().pupils;
  const start = {
    id: randomUUID(),
    lessonId,
    classId,
    pupilIds: null,
    firstDay: '2026-11-02',
    lastDay: '2026-11-06',
    byKey: true,
    voice: true,
  };
  expect((await teacher.send('POST', '/api/own-pace', start)).json().live.voice).toBe(true);
  const { cards } = (await teacher.send('POST', `/api/classes/${classId}/cards`, { pupilIds: [pupilId] })).json();
  const device = school.browser();
  await device.send('POST', '/api/desk/card/join', { token: cards[0].token, sessionId: start.id, joinId: randomUUID() });
  const desk = async () => (await device.send('GET', '/api/desk')).json();
  const hears = async (take: Take) => (await device.send('GET', `/api/desk/takes/${take.id}`)).statusCode;

  expect((await desk()).own.voice).toEqual({
    here: { takeId: opening.id, durationMs: 2000, cues: opening.cues },
    nextTakeId: null, // the take of the next step does not fit the script any more
  });
  expect([await hears(opening), await hears(stale), await hears(answer)]).toEqual([200, 404, 404]);
  const { own } = await desk();
  await device.send('POST', '/api/desk/own/go', { to: own.steps.at(-1) });
  expect((await desk()).own.voice).toEqual({ here: null, nextTakeId: null });
  await respond(device, reading('7', '30'));
  expect((await desk()).own.voice.here).toMatchObject({ takeId: answer.id });
  expect(await hears(answer)).toBe(200);

  const again = await record(answerBeat, sound(0.3));
  expect((await desk()).own.voice.here).toMatchObject({ takeId: again.id });
  await teacher.send('POST', at('recording/delete'));
  expect((await desk()).own.voice).toEqual({ here: null, nextTakeId: null });
  expect(await hears(again)).toBe(404);
  expect((await teacher.send('POST', `/api/own-pace/${start.id}/change`, { voice: false })).json().live.voice).toBe(false);
  expect((await desk()).own.voice).toBeNull();
});

test('in a live lesson a device hears what was recorded of the question that is asked, and of nothing before or after it', async () => {
  const asks = lesson.steps.filter(({ beat }) => beat.kind === 'ask');
  const [first, second] = [await record(asks[0]!.ref.beatId), await record(asks[1]!.ref.beatId)];
  const room = await TestRoom.open(school, teacher);
  const device = await room.join('Anouk');
  const hears = async (take: Take) => (await device.send('GET', `/api/desk/takes/${take.id}`)).statusCode;
  const question = async () => (await device.send('GET', '/api/desk')).json().question;
  expect([await hears(first), await question()]).toEqual([404, null]);
  await room.tell({ type: 'begin' });
  await room.tell({ type: 'go', to: first.at });
  expect((await question()).takeId).toBe(first.id);
  expect([await hears(first), await hears(second)]).toEqual([200, 404]);
  await room.tell({ type: 'go', to: second.at });
  expect([(await question()).takeId, await hears(first)]).toEqual([second.id, 404]);
  const again = await record(asks[1]!.ref.beatId, sound(0.3));
  expect([(await question()).takeId, await hears(again)]).toEqual([again.id, 200]);
  await teacher.send('POST', at('recording/delete'));
  expect([(await question()).takeId, await hears(again)]).toEqual([null, 404]);
});
