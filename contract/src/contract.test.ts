import {
  BEAT_KINDS,
  KEY_PICTURES,
  QUESTION_KINDS,
  WORD_PACKS,
  type Item,
  type ItemView,
  type Lesson,
  type Response,
  type RoomState,
  type StageState,
} from '@zeitpunkt/core';
import type { Static, TSchema } from '@sinclair/typebox';
import { ItemViewSchema } from './desk.js';
import { BeatSchema, ItemSchema, type LessonSchema, LessonSettingsSchema, MovingBeatSchema } from './lesson-file.js';
import { ResponseSchema } from './responses.js';
import { type StageStateSchema } from './stage.js';
import { RoomKeySchema, type RoomStateSchema } from './teacher.js';

/** Data of the contract fits the core's type; a schema that drifts away does not compile. */
type Fits<Schema extends TSchema, T> = Static<Schema> extends T ? true : never;
const fits: [
  Fits<typeof LessonSchema, Lesson>,
  Fits<typeof ItemSchema, Item>,
  Fits<typeof ResponseSchema, Response>,
  Fits<typeof ItemViewSchema, ItemView>,
  Fits<typeof StageStateSchema, StageState>,
  Fits<typeof RoomStateSchema, RoomState>,
] = [true, true, true, true, true, true];

const kindsIn = (schema: { anyOf: { properties: { kind: { const: string } } }[] }) =>
  schema.anyOf.map((one) => one.properties.kind.const).sort();

test('each list of the core has its schemas: kinds of questions, beats, word packs and key pictures', () => {
  expect(fits).toHaveLength(6);
  const kinds = Object.keys(QUESTION_KINDS).sort();
  for (const schema of [ItemSchema, ResponseSchema, ItemViewSchema]) expect(kindsIn(schema as never)).toEqual(kinds);
  expect(kindsIn(BeatSchema as never)).toEqual([...Object.keys(BEAT_KINDS), 'worked-example'].sort());
  expect((LessonSettingsSchema.properties.pack as unknown as { enum: string[] }).enum).toEqual(Object.keys(WORD_PACKS));
  expect((RoomKeySchema.items as unknown as { enum: string[] }).enum).toEqual([...KEY_PICTURES]);
});

test('no beat that a pupil’s device plays by itself can carry a question', () => {
  for (const beat of MovingBeatSchema.anyOf) expect(Object.keys(beat.properties)).not.toContain('itemId');
});
