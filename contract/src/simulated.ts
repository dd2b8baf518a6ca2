import type { MisconceptionId } from '@zeitpunkt/core/misconceptions/registry';
import { PARTS } from './limits.js';
import { Type } from '@sinclair/typebox';
import { RungIdSchema } from './lesson-file.js';
import { type Data, Exact, Nullable, Uuid } from './shared.js';

/** Opens a room for a class of simulated pupils. */
export const RehearsalStart = Exact({ id: Uuid, lessonId: Uuid });
export type RehearsalStart = Data<typeof RehearsalStart>;

/** The largest simulated class. */
export const MOST_SIMULATED = PARTS.simulated.most;

/** How a class of simulated pupils is. The same numbers make the same class. */
export const SimulatedWish = Exact({
  count: Type.Integer({ minimum: 1, maximum: MOST_SIMULATED }),
  /** As far as they have come on the ladder; null: where the lesson stands. What lies beyond they often have to guess. */
  rung: Nullable(RungIdSchema),
  /** Wrong ideas that some of them hold; null: those that are usual where the lesson stands. */
  ideas: Nullable(Type.Array(Type.Unsafe<MisconceptionId>(Type.String({ maxLength: 60 })), { maxItems: 10 })),
  /** How much longer than usual they take for an answer: a half, twice. */
  slowness: Type.Number({ minimum: 0.05, maximum: 4 }),
  /** Chance of a careless slip, 0 to 1. */
  carelessness: Type.Number({ minimum: 0, maximum: 1 }),
  /** Chance that a pupil's line drops at a question, 0 to 1. */
  dropOuts: Type.Number({ minimum: 0, maximum: 1 }),
  seed: Type.Integer({ minimum: 0, maximum: 2 ** 31 }),
});
export type SimulatedWish = Data<typeof SimulatedWish>;
