import { Type } from '@sinclair/typebox';
import { Degrees, Exact, LongText, Nullable, OneOf, SecondOfDaySchema, TaggedUnion } from './shared.js';

export const PoseSchema = Exact({ hourDeg: Degrees, minuteDeg: Degrees });

const layerMembers = {
  numerals: OneOf(['all', 'quarters', 'none']),
  ticks: Type.Boolean(),
  minuteRing: OneOf(['full', 'quarters', 'none']),
  numeralGaps: Type.Array(Type.Integer({ minimum: 1, maximum: 12 }), { maxItems: 12 }),
  ringTop: OneOf(['00', '60', 'oclock', 'none']),
  ring24: Type.Boolean(),
  hourZones: Type.Boolean(),
  halves: Type.Boolean(),
  quarters: Type.Boolean(),
  shaded: Type.Boolean(),
  hourHand: Type.Boolean(),
  minuteHand: Type.Boolean(),
  secondHand: Type.Boolean(),
  handInk: OneOf(['own', 'red-blue', 'blue-red', 'alike']),
  peek: Type.Boolean(),
};
export const LayersSchema = Exact(layerMembers);
export const SomeLayersSchema = Type.Partial(LayersSchema, { additionalProperties: false });

const CountBy = Type.Union([Type.Literal(1), Type.Literal(5), Type.Literal(15)]);

const LetterSchema = Exact({
  type: Type.Literal('letter'),
  letter: Type.String({ pattern: '^[A-L]$' }),
  deg: Degrees,
  radius: Type.Number({ minimum: 0, maximum: 120 }),
});

export const DialMarkSchema = TaggedUnion('type', [
  Exact({ type: Type.Literal('hand'), hand: OneOf(['hour', 'minute']) }),
  Exact({ type: Type.Literal('numeral'), numeral: Type.Integer({ minimum: 1, maximum: 12 }) }),
  Exact({ type: Type.Literal('ray'), deg: Degrees }),
  Exact({
    type: Type.Literal('count'),
    toMinute: Type.Number({ minimum: 0, maximum: 60 }),
    by: CountBy,
  }),
  Exact({
    type: Type.Literal('arc'),
    fromMinute: Type.Number({ minimum: 0, maximum: 60 }),
    toMinute: Type.Number({ minimum: 0, maximum: 60 }),
    by: CountBy,
  }),
  LetterSchema,
  Exact({
    type: Type.Literal('ink'),
    id: Type.String({ pattern: '^[a-z0-9-]{1,40}$' }),
    d: Type.String({ pattern: '^[MLQZ0-9 .-]*$', maxLength: 20_000 }),
  }),
]);

const DialSchema = Exact({
  pose: PoseSchema,
  secondDeg: Degrees,
  trailDeg: Type.Number({ minimum: -360, maximum: 360 }),
  layers: LayersSchema,
  marks: Type.Array(DialMarkSchema, { maxItems: 60 }),
  isKey: Type.Boolean(),
});

export const DayEventSchema = Exact({ atSec: SecondOfDaySchema, text: Type.String({ minLength: 1, maxLength: 40 }) });

const fraction = {
  parts: Type.Union([Type.Literal(2), Type.Literal(4), Type.Literal(12)]),
  filled: Type.Number({ minimum: 0, maximum: 12 }),
};
const HourLineSchema = Exact({
  type: Type.Literal('hour-line'),
  hour: Type.Integer({ minimum: 1, maximum: 12 }),
  by: CountBy,
  at: Nullable(Type.Number({ minimum: 0, maximum: 60 })),
  jumps: Type.Array(Exact({ from: Type.Number({ minimum: 0, maximum: 60 }), to: Type.Number({ minimum: 0, maximum: 60 }) }), {
    maxItems: 12,
  }),
});
const DayLineSchema = Exact({
  type: Type.Literal('day-line'),
  atSec: Nullable(SecondOfDaySchema),
  events: Type.Array(DayEventSchema, { maxItems: 12 }),
  separator: Type.Optional(OneOf([':', '.'])),
  tongue: Type.Optional(OneOf(['en', 'de'])),
});
/** A line that a marker can be put on. */
export const BandLineSchema = TaggedUnion('type', [HourLineSchema, DayLineSchema]);
const BandSchema = TaggedUnion('type', [
  HourLineSchema,
  DayLineSchema,
  Exact({ type: Type.Literal('fraction-strip'), ...fraction }),
  Exact({ type: Type.Literal('fraction-circle'), ...fraction }),
]);

export const SeparatorSchema = OneOf([':', '.']);

const DisplaySchema = Exact({
  hour: Nullable(Type.String()),
  minute: Nullable(Type.String()),
  separator: SeparatorSchema,
  of24: Type.Boolean(),
  covered: Type.Array(Type.Integer({ minimum: 0, maximum: 3 }), { maxItems: 4 }),
  plain: Type.Boolean(),
});

/** What a question shows beside its stem; see Picture in the core. */
export const PictureSchema = Exact({
  dial: Nullable(
    Exact({
      hourDeg: Degrees,
      minuteDeg: Degrees,
      secondDeg: Type.Optional(Degrees),
      layers: LayersSchema,
      letters: Type.Array(LetterSchema, { maxItems: 12 }),
    }),
  ),
  display: Nullable(DisplaySchema),
  lines: Type.Array(LongText, { maxItems: 8 }),
  band: Nullable(BandSchema),
});

/** All that a stage shows at one moment; see StageState in the core. */
export const StageStateSchema = Exact({
  dial: Nullable(DialSchema),
  dials: Type.Array(DialSchema, { maxItems: 7 }),
  dialPlace: Type.Integer({ minimum: 0, maximum: 7 }),
  bands: Type.Array(BandSchema, { maxItems: 2 }),
  display: Nullable(DisplaySchema),
  words: Type.Array(LongText),
  board: Type.Array(LongText),
  stem: Nullable(LongText),
  chart: Nullable(
    Exact({
      title: LongText,
      entries: Type.Array(Exact({ pose: PoseSchema, display: Type.String(), words: LongText }), { maxItems: 24 }),
      lines: Type.Array(LongText, { maxItems: 12 }),
    }),
  ),
  countdown: Nullable(Exact({ totalMs: Type.Number(), leftMs: Type.Number() })),
});
