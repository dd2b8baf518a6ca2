import { Type } from '@sinclair/typebox';
import { BeatIdSchema, DialBuildSchema } from './lesson-file.js';
import { type Data, Exact, LongText, Nullable, Uuid } from './shared.js';
import { StageStateSchema } from './stage.js';

const DialName = Type.String({ minLength: 1, maxLength: 80 });

/** A stage as one window hands it to another. */
export const ShownStage = StageStateSchema;
export type ShownStage = Data<typeof ShownStage>;

/** A dial as it is saved; the id is made by whoever creates it, so that saving twice saves once. */
export const DialSave = Exact({
  id: Uuid,
  name: DialName,
  build: DialBuildSchema,
  /** The version that was changed; 0 for a dial that is new. */
  version: Type.Integer({ minimum: 0 }),
});
export type DialSave = Data<typeof DialSave>;

/** A saved dial. One that this version cannot read is listed with the reason instead of its build. */
export const SavedDial = Exact({
  id: Uuid,
  name: DialName,
  version: Type.Integer({ minimum: 1 }),
  build: Nullable(DialBuildSchema),
  problem: Nullable(Type.String()),
});
export type SavedDial = Data<typeof SavedDial>;
export const SavedDialList = Type.Array(SavedDial);

/** What a dial file holds. */
export const DialRead = Exact({ name: DialName, build: DialBuildSchema });
export type DialRead = Data<typeof DialRead>;

export const DialSaved = Exact({ version: Type.Integer({ minimum: 1 }) });
export type DialSaved = Data<typeof DialSaved>;

/** Every saved dial's id in the order wanted. */
export const DialOrder = Exact({ ids: Type.Array(Uuid, { maxItems: 2000 }) });
export type DialOrder = Data<typeof DialOrder>;

/** Keeps a demonstration as the last beat of a lesson; the beat's id is made by whoever keeps it, so that it is kept once. */
export const BeatKeep = Exact({ beatId: BeatIdSchema, build: DialBuildSchema, text: LongText });
export type BeatKeep = Data<typeof BeatKeep>;
/** A note to self at a beat of a lesson; empty takes it away. */
export const NoteKeep = Exact({ beatId: BeatIdSchema, note: Type.String({ maxLength: 200 }) });
export type NoteKeep = Data<typeof NoteKeep>;
export const BeatKept = Exact({ revision: Type.Integer({ minimum: 1 }), beatCount: Type.Integer({ minimum: 1 }) });
export type BeatKept = Data<typeof BeatKept>;
