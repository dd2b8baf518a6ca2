import type { MarkedResponse } from '@zeitpunkt/contract';

/** Whether a response counts: it came in time, or the teacher lets it count. */
export const counts = ({ late }: Pick<MarkedResponse, 'late'>): boolean => late === null || late.counted;

/** How late a response was, in words for the teacher: by its device's clock, and by the server's. */
export function lateWords({ late, receivedAtMs }: Pick<MarkedResponse, 'late' | 'receivedAtMs'>): string {
  if (!late) return '';
  const { givenAtMs, closedAtMs } = late;
  if (closedAtMs === null) return 'came after the close';
  const given = givenAtMs <= closedAtMs ? 'given in time' : `given ${span(givenAtMs - closedAtMs)} after the close`;
  return `${given} by the device’s clock, came ${span(receivedAtMs - closedAtMs)} after the close`;
}

function span(ms: number): string {
  const seconds = Math.round(ms / 1000);
  if (seconds < 120) return `${seconds} s`;
  const minutes = Math.round(seconds / 60);
  return minutes < 120 ? `${minutes} min` : `${Math.round(minutes / 60)} h`;
}

/** A response with what the teacher made of it, if it is the one that was meant. */
export function withCounted(
  one: MarkedResponse,
  { responseId, counted }: { readonly responseId: string; readonly counted: boolean },
): MarkedResponse {
  return one.id === responseId && one.late ? { ...one, late: { ...one.late, counted } } : one;
}
