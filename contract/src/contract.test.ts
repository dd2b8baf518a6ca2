import { BEAT_KINDS, EXPANDING_KINDS } from '@zeitpunkt/core/beats/registry';
import { RUNGS } from '@zeitpunkt/core/ladder/registry';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import type { RoomCommand, RoomState } from '@zeitpunkt/core/live/room';
import { markOf } from '@zeitpunkt/core/question-kinds/marking';
import type { Mark } from '@zeitpunkt/core/question-kinds/question-kind';
import { kindOf, QUESTION_KIND_IDS, QUESTION_KINDS, type Item } from '@zeitpunkt/core/question-kinds/registry';
import { seededRng } from '@zeitpunkt/core/random/rng';
import type { StageState } from '@zeitpunkt/core/scene/stage-state';
import { NEW_ASIDE, stageAside } from '@zeitpunkt/core/stage/aside';
import {
  BAND_CHOICES,
  freeHands,
  letGoIntoGear,
  NEW_BUILD,
  setAside,
  setTime,
  stageOfBuild,
  switchBand,
  takeAway,
  takeUp,
  turnHand,
  type BandChoice,
  type DialBuild,
} from '@zeitpunkt/core/stage/dial-build';
import { toSecondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { WORD_PACKS } from '@zeitpunkt/core/words/registry';
import { KEY_PICTURES } from '@zeitpunkt/core/live/room-key';
import type { TSchema } from '@sinclair/typebox';
import { Ajv } from 'ajv';
import fc from 'fast-check';
import { BeatSchema, DialBuildSchema, LessonSchema, LessonSettingsSchema, MovingBeatSchema } from './lesson-file.js';
import { KIND_SCHEMAS } from './question-kinds/registry.js';
import { MarkSchema } from './responses.js';
import type { Data } from './shared.js';
import { StageStateSchema } from './stage.js';
import { type CommandPost, RoomKeySchema, type RoomStateSchema } from './teacher.js';

/** Data of the contract fits the core's type; a schema that drifts away does not compile. Kinds check themselves. */
type Fits<Schema extends TSchema, T> = Data<Schema> extends T ? true : never;
const fits: [
  Fits<typeof LessonSchema, Lesson>,
  Fits<typeof StageStateSchema, StageState>,
  Fits<typeof RoomStateSchema, RoomState>,
  Fits<typeof MarkSchema, Mark>,
  Fits<typeof CommandPost.properties.command, RoomCommand>,
] = [true, true, true, true, true];

const ajv = new Ajv({ allErrors: true, discriminator: true });
/** What is wrong in some data after a way through JSON; nothing where it fits. */
const wrongIn = (schema: TSchema, data: unknown) => {
  const check = ajv.compile(schema as object);
  return check(JSON.parse(JSON.stringify(data))) ? [] : check.errors;
};
const tagsIn = (schema: TSchema) =>
  (schema as unknown as { oneOf: { properties: { kind: { const: string } } }[] }).oneOf.map((one) => one.properties.kind.const).sort();

test('each list of the core has its schemas: kinds of questions, beats, word packs and key pictures', () => {
  expect(fits).toHaveLength(5);
  expect(Object.keys(KIND_SCHEMAS).sort()).toEqual([...QUESTION_KIND_IDS].sort());
  for (const [id, schemas] of Object.entries(KIND_SCHEMAS)) {
    for (const schema of Object.values(schemas)) expect(schema.properties.kind.const).toBe(id);
  }
  expect(tagsIn(BeatSchema)).toEqual([...new Set([...Object.keys(BEAT_KINDS), ...Object.keys(EXPANDING_KINDS)])].sort());
  expect((LessonSettingsSchema.properties.pack as unknown as { enum: string[] }).enum).toEqual(Object.keys(WORD_PACKS));
  expect((RoomKeySchema.items as unknown as { enum: string[] }).enum).toEqual([...KEY_PICTURES]);
});

test.each(QUESTION_KIND_IDS)('whatever a question of the kind %s makes fits its schemas', (id) => {
  const made = [1, 2, 3, 4, 5, 6].map((seed) => QUESTION_KINDS[id].make('made', seededRng(seed), RUNGS['five-to'], DEFAULT_SETTINGS));
  for (const item of [...QUESTION_KINDS[id].samples, ...made] as Item[]) {
    const kind = kindOf(item);
    const { item: itemSchema, response, view } = KIND_SCHEMAS[id];
    expect(wrongIn(itemSchema, item)).toEqual([]);
    expect(wrongIn(view, kind.viewOf(item, DEFAULT_SETTINGS))).toEqual([]);
    for (const given of [kind.keyOf(item, DEFAULT_SETTINGS), kind.slip(item, seededRng(7), DEFAULT_SETTINGS)]) {
      expect(wrongIn(response, given)).toEqual([]);
      expect(wrongIn(MarkSchema, markOf(item, given, DEFAULT_SETTINGS))).toEqual([]);
    }
    for (const stage of [kind.asked(item, DEFAULT_SETTINGS), kind.answered(item, DEFAULT_SETTINGS)])
      expect(wrongIn(StageStateSchema, stage)).toEqual([]);
  }
});

test('what is wrong in one of many kinds is named in the kind that is meant', () => {
  const items = { type: 'array', items: LessonSchema.properties.items.items } as unknown as TSchema;
  expect(wrongIn(items, [{ kind: 'set-dial', id: 'q1', timeSec: -60, from: 'display', hands: 'free' }])).toEqual([
    expect.objectContaining({ instancePath: '/0/timeSec', keyword: 'minimum' }),
  ]);
  expect(wrongIn(items, [{ kind: 'no-such-kind', id: 'q1' }])).toEqual([expect.objectContaining({ keyword: 'discriminator' })]);
});

test('no beat that a pupil’s device plays by itself can carry a question', () => {
  for (const beat of (MovingBeatSchema as unknown as { oneOf: { properties: object }[] }).oneOf)
    expect(Object.keys(beat.properties)).not.toContain('itemId');
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
  fc.assert(
    fc.property(fc.array(act, { maxLength: 25 }), second, (acts, timeSec) => {
      const build = acts.reduce<DialBuild>((before, change) => change(before), NEW_BUILD);
      const stage = stageOfBuild(build);
      expect(wrongIn(DialBuildSchema, build)).toEqual([]);
      expect(wrongIn(StageStateSchema, stage)).toEqual([]);
      expect(wrongIn(StageStateSchema, stageAside(stage, { ...NEW_ASIDE, timeSec }, { settings: DEFAULT_SETTINGS }))).toEqual([]);
    }),
    { numRuns: 300 },
  );
});
