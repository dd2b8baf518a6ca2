import type { ResponseKept, Waiting } from '@zeitpunkt/contract';
import { ApiProblem, ask } from '../../shared/api';

/** The server takes no longer wait than a week, in milliseconds. */
const LONGEST_WAIT_MS = 7 * 86_400_000;

/** How long an answer has waited on this device, in milliseconds. The clock of the device may have been set meanwhile. */
const waitedMs = (putAtMs: number): number => Math.min(Math.max(0, Date.now() - putAtMs), LONGEST_WAIT_MS);

/** What became of an answer: the server has it, or has refused it for good. */
export type Settled = { readonly kept: ResponseKept } | { readonly refused: ApiProblem };

/**
 * Sends an answer that waits.
 * @param besides whether another pupil may be at the device, so that it has to be said whose the answer is
 * @throws ApiProblem where that may pass: the line is lost, or the server has trouble
 */
export async function sendWaiting({ post, putAtMs, participantId }: Waiting, besides: boolean): Promise<Settled> {
  const of = besides ? `?of=${participantId}` : '';
  try {
    return { kept: await ask<ResponseKept>('POST', `/api/desk/responses${of}`, { ...post, waitedMs: waitedMs(putAtMs) }) };
  } catch (error) {
    if (!(error instanceof ApiProblem) || error.mayPass) throw error;
    return { refused: error };
  }
}
