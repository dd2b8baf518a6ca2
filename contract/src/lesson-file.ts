import { Type } from '@sinclair/typebox';
import { DayEventSchema, DialMarkSchema, LayersSchema, PoseSchema, SeparatorSchema, SomeLayersSchema } from './stage.js';
import { Exact, LongText, OneOf, SecondOfDaySchema, WholeMinuteSchema, ShortText, TaggedUnion } from './shared.js';
import { ItemIdSchema } from './question-kinds/kind-schemas.js';
import { ItemSchema } from './question-kinds/registry.js';

const PackSchema = OneOf(['en-GB', 'en-US', 'de']);

export const LessonSettingsSchema = Exact({
  readingOrder: OneOf(['hour-first', 'minute-first']),
  betweenRule: OneOf(['passed', 'step-back', 'zone']),
  pack: PackSchema,
  separator: SeparatorSchema,
  strictness: OneOf(['right-side', 'proportion', 'exact']),
  wordsPerMinute: Type.Integer({ minimum: 60, maximum: 240 }),
});

const sayBeat = { kind: Type.Literal('say'), text: LongText };
const setBeat = {
  kind: Type.Literal('set'),
  timeSec: WholeMinuteSchema,
  display: OneOf(['full', 'empty', 'none']),
  words: Type.Boolean(),
  layers: Type.Optional(SomeLayersSchema),
  text: LongText,
};
const sweepBeat = {
  kind: Type.Literal('sweep'),
  fromSec: WholeMinuteSchema,
  toSec: WholeMinuteSchema,
  turnSeconds: Type.Number({ minimum: 5, maximum: 120 }),
  count: OneOf(['none', 'ones', 'fives', 'quarters']),
  stops: Type.Array(Exact({ atSec: WholeMinuteSchema, prompt: ShortText }), { maxItems: 24 }),
  text: LongText,
};
const markBeat = {
  kind: Type.Literal('mark'),
  marks: Type.Array(DialMarkSchema, { maxItems: 40 }),
  text: LongText,
  board: Type.Optional(ShortText),
  write: Type.Optional(
    Exact({
      hour: Type.Optional(Type.String({ maxLength: 2 })),
      minute: Type.Optional(Type.String({ maxLength: 2 })),
      words: Type.Optional(Type.Array(ShortText, { maxItems: 6 })),
    }),
  ),
};

/** A demonstration built on the dial, format version 2; see DialBuild in the core. */
export const DialBuildSchema = Exact({
  formatVersion: Type.Literal(2),
  hands: OneOf(['geared', 'free']),
  timeSec: SecondOfDaySchema,
  freePose: PoseSchema,
  layers: LayersSchema,
  marks: Type.Array(DialMarkSchema, { maxItems: 60 }),
  display: OneOf(['none', '12h', '24h']),
  separator: SeparatorSchema,
  covered: Type.Array(Type.Integer({ minimum: 0, maximum: 3 }), { maxItems: 4 }),
  tied: Type.Boolean(),
  words: OneOf(['none', 'best', 'all']),
  pack: PackSchema,
  bands: Type.Array(OneOf(['hour-line-quarters', 'hour-line-fives', 'hour-line-ones', 'day-line', 'strip-quarters', 'circle-quarters']), {
    maxItems: 2,
  }),
  events: Type.Array(DayEventSchema, { maxItems: 12 }),
  beside: Type.Array(Exact({ pose: PoseSchema, layers: LayersSchema, marks: Type.Array(DialMarkSchema, { maxItems: 60 }) }), {
    maxItems: 7,
  }),
  place: Type.Integer({ minimum: 0, maximum: 7 }),
});
const showBeat = { kind: Type.Literal('show'), build: DialBuildSchema, text: LongText };

/** A beat’s or a question’s id: it stays with it for good. */
export const BeatIdSchema = Type.String({ pattern: '^[a-z0-9-]{1,40}$' });
const id = BeatIdSchema;

/** Beats that move by themselves: all that a pupil's device plays; every other stage comes to it as it stands. */
export const MovingBeatSchema = TaggedUnion('kind', [Exact(sweepBeat), Exact(markBeat)]);

/** A beat as a lesson keeps it: with its id. */
export const BeatSchema = TaggedUnion('kind', [
  Exact({ id, ...sayBeat }),
  Exact({ id, ...setBeat }),
  Exact({ id, ...showBeat }),
  Exact({ id, ...sweepBeat }),
  Exact({ id, ...markBeat }),
  Exact({ id, kind: Type.Literal('worked-example'), timeSec: WholeMinuteSchema }),
  Exact({ id, kind: Type.Literal('ask'), itemId: ItemIdSchema, text: LongText }),
  Exact({ id, kind: Type.Literal('think'), itemId: ItemIdSchema, seconds: Type.Integer({ minimum: 3, maximum: 300 }), text: LongText }),
  Exact({ id, kind: Type.Literal('answer'), itemId: ItemIdSchema }),
]);

/** A lesson file, format version 2. */
export const LessonSchema = Exact({
  format: Type.Literal('zeitpunkt-lesson'),
  formatVersion: Type.Literal(3),
  title: ShortText,
  goal: ShortText,
  successCriteria: Type.Array(ShortText, { maxItems: 8 }),
  targetMinutes: Type.Integer({ minimum: 1, maximum: 120 }),
  settings: LessonSettingsSchema,
  items: Type.Array(ItemSchema, { maxItems: 100 }),
  beats: Type.Array(BeatSchema, { minItems: 1, maxItems: 300 }),
});
