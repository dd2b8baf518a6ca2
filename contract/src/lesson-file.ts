import { PARTS } from './limits.js';
import { Type } from '@sinclair/typebox';
import { DayEventSchema, DialMarkSchema, LayersSchema, PoseSchema, SeparatorSchema, SomeLayersSchema } from './stage.js';
import { Exact, LongText, Nullable, OneOf, SecondOfDaySchema, WholeMinuteSchema, ShortText, TaggedUnion } from './shared.js';
import { ItemIdSchema } from './shapes/view-base.js';
import { MisconceptionIdSchema } from './misconceptions.js';
import { ItemSchema } from './question-kinds/registry.js';

/** Rungs of the ladder by id; see RUNGS in the core. */
export const RungIdSchema = OneOf([
  'whole-hours',
  'half-past',
  'quarter-past',
  'quarter-to',
  'five-past',
  'five-to',
  'any-minute',
  'hour-hand',
  'day-line',
  'hours-24',
  'durations',
  'seconds',
]);

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

const BandChoiceSchema = OneOf([
  'hour-line-quarters',
  'hour-line-fives',
  'hour-line-ones',
  'day-line',
  'strip-quarters',
  'circle-quarters',
]);

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
  bands: Type.Array(BandChoiceSchema, { maxItems: 2 }),
  events: Type.Array(DayEventSchema, { maxItems: 12 }),
  beside: Type.Array(Exact({ pose: PoseSchema, layers: LayersSchema, marks: Type.Array(DialMarkSchema, { maxItems: 60 }) }), {
    maxItems: 7,
  }),
  place: Type.Integer({ minimum: 0, maximum: 7 }),
});
const showBeat = { kind: Type.Literal('show'), build: DialBuildSchema, text: LongText };

/** A beat’s or a question’s id: it stays with it for good. */
export const BeatIdSchema = Type.String({ pattern: '^[a-z0-9-]{1,40}$' });

/** What every beat carries, whatever its kind. */
const base = {
  id: BeatIdSchema,
  note: Type.Optional(ShortText),
  plannedSec: Type.Optional(Type.Integer({ minimum: 1, maximum: 3600 })),
};

/** Beats that move by themselves: all that a pupil's device plays; every other stage comes to it as it stands. */
export const MovingBeatSchema = TaggedUnion('kind', [Exact(sweepBeat), Exact(markBeat)]);

const Yes = Type.Literal(true);

/** A pattern of times for daily cards; see CardPattern in the core. */
export const CardPatternSchema = Exact({
  firstSec: WholeMinuteSchema,
  stepsMin: Type.Array(Type.Integer({ minimum: -720, maximum: 720, not: { const: 0 } }), { minItems: 1, maxItems: 12 }),
});
const CardNumber = Type.Integer({ minimum: 1, maximum: 1000 });

/** A beat as a lesson keeps it: with its id. */
export const BeatSchema = TaggedUnion('kind', [
  Exact({ ...base, ...sayBeat }),
  Exact({ ...base, ...setBeat }),
  Exact({ ...base, ...showBeat }),
  Exact({ ...base, ...sweepBeat }),
  Exact({ ...base, ...markBeat }),
  Exact({
    ...base,
    kind: Type.Literal('layers'),
    layers: SomeLayersSchema,
    bands: Type.Optional(Type.Array(BandChoiceSchema, { maxItems: 2 })),
    lasts: Type.Boolean(),
    text: LongText,
  }),
  Exact({
    ...base,
    kind: Type.Literal('worked-example'),
    timeSec: WholeMinuteSchema,
    from: Type.Optional(OneOf(['display', 'words'])),
    edits: Type.Optional(
      Type.Array(Exact({ step: Type.String({ pattern: '^[a-z0-9-]{1,40}$' }), text: LongText, of: LongText }), { maxItems: 12 }),
    ),
  }),
  Exact({ ...base, kind: Type.Literal('mistake'), timeSec: WholeMinuteSchema, misconception: MisconceptionIdSchema, text: LongText }),
  Exact({ ...base, kind: Type.Literal('possible'), pose: PoseSchema, text: LongText }),
  Exact({ ...base, kind: Type.Literal('missing-hand'), timeSec: WholeMinuteSchema, shows: OneOf(['hour', 'minute']), text: LongText }),
  Exact({ ...base, kind: Type.Literal('ask'), itemId: ItemIdSchema, text: LongText, aloud: Type.Optional(Yes) }),
  Exact({
    ...base,
    kind: Type.Literal('think'),
    itemId: ItemIdSchema,
    seconds: Type.Integer({ minimum: 3, maximum: 300 }),
    text: LongText,
    stops: Type.Optional(Yes),
  }),
  Exact({ ...base, kind: Type.Literal('answer'), itemId: ItemIdSchema }),
  Exact({ ...base, kind: Type.Literal('chart'), rung: RungIdSchema, text: LongText }),
  Exact({
    ...base,
    kind: Type.Literal('task'),
    sheet: ShortText,
    text: LongText,
    withoutPrinter: LongText,
    seconds: Type.Integer({ minimum: 10, maximum: 1200 }),
  }),
  Exact({
    ...base,
    kind: Type.Literal('verse'),
    lines: Type.Array(Exact({ text: ShortText, timeSec: Nullable(WholeMinuteSchema) }), { minItems: 1, maxItems: 24 }),
  }),
  Exact({ ...base, kind: Type.Literal('daily-card'), pattern: CardPatternSchema, since: CardNumber, card: CardNumber, text: LongText }),
]);

/** A lesson file, format version 3. */
export const LessonSchema = Exact({
  format: Type.Literal('zeitpunkt-lesson'),
  formatVersion: Type.Literal(3),
  title: ShortText,
  goal: ShortText,
  successCriteria: Type.Array(ShortText, { maxItems: 8 }),
  rung: Type.Optional(RungIdSchema),
  targetMinutes: Type.Integer({ minimum: 1, maximum: 120 }),
  settings: LessonSettingsSchema,
  items: Type.Array(ItemSchema, { maxItems: PARTS.items.most }),
  beats: Type.Array(BeatSchema, { minItems: 1, maxItems: PARTS.beats.most }),
});
