import fc from 'fast-check';
import { CoreError } from '../errors.js';
import { NEW_ASIDE } from '../stage/aside.js';
import { prepareLesson } from '../lesson/prepare.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { seededRng } from '../random/rng.js';
import { kindOf, type Item, type Response } from '../question-kinds/registry.js';
import { describeStage } from '../scene/describe-stage.js';
import { stageAt } from '../stage/player.js';
import { ONLY_STEP } from '../lesson/step-ref.js';
import { stageOfRun } from '../run/run-stage.js';
import { isRevealed } from '../run/run.js';
import { moreTimeFor, withoutWaiting } from './calls.js';
import { DOOR_OPEN_MS, isDoorOpen } from './door.js';
import { applyCommand, askingOfRoom, newRoom, type RoomCommand, type RoomState } from './room.js';
import { drawRoomKey, KEY_PICTURES, readPictures, roomKeyText } from './room-key.js';
import { lessonWith } from '../testing/lessons.js';

const LESSON = lessonWith({
  items: [
    { id: 'q1', kind: 'read-dial', timeSec: 27_000 },
    { id: 'q2', kind: 'read-dial', timeSec: 9000 },
  ],
  beats: [
    { id: 'hello', kind: 'say', text: 'Hello.' },
    { id: 'ask-1', kind: 'ask', itemId: 'q1', text: '' },
    { id: 'think-1', kind: 'think', itemId: 'q1', seconds: 5, text: '' },
    { id: 'answer-1', kind: 'answer', itemId: 'q1' },
    { id: 'ask-2', kind: 'ask', itemId: 'q2', text: '' },
    { id: 'answer-2', kind: 'answer', itemId: 'q2' },
    { id: 'bye', kind: 'say', text: 'Good-bye.' },
  ],
});
const prepared = prepareLesson(LESSON);
const NEW_ROOM = newRoom(prepared);
const play = (commands: RoomCommand[], from: RoomState = NEW_ROOM) =>
  commands.reduce((room, command, index) => applyCommand(room, command, prepared, 1000 + index), from);
const go = (beatId: string): RoomCommand => ({ type: 'go', to: { beatId, step: ONLY_STEP } });
const BEGIN: RoomCommand = { type: 'begin' };
/** Phases by asking. */
const phases = (room: RoomState) => Object.fromEntries(room.run.askings.map(({ id, phase }) => [id, phase]));

test('a question opens when it is asked, stays open to think, and is revealed by its answer', () => {
  const asked = play([BEGIN, go('ask-1')]);
  expect(asked).toMatchObject({ phase: 'running', begunAtMs: 1000, run: { at: { beatId: 'ask-1' }, enteredAtMs: 1001 } });
  expect(phases(asked)).toEqual({ q1: 'open' });
  expect(phases(play([go('think-1')], asked))).toEqual({ q1: 'open' });
  expect(phases(play([go('think-1'), go('answer-1')], asked))).toEqual({ q1: 'revealed' });
});

test('leaving a question without its answer closes it; coming back opens it again, but never after the reveal', () => {
  const left = play([BEGIN, go('ask-2'), go('bye')]);
  expect(phases(left)).toEqual({ q2: 'closed' });
  expect(phases(play([go('ask-2')], left))).toEqual({ q2: 'open' });
  expect(phases(play([BEGIN, go('ask-1'), go('answer-1'), go('ask-1')]))).toEqual({ q1: 'revealed' });
});

test('a question that is asked again by going back to it is open, and was closed at no time', () => {
  const [again] = play([BEGIN, go('ask-1'), { type: 'close', askingId: 'q1' }, go('hello'), go('ask-1')]).run.askings;
  expect(again).toMatchObject({ phase: 'open', closedAtMs: null });
});

test('closed answers stay closed while the class goes on thinking', () => {
  expect(phases(play([BEGIN, go('ask-1'), { type: 'close', askingId: 'q1' }, go('think-1')]))).toEqual({ q1: 'closed' });
});

test('time that is promised counts down for its own question, ends at nothing, and is gone when the question closes', () => {
  const { calls } = play([{ type: 'more-time', askingId: 'q1', minutes: 2 }], play([BEGIN, go('ask-1')]));
  const at = calls.more!.fromMs;
  expect(moreTimeFor(calls, 'q1', at + 30_000)).toEqual({ totalMs: 120_000, leftMs: 90_000 });
  expect(moreTimeFor(calls, 'q1', at + 500_000)).toEqual({ totalMs: 120_000, leftMs: 0 });
  expect([moreTimeFor(calls, 'q2', at), moreTimeFor(withoutWaiting(calls), 'q1', at)]).toEqual([null, null]);
});

test('the door stays open in the lobby, closes ten minutes after the lesson has begun or it was opened again, and to the moment', () => {
  const opensIn = (room: RoomState, nowMs: number) => isDoorOpen(room.door, nowMs);
  expect([opensIn(NEW_ROOM, 1e12), opensIn(play([{ type: 'door', open: false }]), 0)]).toEqual([true, false]);
  const again = play([
    { type: 'door', open: false },
    { type: 'door', open: true },
  ]);
  expect(again.door.closesAtMs).toBeNull(); // nothing has begun yet
  const running = play([BEGIN]);
  const closesAt = 1000 + DOOR_OPEN_MS;
  expect([closesAt - 1, closesAt].map((at) => opensIn(running, at))).toEqual([true, false]);
  const shut = play([{ type: 'door', open: false }], running);
  expect([shut.door.closesAtMs, opensIn(shut, 0)]).toEqual([null, false]);
  expect(play([{ type: 'door', open: true }], shut).door.closesAtMs).toBe(closesAt);
  expect([NEW_ROOM.calls.showMe, running.calls.showMe]).toEqual([true, false]); // while a class gathers everybody has a clock to turn
});

test('a command that changes nothing gives the same room, so that nothing is told twice', () => {
  const room = play([BEGIN, go('ask-1')]);
  const nothing: RoomCommand[] = [go('ask-1'), BEGIN, { type: 'aside', aside: null }, { type: 'door-admits', admits: room.door.admits }];
  for (const command of nothing) expect(play([command], room)).toBe(room);
  const ended = play([{ type: 'end' }], room);
  expect(ended.phase).toBe('ended');
  expect(phases(ended)).toEqual({ q1: 'closed' });
  expect(play([{ type: 'end' }], ended)).toBe(ended);
});

test('only what can be given to a question is shown as somebody’s answer to it', () => {
  const show = (response: Response): RoomCommand => ({
    type: 'aside',
    aside: { ...NEW_ASIDE, shows: { kind: 'answer', item: LESSON.items[0]!, response } },
  });
  const asked = play([BEGIN, go('ask-1')]);
  expect(play([show({ kind: 'read-dial', hour: '8', minute: '30' })], asked).aside?.shows?.kind).toBe('answer');
  expect(() => play([show({ kind: 'set-dial', hourDeg: 0, minuteDeg: 0 })], asked)).toThrow('This is no answer to the question');
});

test('what is shown beside the script ends with the next step and leaves the questions as they are', () => {
  const asked = play([BEGIN, go('ask-1')]);
  const aside = { timeSec: 16_500, marks: [], shows: null };
  const left = play([{ type: 'aside', aside }], asked);
  expect(left).toEqual({ ...asked, aside });
  expect(play([{ type: 'aside', aside: { ...aside } }], left)).toBe(left);
  expect(play([{ type: 'aside', aside: null }], left)).toEqual(asked);
  expect(play([go('think-1')], left)).toMatchObject({ run: { at: { beatId: 'think-1' } }, aside: null });
  expect(play([{ type: 'end' }], left).aside).toBeNull();
});

describe('questions beside the script', () => {
  const [q1] = LESSON.items as [Item, ...Item[]];
  const extra: Item = { id: 'extra', kind: 'set-dial', timeSec: 9000, from: 'display', hands: 'geared' };
  const revealed = play([BEGIN, go('ask-1'), go('answer-1')]);
  const again = play([{ type: 'ask', item: q1 }], revealed);

  test('an item asked again is another asking: open, while the first one stays revealed', () => {
    expect(phases(again)).toEqual({ q1: 'revealed', 'q1.2': 'open' });
    expect(askingOfRoom(again, prepared)).toMatchObject({ id: 'q1.2', item: q1 });
    expect(Object.keys(phases(play([{ type: 'ask', item: q1 }], again)))).toEqual(['q1', 'q1.2', 'q1.3']);
    expect(stageOfRun(prepared, again.run, 0)).toEqual(kindOf(q1).asked(q1, DEFAULT_SETTINGS));
  });

  test('a question of no lesson can be asked, closed and answered', () => {
    const asked = play([{ type: 'ask', item: extra }], revealed);
    expect(phases(asked)).toEqual({ q1: 'revealed', extra: 'open' });
    const answered = play([{ type: 'reveal', askingId: 'extra' }], asked);
    expect(phases(answered)).toMatchObject({ extra: 'revealed' });
    expect(stageOfRun(prepared, answered.run, 0)).toEqual(kindOf(extra).answered(extra, DEFAULT_SETTINGS));
    expect(play([{ type: 'close', askingId: 'extra' }], answered)).toBe(answered);
  });

  test('where nothing is asked beside it the script plays, while a question of it is open as well', () => {
    const { run } = play([BEGIN, go('ask-1'), go('think-1')]);
    expect(stageOfRun(prepared, run, 1000)).toEqual(stageAt(prepared, run.at, 1000, isRevealed(run)));
  });

  test('the next step, or going back to the script, leaves it closed', () => {
    for (const command of [go('ask-2'), { type: 'aside', aside: null } as const]) {
      const left = play([command], again);
      expect(phases(left)).toMatchObject({ 'q1.2': 'closed' });
      expect(left.run.besideId).toBeNull();
    }
    expect(play([go('answer-1')], again).run).toMatchObject({ at: { beatId: 'answer-1' }, besideId: null });
  });

  test('one that is taken back is as if it had not been asked; one of the script, or one that is closed, is not taken back', () => {
    const before = play([{ type: 'begin' }, go('ask-1')]);
    const item = { ...prepared.lesson.items[0]!, id: 'more' };
    const asked = play([{ type: 'ask', item }], before);
    const back = play([{ type: 'take-back', askingId: 'more' }], asked);
    expect(back.run.askings.map(({ id }) => id)).toEqual(['q1']);
    expect(back.run.besideId).toBeNull();
    expect(() => play([{ type: 'take-back', askingId: 'q1' }], before)).toThrow(CoreError);
    expect(() =>
      play(
        [
          { type: 'close', askingId: 'more' },
          { type: 'take-back', askingId: 'more' },
        ],
        asked,
      ),
    ).toThrow(CoreError);
  });

  test('hands turned beside it are put away first, then the question', () => {
    const turned = play([{ type: 'aside', aside: { timeSec: 0, marks: [], shows: null } }], again);
    const back = play([{ type: 'aside', aside: null }], turned);
    expect(back.run.besideId).toBe('q1.2');
    expect(play([{ type: 'aside', aside: null }], back).run.besideId).toBeNull();
  });

  test('a lesson’s item that the script has not reached is asked beside it without taking the script’s place', () => {
    const [, q2] = LESSON.items as [Item, Item];
    const early = play([{ type: 'ask', item: q2 }], revealed);
    expect(phases(early)).toMatchObject({ 'q2.1': 'open' });
    expect(phases(play([go('ask-2')], early))).toMatchObject({ 'q2.1': 'closed', q2: 'open' });
  });

  test('another question under the id of one that was asked is refused', () => {
    expect(() => play([{ type: 'ask', item: { ...q1, timeSec: 60 } as Item }], revealed)).toThrow(
      expect.objectContaining({ code: 'LESSON_ITEM_TWICE' }),
    );
  });
});

test.each<[string, RoomState, RoomCommand]>([
  ['ROOM_NOT_RUNNING', NEW_ROOM, { type: 'aside', aside: null }],
  ['ROOM_NOT_RUNNING', NEW_ROOM, go('ask-1')],
  ['ROOM_NOT_RUNNING', NEW_ROOM, { type: 'ask', item: LESSON.items[0]! }],
  ['ROOM_NOT_RUNNING', { ...NEW_ROOM, phase: 'ended' }, BEGIN],
  ['ROOM_POSITION_RANGE', play([BEGIN]), go('nowhere')],
  ['QUESTION_UNKNOWN', play([BEGIN]), { type: 'close', askingId: 'q1' }],
])('%s where a command makes no sense', (code, room, command) => {
  expect(() => applyCommand(room, command, prepared, 0)).toThrow(expect.objectContaining({ code }));
});

test('leaping over the answer does not show it: not on the step leapt to, and not on any that keeps its stage', () => {
  const leapt = play([BEGIN, go('ask-2'), go('bye')]);
  const shown = describeStage(stageOfRun(prepared, leapt.run, Infinity));
  expect(shown).not.toContain('2 : 30');
  expect(describeStage(stageOfRun(prepared, play([go('answer-2'), go('bye')], leapt).run, Infinity))).toContain('Display: 2 : 30');
});

test('however a teacher wanders and asks, at most the question at hand is open, a revealed one stays so, and no other answer is seen', () => {
  const beats = LESSON.beats.map(({ id }) => go(id));
  const asks = LESSON.items.map((item): RoomCommand => ({ type: 'ask', item }));
  const back: RoomCommand = { type: 'aside', aside: null };
  fc.assert(
    fc.property(fc.array(fc.constantFrom(...beats, ...asks, back), { maxLength: 30 }), (path) => {
      let room = play([BEGIN]);
      const revealed = new Set<string>();
      for (const command of path) {
        room = applyCommand(room, command, prepared, 0);
        for (const [id, phase] of Object.entries(phases(room))) {
          if (phase === 'open') expect(id).toBe(askingOfRoom(room, prepared)!.id);
          if (revealed.has(id)) expect(phase).toBe('revealed');
          if (phase === 'revealed') revealed.add(id);
        }
        const { display } = stageOfRun(prepared, room.run, Infinity);
        const seen = LESSON.items.filter(
          (item) => display !== null && kindOf(item).answered(item, DEFAULT_SETTINGS).display?.hour === display.hour,
        );
        for (const item of seen) expect(isRevealed(room.run)(item.id)).toBe(true);
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
    expect(new Set(key).size).toBe(4);
  }
  expect(new Set(KEY_PICTURES).size).toBe(12);
});
