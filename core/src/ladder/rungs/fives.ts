/** Every minute of a count in fives. */
export const FIVES: readonly number[] = Array.from({ length: 12 }, (_, index) => index * 5);
