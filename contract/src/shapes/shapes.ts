import { Type, type TProperties } from '@sinclair/typebox';
import type { ShapeId } from '@zeitpunkt/core/question-kinds/shapes/shape';
import { Degrees, Exact, Nullable, OneOf, SecondOfDaySchema, ShortText } from '../shared.js';
import { BandLineSchema, LayersSchema, SeparatorSchema } from '../stage.js';
import { viewBase } from './view-base.js';

/** What a shape of answers has: in a response, and in what a device is told to take one. */
export interface ShapeSchemas {
  readonly answer: TProperties;
  readonly view: TProperties;
}

const Digits = Type.String({ pattern: '^[0-9]{0,2}$' });
const Typed = Exact({ hour: Digits, minute: Digits });

const MOST_CHOICES = 8;
export const DialChoiceSchema = Exact({ hourDeg: Degrees, minuteDeg: Degrees, numerals: OneOf(['all', 'quarters', 'none']) });
export const ChoiceSchema = Type.Union([DialChoiceSchema, Exact({ text: ShortText })]);
const Place = Type.Integer({ minimum: 0, maximum: MOST_CHOICES - 1 });
const Cards = Type.Array(ChoiceSchema, { minItems: 1, maxItems: MOST_CHOICES });

/** Each way of answering; one that is missing does not compile. */
export const SHAPE_SCHEMAS = {
  time: {
    answer: { hour: Digits, minute: Digits },
    view: { shape: Type.Literal('time'), separator: SeparatorSchema, asks: OneOf(['time', 'length']) },
  },
  pose: {
    answer: { hourDeg: Degrees, minuteDeg: Degrees },
    view: { shape: Type.Literal('pose'), hands: OneOf(['geared', 'free']), startSec: SecondOfDaySchema, layers: LayersSchema },
  },
  choices: {
    answer: { chosen: Type.Array(Place, { maxItems: MOST_CHOICES, uniqueItems: true }) },
    view: {
      shape: Type.Literal('choices'),
      choices: Type.Array(ChoiceSchema, { minItems: 2, maxItems: MOST_CHOICES }),
      several: Type.Boolean(),
      layers: LayersSchema,
    },
  },
  numbers: {
    answer: { values: Type.Array(Type.String({ pattern: '^[0-9]{0,3}$' }), { minItems: 1, maxItems: 6 }) },
    view: {
      shape: Type.Literal('numbers'),
      labels: Type.Array(Type.String({ maxLength: 8 }), { minItems: 1, maxItems: 6 }),
      unit: Type.String({ maxLength: 30 }),
    },
  },
  times: {
    answer: { times: Type.Array(Typed, { minItems: 1, maxItems: 4 }) },
    view: {
      shape: Type.Literal('times'),
      row: Type.Array(Nullable(Type.String({ maxLength: 8 })), { minItems: 3, maxItems: 6 }),
      separator: SeparatorSchema,
    },
  },
  words: {
    answer: { lines: Type.Array(Type.String({ maxLength: 120 }), { minItems: 1, maxItems: 3 }) },
    view: { shape: Type.Literal('words'), lines: Type.Integer({ minimum: 1, maximum: 3 }), tiles: Type.Array(ShortText, { maxItems: 60 }) },
  },
  pairs: {
    answer: { pairs: Type.Array(Nullable(Place), { minItems: 1, maxItems: MOST_CHOICES }) },
    view: { shape: Type.Literal('pairs'), cards: Cards, partners: Cards, layers: LayersSchema },
  },
  order: {
    answer: { order: Type.Array(Place, { maxItems: MOST_CHOICES, uniqueItems: true }) },
    view: { shape: Type.Literal('order'), cards: Cards, layers: LayersSchema },
  },
  line: {
    answer: { atSec: Type.Integer({ minimum: 0, maximum: 86_400 }) },
    view: {
      shape: Type.Literal('line'),
      line: BandLineSchema,
      fromSec: Type.Integer({ minimum: 0, maximum: 86_400 }),
      toSec: Type.Integer({ minimum: 0, maximum: 86_400 }),
      stepSec: Type.Integer({ minimum: 60, maximum: 3600 }),
    },
  },
} as const satisfies Record<ShapeId, ShapeSchemas>;

export const SHAPE_IDS = Object.keys(SHAPE_SCHEMAS) as ShapeId[];

/** What a device must be told of a question of some kind, to take an answer of one shape. */
export const shapeView = (shape: ShapeId) => Exact({ kind: Type.String(), ...viewBase, ...(SHAPE_SCHEMAS[shape] as ShapeSchemas).view });
