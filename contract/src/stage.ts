import { Type } from '@sinclair/typebox';
import { Degrees, Exact, LongText, Nullable, OneOf } from './shared.js';

export const PoseSchema = Exact({ hourDeg: Degrees, minuteDeg: Degrees });

const layerMembers = {
  numerals: OneOf(['all', 'quarters', 'none']),
  ticks: Type.Boolean(),
  minuteRing: OneOf(['full', 'quarters', 'none']),
  ringTop: OneOf(['00', '60', 'none']),
  hourZones: Type.Boolean(),
  halves: Type.Boolean(),
  quarters: Type.Boolean(),
  shaded: Type.Boolean(),
  hourHand: Type.Boolean(),
  minuteHand: Type.Boolean(),
  handsAlike: Type.Boolean(),
};
export const LayersSchema = Exact(layerMembers);
export const SomeLayersSchema = Type.Partial(LayersSchema, { additionalProperties: false });

export const DialMarkSchema = Type.Union([
  Exact({ type: Type.Literal('hand'), hand: OneOf(['hour', 'minute']) }),
  Exact({ type: Type.Literal('numeral'), numeral: Type.Integer({ minimum: 1, maximum: 12 }) }),
  Exact({ type: Type.Literal('ray'), deg: Degrees }),
  Exact({
    type: Type.Literal('count'),
    toMinute: Type.Number({ minimum: 0, maximum: 60 }),
    by: Type.Union([Type.Literal(1), Type.Literal(5), Type.Literal(15)]),
  }),
]);

export const SeparatorSchema = OneOf([':', '.']);

/** All that a stage shows at one moment; see StageState in the core. */
export const StageStateSchema = Exact({
  dial: Nullable(Exact({ pose: PoseSchema, layers: LayersSchema, marks: Type.Array(DialMarkSchema, { maxItems: 40 }) })),
  display: Nullable(Exact({ hour: Nullable(Type.String()), minute: Nullable(Type.String()), separator: SeparatorSchema })),
  words: Type.Array(LongText),
  board: Type.Array(LongText),
  stem: Nullable(LongText),
  countdown: Nullable(Exact({ totalMs: Type.Number(), leftMs: Type.Number() })),
});
