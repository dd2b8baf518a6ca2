import { RUNG_IDS, RUNGS, type RungId } from '@zeitpunkt/core/ladder/registry';

/** Lengths of a lesson that are offered, in minutes. */
export const LENGTHS: readonly number[] = [5, 7, 10, 12, 15, 18, 20, 25, 30, 35, 40];

/** Rungs as they stand in a list to choose from. */
export const RUNG_OPTIONS: readonly { readonly id: RungId; readonly name: string }[] = RUNG_IDS.map((id) => ({ id, name: RUNGS[id].name }));
