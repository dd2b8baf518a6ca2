import type { IsoDate } from '@zeitpunkt/core';

/** The day that a moment falls on where this device is. @param ms since 1970 */
export function dayOf(ms: number): IsoDate {
  const at = new Date(ms);
  const two = (part: number) => String(part).padStart(2, '0');
  return `${at.getFullYear()}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
}
