import { Type } from '@sinclair/typebox';
import { CardPatternSchema, RungIdSchema } from './lesson-file.js';
import { DayEventSchema } from './stage.js';
import { type Data, Exact, Nullable, Uuid, WholeMinuteSchema } from './shared.js';

/** A day of the calendar; whether there is such a day is checked beyond the schema. */
export const IsoDateSchema = Type.String({ pattern: '^\\d{4}-(0[1-9]|1[0-2])-(0[1-9]|[12]\\d|3[01])$' });
const DatesSchema = Type.Array(IsoDateSchema, { maxItems: 400, uniqueItems: true });
const WeekdaysSchema = Type.Array(Type.Unsafe<1 | 2 | 3 | 4 | 5 | 6 | 7>(Type.Integer({ minimum: 1, maximum: 7 })), {
  minItems: 1,
  maxItems: 7,
  uniqueItems: true,
});

/** What is planned for a class; see ClassPlan in the core. */
export const ClassPlanSchema = Exact({
  schoolDays: WeekdaysSchema,
  daysOff: DatesSchema,
  series: Nullable(
    Exact({
      startsOn: IsoDateSchema,
      weekdays: WeekdaysSchema,
      lessonIds: Type.Array(Uuid, { minItems: 1, maxItems: 100, uniqueItems: true }),
      skipped: DatesSchema,
    }),
  ),
  beside: Type.Array(Exact({ lessonId: Uuid, date: IsoDateSchema }), { maxItems: 200 }),
  times: Type.Array(
    Exact({
      weekday: Type.Unsafe<1 | 2 | 3 | 4 | 5 | 6 | 7>(Type.Integer({ minimum: 1, maximum: 7 })),
      atSec: WholeMinuteSchema,
    }),
    { maxItems: 7 },
  ),
  cards: Nullable(Exact({ pattern: CardPatternSchema, startsOn: IsoDateSchema, shown: Type.Integer({ minimum: 0, maximum: 2000 }) })),
  daily: Type.Array(DayEventSchema, { maxItems: 12 }),
});

/** The plan of a class with the revision it is saved in, or that a change was made to; 0 where nothing was planned yet. */
export const PlanDetail = Exact({ revision: Type.Integer({ minimum: 0 }), plan: ClassPlanSchema });
export type PlanDetail = Data<typeof PlanDetail>;
export const PlanSaved = Exact({ revision: Type.Integer({ minimum: 1 }) });
export type PlanSaved = Data<typeof PlanSaved>;

/** What is taught before and after a lesson. */
export const BetweenSchema = Exact({ before: Nullable(RungIdSchema), after: Nullable(RungIdSchema) });

/** Whole days that a calendar file names, within the time that is planned; nothing is changed by looking. */
export const DaysFound = Exact({
  days: Type.Array(Exact({ date: IsoDateSchema, name: Type.String() })),
  left: Type.Array(Exact({ name: Type.String(), why: Type.String() })),
});
export type DaysFound = Data<typeof DaysFound>;
