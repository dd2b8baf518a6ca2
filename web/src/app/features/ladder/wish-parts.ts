import { RUNG_IDS, RUNGS, type RungId } from '@zeitpunkt/core';

/** Shortest and longest lesson that is drafted, in minutes. */
export const [LEAST_MINUTES, MOST_MINUTES] = [5, 40] as const;

export const isLength = (minutes: number): boolean => Number.isInteger(minutes) && minutes >= LEAST_MINUTES && minutes <= MOST_MINUTES;

export const LENGTH_PROBLEM = `A lesson takes a whole number of minutes, from ${LEAST_MINUTES} to ${MOST_MINUTES}.`;

/** Rungs as they stand in a list to choose from. */
export const RUNG_OPTIONS: readonly { readonly id: RungId; readonly name: string }[] = RUNG_IDS.map((id) => ({ id, name: RUNGS[id].name }));

/** The rung of an option that was chosen. */
export const rungOfOption = (value: string): RungId => RUNG_IDS.find((id) => id === value)!;
