/** What a teacher asks of the class in passing: nothing of it is an answer, and nothing of it is kept. */
export interface Calls {
  /** The asking whose pupils are told, gently, that they are waited for; null where nobody is. */
  readonly nudged: string | null;
  /** More time that was promised for an asking, in milliseconds since 1970 by the server's clock. Nothing closes by itself. */
  readonly more: { readonly askingId: string; readonly fromMs: number; readonly untilMs: number } | null;
  /** Every pupil's practice dial is on the wall. */
  readonly showMe: boolean;
  /** "Ready?" is asked: its number tells one pulse from another; null where it is not. */
  readonly pulse: number | null;
}

export const NO_CALLS: Calls = { nudged: null, more: null, showMe: false, pulse: null };

/** The calls once a question has closed: nobody is waited for any more. */
export function withoutWaiting(calls: Calls): Calls {
  return calls.nudged === null && calls.more === null ? calls : { ...calls, nudged: null, more: null };
}

/** The time that was promised for an asking and what is left of it; null where none was. @param nowMs the server's clock */
export function moreTimeFor(
  { more }: Calls,
  askingId: string,
  nowMs: number,
): { readonly totalMs: number; readonly leftMs: number } | null {
  if (more?.askingId !== askingId) return null;
  return { totalMs: more.untilMs - more.fromMs, leftMs: Math.max(0, more.untilMs - nowMs) };
}
