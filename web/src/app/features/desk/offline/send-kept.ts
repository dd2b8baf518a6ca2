import type { DeskView, ResponseKept } from '@zeitpunkt/contract';
import { ApiProblem, ask } from '../../../shared/api';
import { Outbox } from '../outbox';

/** The server takes no longer wait than a week, in milliseconds. */
const LONGEST_WAIT_MS = 7 * 86_400_000;

/** How long an answer has waited on this device, in milliseconds. The clock of the device may have been set meanwhile. */
export const waitedMs = (putAtMs: number): number => Math.min(Math.max(0, Date.now() - putAtMs), LONGEST_WAIT_MS);

/**
 * Sends what waits on this device while no desk is open on it: the answers of the pupil who is at it, and nobody else's.
 * @throws ApiProblem where the server cannot be reached or has trouble: the browser wakes the worker again later
 */
export async function sendKept(outbox = new Outbox()): Promise<void> {
  const waiting = await outbox.all();
  if (waiting.length === 0) return;
  const { participantId } = await ask<DeskView>('GET', '/api/desk');
  for (const one of waiting.filter((other) => other.participantId === participantId)) {
    try {
      await ask<ResponseKept>('POST', '/api/desk/responses', { ...one.post, waitedMs: waitedMs(one.putAtMs) });
    } catch (error) {
      if (!(error instanceof ApiProblem) || error.mayPass) throw error;
      continue; // refused for good: the desk says so when it is opened, and clears it away
    }
    await outbox.remove(one.post.id);
  }
}
