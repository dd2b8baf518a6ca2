import type { DeskView } from '@zeitpunkt/contract';
import { ask } from '../../../shared/api';
import { Outbox } from '../outbox';
import { sendWaiting } from '../send-waiting';

/**
 * Sends what waits on this device while no desk is open on it: the answers of the pupil who is at it, and nobody else's. One
 * that is refused for good stays: the desk says so when it is opened, and clears it away.
 * @throws ApiProblem where the server cannot be reached or has trouble: the browser wakes the worker again later
 */
export async function sendKept(outbox = new Outbox()): Promise<void> {
  const waiting = await outbox.all();
  if (waiting.length === 0) return;
  const { participantId } = await ask<DeskView>('GET', '/api/desk');
  for (const one of waiting.filter((other) => other.participantId === participantId)) {
    if ('kept' in (await sendWaiting(one, false))) await outbox.remove(one.post.id);
  }
}
