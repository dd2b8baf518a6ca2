import fc from 'fast-check';
import type { Lesson } from '../lesson/lesson.js';
import { prepareLesson } from '../lesson/prepare.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { seededRng } from '../rehearsal/rng.js';
import { applyCommand, currentItemId, NEW_ROOM, type RoomCommand, type RoomState } from './room.js';
import { drawRoomKey, KEY_PICTURES, readPictures, roomKeyText } from './room-key.js';

const LESSON: Lesson = {
  format: 'zeitpunkt-lesson',
  formatVersion: 1,
  title: 'The school ferry',
  goal: '',
  successCriteria: [],
  targetMinutes: 5,
  settings: DEFAULT_SETTINGS,
  items: [
    { id: 'q1', kind: 'read-dial', timeSec: 27_000 },
    { id: 'q2', kind: 'read-dial', timeSec: 9000 },
  ],
  beats: [
    { kind: 'say', text: 'Hello.' },
    { kind: 'ask', itemId: 'q1', text: '' },
    { kind: 'think', itemId: 'q1', seconds: 5, text: '' },
    { kind: 'answer', itemId: 'q1' },
    { kind: 'ask', itemId: 'q2', text: '' },
    { kind: 'say', text: 'Good-bye.' },
  ],
};
const prepared = prepareLesson(LESSON);
const play = (commands: RoomCommand[], from: RoomState = NEW_ROOM) =>
  commands.reduce((room, command, index) => applyCommand(room, command, prepared, 1000 + index), from);
const go = (toStep: number): RoomCommand => ({ type: 'go', toStep });

test('a question opens when it is asked, stays open to think, and is revealed by its answer', () => {
  const asked = play([{ type: 'begin' }, go(1)]);
  expect(asked).toMatchObject({ phase: 'running', step: 1, stepStartedAtMs: 1001, begunAtMs: 1000, questions: { q1: 'open' } });
  expect(play([go(2)], asked).questions).toEqual({ q1: 'open' });
  expect(play([go(2), go(3)], asked).questions).toEqual({ q1: 'revealed' });
});

test('leaving a question without its answer closes it; coming back opens it again, but never after the reveal', () => {
  const left = play([{ type: 'begin' }, go(4), go(5)]);
  expect(left.questions).toEqual({ q2: 'closed' });
  expect(play([go(4)], left).questions).toEqual({ q2: 'open' });
  expect(play([{ type: 'begin' }, go(1), go(3), go(1)]).questions).toEqual({ q1: 'revealed' });
});

test('closed answers stay closed while the class goes on thinking', () => {
  expect(play([{ type: 'begin' }, go(1), { type: 'close', itemId: 'q1' }, go(2)]).questions).toEqual({ q1: 'closed' });
});

test('a command that changes nothing gives the same room, so that nothing is told twice', () => {
  const room = play([{ type: 'begin' }, go(1)]);
  expect(applyCommand(room, go(1), prepared, 5000)).toBe(room);
  expect(applyCommand(room, { type: 'begin' }, prepared, 5000)).toBe(room);
  const ended = play([{ type: 'end' }], room);
  expect(ended).toMatchObject({ phase: 'ended', questions: { q1: 'closed' } });
  expect(applyCommand(ended, { type: 'end' }, prepared, 5000)).toBe(ended);
});

test('what is shown beside the script ends with the next step and leaves the questions as they are', () => {
  const asked = play([{ type: 'begin' }, go(1)]);
  const aside = { timeSec: 16_500, marks: [] };
  const left = play([{ type: 'aside', aside }], asked);
  expect(left).toEqual({ ...asked, aside });
  expect(applyCommand(left, { type: 'aside', aside: { ...aside } }, prepared, 5000)).toBe(left);
  expect(play([{ type: 'aside', aside: null }], left)).toEqual(asked);
  expect(play([go(2)], left)).toMatchObject({ step: 2, aside: null, questions: { q1: 'open' } });
  expect(play([{ type: 'end' }], left).aside).toBeNull();
});

test.each<[string, RoomState, RoomCommand]>([
  ['ROOM_NOT_RUNNING', NEW_ROOM, { type: 'aside', aside: null }],
  ['ROOM_NOT_RUNNING', NEW_ROOM, go(1)],
  ['ROOM_NOT_RUNNING', { ...NEW_ROOM, phase: 'ended' }, { type: 'begin' }],
  ['ROOM_POSITION_RANGE', play([{ type: 'begin' }]), go(6)],
  ['QUESTION_UNKNOWN', play([{ type: 'begin' }]), { type: 'close', itemId: 'q1' }],
])('%s where a command makes no sense', (code, room, command) => {
  expect(() => applyCommand(room, command, prepared, 0)).toThrow(expect.objectContaining({ code }));
});

test('however a teacher wanders, at most the question at hand is open and a revealed one stays revealed', () => {
  fc.assert(
    fc.property(fc.array(fc.nat(5), { maxLength: 30 }), (path) => {
      let room = play([{ type: 'begin' }]);
      const revealed = new Set<string>();
      for (const toStep of path) {
        room = applyCommand(room, go(toStep), prepared, 0);
        for (const [id, phase] of Object.entries(room.questions)) {
          if (phase === 'open') expect(id).toBe(currentItemId(room, prepared));
          if (revealed.has(id)) expect(phase).toBe('revealed');
          if (phase === 'revealed') revealed.add(id);
        }
      }
    }),
  );
});

test('a room key can be typed loosely, and the first word that is no picture is named', () => {
  expect(readPictures('  Boat, LAMP puf shell ')).toEqual({ pictures: ['boat', 'lamp', 'puffin', 'shell'], unknown: null });
  expect(readPictures('boat sh')).toEqual({ pictures: ['boat'], unknown: 'sh' });
  expect(readPictures('boat castle fish')).toEqual({ pictures: ['boat'], unknown: 'castle' });
  for (let seed = 0; seed < 200; seed++) {
    const key = drawRoomKey(seededRng(seed));
    expect(readPictures(roomKeyText(key)).pictures).toEqual(key);
  }
  expect(new Set(KEY_PICTURES).size).toBe(12);
});
