import type { SessionDetail } from '@zeitpunkt/contract';
import { randomUUID } from 'node:crypto';
import { type Events, newEvents } from '../events.js';
import { School } from '../testing/school.js';
import { pinLesson } from '../features/lessons/pin.js';
import type { Line } from './line.js';
import { heavyTasks } from '../work/tasks.js';
import { workInPlace, type Json } from '../work/work.js';
import { RoomDirectory } from './room-directory.js';

let school: School;
let rooms: RoomDirectory;
let open: () => string;
let events: Events;
beforeEach(async () => {
  school = await new School().start();
  await school.teacher();
  const { db, sqlite } = school.store;
  const idIn = (table: string) => sqlite.prepare(`SELECT id FROM ${table}`).pluck().get() as string;
  const [teacherId, classId, lessonId] = [idIn('teacher'), idIn('class'), idIn('lesson')];
  const work = workInPlace(heavyTasks(school.store));
  events = newEvents();
  rooms = new RoomDirectory({
    store: school.store,
    work,
    mostAttempts: 60,
    nowMs: () => school.clockMs,
    events,
    keyTries: { wrongLately: 0 },
  });
  open = () => {
    const id = randomUUID();
    rooms.open({ id, classId, lessonId }, teacherId, pinLesson(db, teacherId, lessonId, 0)!);
    rooms.find(id);
    return id;
  };
});
afterEach(() => school.remove());

test('a room leaves memory when it has ended, with the tokens of its devices; the others stay', async () => {
  const [ending, staying] = [open(), open()];
  const room = rooms.find(ending)!;
  room.join({ participantId: randomUUID(), pupilId: room.names.pupils[0]!.id, tokenHash: 'token-hash' });
  rooms.tokens.remember('token-hash', { room, participantId: 'p' });
  expect(rooms.size).toBe(2);
  await room.command(randomUUID(), { type: 'end' });
  expect([rooms.size, rooms.find(ending), rooms.tokens.find('token-hash')]).toEqual([1, undefined, undefined]);
  expect(rooms.find(staying)).toBeDefined();
});

test('reading a session that has ended brings nothing back into memory', async () => {
  const id = open();
  const { teacherId } = rooms.find(id)!;
  await rooms.find(id)!.command(randomUUID(), { type: 'end' });
  const { json } = (await rooms.detail(id, teacherId)) as Json<SessionDetail>;
  expect(JSON.parse(new TextDecoder().decode(json))).toMatchObject({ roomKey: null, live: { room: { phase: 'ended' } } });
  expect(rooms.size).toBe(0);
});

test('a class that is deleted takes its rooms out of memory, and their windows are told', () => {
  const id = open();
  const room = rooms.find(id)!;
  const [participantId] = [randomUUID()];
  room.join({ participantId, pupilId: room.names.pupils[0]!.id, tokenHash: 'token-hash' });
  const said: string[] = [];
  const lineOf = (name: string) => {
    const say = (text: string) => void said.push(`${name} ${text}`);
    return { tell: say, say, show: say, close: () => say('closed') } as unknown as Line;
  };
  room.listen('console', lineOf('console'));
  room.listenDesk(participantId, lineOf('desk'));
  said.length = 0;
  events.emit('classDeleted', { classId: room.classId });
  expect(rooms.size).toBe(0);
  expect(said.map((text) => text.slice(0, 30))).toEqual([
    'desk {"type":"released"}',
    'desk closed',
    expect.stringMatching(/^console \{"type":"problem"/),
    'console closed',
  ]);
});
