import {
  BAND_CHOICES,
  BEAT_KINDS,
  freeHands,
  KEY_PICTURES,
  letGoIntoGear,
  NEW_ASIDE,
  NEW_BUILD,
  QUESTION_KINDS,
  setAside,
  setTime,
  stageAside,
  stageOfBuild,
  switchBand,
  takeAway,
  takeUp,
  toSecondOfDay,
  turnHand,
  WORD_PACKS,
  DEFAULT_SETTINGS,
  type BandChoice,
  type DialBuild,
  type Item,
  type ItemView,
  type Lesson,
  type Response,
  type RoomState,
  type StageState,
} from '@zeitpunkt/core';
import type { Static, TSchema } from '@sinclair/typebox';
import { Ajv } from 'ajv';
import fc from 'fast-check';
import { ItemViewSchema } from './desk.js';
import { BeatSchema, DialBuildSchema, ItemSchema, type LessonSchema, LessonSettingsSchema, MovingBeatSchema } from './lesson-file.js';
import { ResponseSchema } from './responses.js';
import { StageStateSchema } from './stage.js';
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

test('whatever is built on a dial can be saved, shown to pupils, and changed beside the script', () => {
  const second = fc.nat(86_399).map(toSecondOfDay);
  const words = fc.constantFrom<DialBuild['words']>('none', 'best', 'all');
  const hand = fc.constantFrom('hour' as const, 'minute' as const);
  const act = fc.oneof(
    second.map((at) => setTime(at)),
    fc.tuple(hand, fc.double({ min: -2000, max: 2000, noNaN: true })).map(([one, byDeg]) => turnHand(one, byDeg)),
    fc.constantFrom(freeHands, letGoIntoGear, setAside, takeAway),
    fc.nat(8).map((place) => takeUp(place)),
    fc.constantFrom(...(Object.keys(BAND_CHOICES) as BandChoice[])).map((choice) => switchBand(choice)),
    fc.tuple(words, fc.constantFrom(...Object.keys(WORD_PACKS))).map(
      ([lines, pack]) =>
        (build: DialBuild) =>
          ({ ...build, words: lines, pack }) as DialBuild,
    ),
    fc.constantFrom<DialBuild['display']>('none', '12h', '24h').map((display) => (build: DialBuild) => ({ ...build, display })),
  );
  const ajv = new Ajv({ allErrors: true });
  const [fitsBuild, fitsStage] = [ajv.compile(DialBuildSchema as object), ajv.compile(StageStateSchema as object)];
  const wrongIn = (fitsIn: typeof fitsBuild, data: unknown) => (fitsIn(JSON.parse(JSON.stringify(data))) ? [] : fitsIn.errors);
  fc.assert(
    fc.property(fc.array(act, { maxLength: 25 }), second, (acts, timeSec) => {
      const build = acts.reduce<DialBuild>((before, change) => change(before), NEW_BUILD);
      const stage = stageOfBuild(build);
      expect(wrongIn(fitsBuild, build)).toEqual([]);
      expect(wrongIn(fitsStage, stage)).toEqual([]);
      expect(wrongIn(fitsStage, stageAside(stage, { ...NEW_ASIDE, timeSec }, DEFAULT_SETTINGS))).toEqual([]);
    }),
    { numRuns: 300 },
  );
});
