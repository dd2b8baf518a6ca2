import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { NEW_BUILD } from '../stage/dial-build.js';
import { prepareLesson } from '../lesson/prepare.js';
import { stepAt } from '../stage/player.js';
import { PLAIN_LAYERS } from '../scene/dial-state.js';
import type { Lesson } from '../lesson/lesson.js';
import {
  readDialBuild,
  readLesson,
  readMark,
  readRoomState,
  readStage,
  readWaiting,
  writeDialBuild,
  writeMark,
  writeRoomState,
} from './stored.js';

// What the door does with each version; that every old file fulfils today's schemas is tested beside the schemas.

const old = (name: string) => readFileSync(join(__dirname, 'old-files', `${name}.json`), 'utf8');
const anything = () => null;
const refuse = (text: unknown, code: string, sentence: RegExp, read = readDialBuild as (...given: never[]) => unknown) =>
  expect(() => (read as typeof readDialBuild)(text, '“Lamp”', anything)).toThrow(
    expect.objectContaining({ code, message: expect.stringMatching(sentence) }),
  );

test('a lesson of version 1 gets names for its beats, always the same, and plays', () => {
  const lesson = readLesson(old('lesson/1'), '', anything);
  expect(lesson.beats.map(({ id }) => id)).toEqual(lesson.beats.map((_, index) => `b${index + 1}`));
  expect(readLesson(JSON.parse(old('lesson/1')), '', anything)).toEqual(lesson);
  expect(prepareLesson(lesson).steps.length).toBeGreaterThan(lesson.beats.length);
});

test('a switch that was added since is off: also in a demonstration within a lesson', () => {
  const lesson = readLesson(old('lesson/1-before-ring24'), '', anything);
  expect(lesson.beats.at(-1)).toMatchObject({ kind: 'show', build: { formatVersion: 2, place: 0, layers: { ring24: false } } });
  const added = { ...JSON.parse(old('dial-build/1')), layers: {} } as object; // as if every layer were new
  expect(readDialBuild(added, '', anything).layers).toEqual(PLAIN_LAYERS);
});

test('a room of version 1 stands where it stood, whatever worked examples expand to today', () => {
  const lesson = readLesson(old('lesson/1'), '', anything);
  const room = readRoomState(old('room-state/1'), lesson, anything);
  // Step 7 of that lesson was the hour in the worked example, after four beats and three steps of it.
  expect(room.run.at).toEqual({ beatId: 'b5', step: 'minute-hand' });
  expect(stepAt(prepareLesson(lesson), room.run.at).ref).toEqual(room.run.at);
  expect(room.aside?.timeSec).toBe(16_500);
  const ended = readRoomState(old('room-state/1-before-aside'), lesson, anything);
  expect(ended).toMatchObject({ aside: null, run: { at: { beatId: 'b15' }, besideId: null } });
  expect(ended.run.askings).toEqual(lesson.items.map((item) => ({ id: item.id, item, phase: 'revealed', closedAtMs: null })));
});

test.each(['hour-first', 'minute-first'] as const)('every number of a step finds its name, %s', (readingOrder) => {
  const base = readLesson(old('lesson/1-before-ring24'), '', anything);
  const lesson: Lesson = { ...base, settings: { ...base.settings, readingOrder } };
  const { steps } = prepareLesson(lesson);
  steps.forEach(({ ref }, step) => {
    const room = { phase: 'running', step, stepStartedAtMs: 0, begunAtMs: 0, questions: {} };
    expect(readRoomState(room, lesson, anything).run.at).toEqual(ref);
  });
});

test('marks, waiting answers and kept stages of version 1 are read', () => {
  expect(readMark(old('mark/1'), '', anything).parts).toEqual([
    { part: 'hour', right: true },
    { part: 'minute', right: false },
    { part: 'form', right: false },
  ]);
  expect(readWaiting<{ post: object }>(JSON.parse(old('waiting/1')), anything).post).toMatchObject({ askingId: 'q1' });
  expect(readStage(old('stage/1-before-ring24'), anything)).toMatchObject({ dials: [], dial: { trailDeg: 0, layers: { ring24: false } } });
});

test('what is written is read again as it was', () => {
  expect(readDialBuild(writeDialBuild(NEW_BUILD), '', anything)).toEqual(NEW_BUILD);
  const mark = readMark(old('mark/1'), '', anything);
  expect(readMark(writeMark(mark), '', anything)).toEqual(mark);
  const lesson = readLesson(old('lesson/1'), '', anything);
  const room = readRoomState(old('room-state/1'), lesson, anything);
  expect(readRoomState(writeRoomState(room), lesson, anything)).toEqual(room);
});

test('what cannot be read is told by name with the path, and a newer version as such', () => {
  refuse('{ not JSON', 'DIAL_UNREADABLE', /^The saved dial “Lamp” cannot be read: it is no JSON object\.$/);
  refuse('[]', 'DIAL_UNREADABLE', /no JSON object/);
  refuse({ formatVersion: 'two' }, 'DIAL_UNREADABLE', /at \/formatVersion/);
  refuse({ formatVersion: 99 }, 'FORMAT_NEWER', /^The saved dial “Lamp” was saved by a newer version of Zeitpunkt; open it there\.$/);
  expect(() => readDialBuild(old('dial-build/1'), '“Lamp”', () => 'must be number at /timeSec')).toThrow(
    'The saved dial “Lamp” cannot be read: must be number at /timeSec.',
  );
});

test('nonsense of any version is refused by the check and never breaks a migration', () => {
  const nonsense = [
    {},
    { beats: 7, beside: 'x', layers: null, parts: 1, post: 2, questions: [], step: 'x', dial: 3 },
    { beats: [null, { build: 5 }] },
  ];
  const lesson = readLesson(old('lesson/1'), '', anything);
  const no = () => 'is not as expected';
  for (const data of nonsense) {
    for (const read of [readLesson, readDialBuild, readMark]) expect(() => read(data, '', no)).toThrow(/is not as expected/);
    expect(() => readRoomState(data, lesson, no)).toThrow(/is not as expected/);
    expect(() => readStage(data, no)).toThrow(/is not as expected/);
    expect(() => readWaiting(data, no)).toThrow(/is not as expected/);
  }
});
