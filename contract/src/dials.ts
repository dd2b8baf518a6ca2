import { Type, type Static } from '@sinclair/typebox';
import { DialBuildSchema } from './lesson-file.js';
import { Exact, Nullable, Uuid } from './shared.js';
import { StageStateSchema } from './stage.js';

const DialName = Type.String({ minLength: 1, maxLength: 80 });

/** A stage as one window hands it to another. */
export const ShownStage = StageStateSchema;
export type ShownStage = Static<typeof ShownStage>;

/** A dial as it is saved; the id is made by whoever creates it, so that saving twice saves once. */
export const DialSave = Exact({ id: Uuid, name: DialName, build: DialBuildSchema });
export type DialSave = Static<typeof DialSave>;

/** A saved dial. One that this version cannot read is listed with the reason instead of its build. */
export const SavedDial = Exact({ id: Uuid, name: DialName, build: Nullable(DialBuildSchema), problem: Nullable(Type.String()) });
export type SavedDial = Static<typeof SavedDial>;
export const SavedDialList = Type.Array(SavedDial);

/** Every saved dial's id in the order wanted. */
export const DialOrder = Exact({ ids: Type.Array(Uuid, { maxItems: 2000 }) });
export type DialOrder = Static<typeof DialOrder>;

/** Keeps a demonstration as the last beat of a lesson; `version` is the one that it is added to. */
export const BeatKeep = Exact({ version: Type.Integer({ minimum: 1 }), build: DialBuildSchema, text: Type.String({ maxLength: 2000 }) });
export type BeatKeep = Static<typeof BeatKeep>;
export const BeatKept = Exact({ version: Type.Integer({ minimum: 1 }), beatCount: Type.Integer({ minimum: 1 }) });
export type BeatKept = Static<typeof BeatKept>;
