/** The value below which a part of the values lies: 0.95 for the 95th percentile. Values need not be sorted. */
export function percentile(values: readonly number[], part: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.ceil(part * sorted.length) - 1)] ?? NaN;
}

export const median = (values: readonly number[]): number => percentile(values, 0.5);

/** A number of milliseconds with as many digits as it deserves. */
export const ms = (value: number): string => `${value < 10 ? value.toFixed(2) : value.toFixed(0)} ms`;
