import { CoreError } from '@zeitpunkt/core/errors';
import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import { ONLY_STEP } from '@zeitpunkt/core/lesson/step-ref';
import { applyCommand, newRoom, type RoomCommand, type RoomState } from '@zeitpunkt/core/live/room';
import { kindOf, QUESTION_KIND_IDS, QUESTION_KINDS, type Item } from '@zeitpunkt/core/question-kinds/registry';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { NEW_ASIDE } from '@zeitpunkt/core/stage/aside';
import { lessonAsking } from '@zeitpunkt/core/testing/lessons';
import type { TSchema } from '@sinclair/typebox';
import { Ajv } from 'ajv';
import fc from 'fast-check';
import { CommandPost, DeskMessage, DeskMessageShell, RoomStateSchema, TeacherMessage } from './index.js';
import { KIND_SCHEMAS } from './question-kinds/registry.js';

const ajv = new Ajv({ allErrors: true, discriminator: true });
const checkOf = (schema: TSchema) => {
  const check = ajv.compile(schema as object);
  return (data: unknown) =>
    check(JSON.parse(JSON.stringify(data))) ? [] : check.errors!.map(({ instancePath, message }) => `${instancePath} ${message}`);
};
const [command, room, console_, desk, shell] = [CommandPost, RoomStateSchema, TeacherMessage, DeskMessage, DeskMessageShell].map(
  checkOf,
) as [
  (data: unknown) => string[],
  (data: unknown) => string[],
  (data: unknown) => string[],
  (data: unknown) => string[],
  (data: unknown) => string[],
];

const ID = '11111111-2222-4333-8444-555555555555';
const items: Item[] = [
  { id: 'q1', kind: 'read-dial', timeSec: 27_000 },
  { id: 'q2', kind: 'set-dial', timeSec: 9000, from: 'words', hands: 'geared' },
];
const prepared = prepareLesson(lessonAsking(items));
const askingId = fc.constantFrom('q1', 'q2', 'b-1', 'nobody');
const anyCommand: fc.Arbitrary<RoomCommand> = fc.oneof(
  fc.constantFrom<RoomCommand>({ type: 'begin' }, { type: 'end' }, { type: 'aside', aside: null }, { type: 'aside', aside: { ...NEW_ASIDE, timeSec: 27_000 } as never }), // prettier-ignore
  fc.constantFrom(...prepared.steps).map(({ ref }): RoomCommand => ({ type: 'go', to: ref })),
  fc.record({ type: fc.constantFrom('close' as const, 'reveal' as const, 'take-back' as const, 'nudge' as const), askingId }),
  fc.constantFrom(...items).map((item): RoomCommand => ({ type: 'ask', item: { ...item, id: `again-${item.id}` } })),
  fc.boolean().map((open): RoomCommand => ({ type: 'door', open })),
  fc
    .constantFrom('one-by-one' as const, 'class-list' as const, 'all' as const)
    .map((admits): RoomCommand => ({ type: 'door-admits', admits })),
  fc.record({ type: fc.constant('more-time' as const), askingId, minutes: fc.integer({ min: 1, max: 30 }) }),
  fc.record({ type: fc.constantFrom('show-me' as const, 'pulse' as const), on: fc.boolean() }),
);

test('whatever a teacher does can be sent, and the room that comes of it stored and told; what cannot be done changes nothing', () => {
  fc.assert(
    fc.property(fc.array(anyCommand, { maxLength: 25 }), (commands) => {
      let now: RoomState = newRoom(prepared);
      commands.forEach((one, index) => {
        expect(command({ id: ID, command: one })).toEqual([]);
        try {
          now = applyCommand(now, one, prepared, 1000 + index);
        } catch (error) {
          expect(error).toBeInstanceOf(CoreError); // one plain sentence, and the room is as it was
        }
        expect(room(now)).toEqual([]);
        expect(console_({ type: 'room', seq: index, nowMs: 1000, room: now })).toEqual([]);
      });
    }),
    { numRuns: 80 },
  );
});

test.each<[string, object]>([
  ['a command that there is not', { type: 'mark-all-right' }],
  ['a step without its beat', { type: 'go', to: { step: ONLY_STEP } }],
  ['a place by number', { type: 'go', to: 3 }],
  ['an hour more', { type: 'more-time', askingId: 'q1', minutes: 60 }],
  ['half a minute more', { type: 'more-time', askingId: 'q1', minutes: 0.5 }],
  ['a question without its time', { type: 'ask', item: { id: 'q9', kind: 'read-dial' } }],
  ['a door that is ajar', { type: 'door', open: 'a little' }],
  ['what happens by itself', { type: 'silence' }],
  ['more than is meant', { type: 'end', forAll: true }],
])('%s is refused', (_what, bad) => {
  expect(command({ id: ID, command: bad })).not.toEqual([]);
});

test.each(QUESTION_KIND_IDS)('what a desk is told of a question of the kind %s has no room for its answer', (id) => {
  const view = checkOf(KIND_SCHEMAS[id].view);
  for (const item of QUESTION_KINDS[id].samples as readonly Item[]) {
    const told = kindOf(item).viewOf(item, DEFAULT_SETTINGS);
    expect(view(told)).toEqual([]);
    for (const extra of [{ key: 'x' }, { timeSec: 27_000 }, { right: [0] }, { correct: true }, { misconceptions: [] }])
      if (Object.keys(extra).every((name) => !(name in told))) expect(view({ ...told, ...extra })).not.toEqual([]);
  }
});

test('a device that does not know a kind yet checks all else of what it is told; one that does checks that, too', () => {
  const view = (own: object) => ({
    type: 'view',
    view: {
      seq: 1,
      phase: 'running',
      participantId: ID,
      pupilName: 'Wren',
      className: 'Terns',
      lessonTitle: 'The school ferry',
      language: 'en-GB',
      shapes: ['time'],
      stage: null,
      calls: { showMe: false, pulse: null },
      own: null,
      question: { askingId: 'q1', view: own, phase: 'open', nudged: false, takeId: null, countdown: null, given: null, reveal: null },
    },
  });
  const known = kindOf(items[0]!).viewOf(items[0]!, DEFAULT_SETTINGS);
  const ofTomorrow = { kind: 'a-kind-of-tomorrow', shape: 'time', stem: 'What time is it?' };
  expect([desk(view(known)), shell(view(known))]).toEqual([[], []]);
  expect(shell(view(ofTomorrow))).toEqual([]);
  expect(desk(view(ofTomorrow))).not.toEqual([]);
  expect(shell(view({ ...ofTomorrow, shape: 'a-shape-of-tomorrow' }))).not.toEqual([]);
  const wrong = view(known);
  expect(shell({ ...wrong, view: { ...wrong.view, phase: 'asleep' } })).not.toEqual([]);
  expect(shell({ type: 'view' })).not.toEqual([]);
});
