import type { Response } from '@zeitpunkt/core/question-kinds/registry';
import { deviceStore } from '../../shared/device-store';

/** Answers that are not given away yet, by place in a room and asking: a page that is loaded again goes on with them. */
const PREFIX = 'zeitpunkt-draft:';
const keyOf = (participantId: string, askingId: string) => `${PREFIX}${participantId}:${askingId}`;
const device = deviceStore();

/** What was put together of an answer on this device; null where nothing was. Whatever cannot be read is nothing. */
export function draftOf(participantId: string, askingId: string): Response | null {
  try {
    const draft: unknown = JSON.parse(device.get(keyOf(participantId, askingId)) ?? 'null');
    // A view that starts from it looks at nothing but its own kind's parts, and what goes out is checked by the server.
    return typeof draft === 'object' && draft !== null && 'kind' in draft ? (draft as Response) : null;
  } catch {
    return null; // a draft of another program
  }
}

/** Keeps a draft; the drafts of other questions are over by then and go. */
export function keepDraft(participantId: string, askingId: string, draft: Response): void {
  const own = keyOf(participantId, askingId);
  for (const key of device.keys()) if (key.startsWith(PREFIX) && key !== own) device.remove(key);
  device.set(own, JSON.stringify(draft));
}

/** The answer is given away: nothing is left to go on with. */
export function dropDraft(participantId: string, askingId: string): void {
  device.remove(keyOf(participantId, askingId));
}
