import type { Response } from '@zeitpunkt/core';

/** Answers that are not given away yet, by place in a room and asking: a page that is loaded again goes on with them. */
const PREFIX = 'zeitpunkt-draft:';
const keyOf = (participantId: string, askingId: string) => `${PREFIX}${participantId}:${askingId}`;

/** What was put together of an answer on this device; null where nothing was. Whatever cannot be read is nothing. */
export function draftOf(participantId: string, askingId: string): Response | null {
  try {
    const draft: unknown = JSON.parse(localStorage.getItem(keyOf(participantId, askingId)) ?? 'null');
    // A view that starts from it looks at nothing but its own kind's parts, and what goes out is checked by the server.
    return typeof draft === 'object' && draft !== null && 'kind' in draft ? (draft as Response) : null;
  } catch {
    return null; // a device that keeps nothing, or a draft of another program
  }
}

/** Keeps a draft; the drafts of other questions are over by then and go. */
export function keepDraft(participantId: string, askingId: string, draft: Response): void {
  try {
    const own = keyOf(participantId, askingId);
    for (const key of Object.keys(localStorage)) if (key.startsWith(PREFIX) && key !== own) localStorage.removeItem(key);
    localStorage.setItem(own, JSON.stringify(draft));
  } catch {
    // A device that keeps nothing: the draft is on the screen only.
  }
}

/** The answer is given away: nothing is left to go on with. */
export function dropDraft(participantId: string, askingId: string): void {
  try {
    localStorage.removeItem(keyOf(participantId, askingId));
  } catch {
    // It was never kept.
  }
}
