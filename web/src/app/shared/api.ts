import type { Problem } from '@zeitpunkt/contract';
import type { ProblemCode } from './page-codes';

/** What a sentence speaks of, by name. */
export type Params = Readonly<Record<string, string | number>>;

/** What stands in the way: the server refused, was not reached, or the device cannot. The message is one plain sentence for the screen. */
export class ApiProblem extends Error {
  constructor(
    readonly code: ProblemCode,
    message: string,
    /** Status of the reply; 0 where none came. */
    readonly status = 0,
    /** What the sentence speaks of. */
    readonly params: Params = {},
    /** By which it is found in the server's log; empty where the server did not say. */
    readonly number = '',
  ) {
    super(message);
  }

  /** Whether the server was not reached at all, so that trying again later may help. */
  get lineLost(): boolean {
    return this.code === 'LINE_LOST';
  }

  /** Whether the same request may be taken later: nothing was reached, or the server has trouble or is asked too often. */
  get mayPass(): boolean {
    return this.lineLost || this.status >= 500 || this.status === 429 || this.status === 408;
  }
}

/** What a page that is being left may still send, in bytes: browsers stop at 64 kB for all such requests together. */
const MOST_ON_LEAVING = 32_000;

/**
 * Asks the server. A change of ordinary size still arrives when the page is left at once. The server checks every reply against the contract before it leaves.
 * @throws ApiProblem with the server's sentence, or LINE_LOST
 */
export async function ask<Reply>(method: 'GET' | 'POST', url: string, body?: unknown): Promise<Reply> {
  const text = body === undefined ? null : JSON.stringify(body);
  let reply: Response;
  try {
    reply = await fetch(url, {
      method,
      credentials: 'same-origin',
      ...(text !== null && { body: text, headers: { 'content-type': 'application/json' }, keepalive: text.length < MOST_ON_LEAVING }),
    });
  } catch {
    throw new ApiProblem('LINE_LOST', 'The server cannot be reached just now.');
  }
  if (reply.status === 204) return undefined as Reply;
  if (reply.ok) return (await reply.json()) as Reply;
  throw await problemOf(reply);
}

/**
 * Sends a file as it is; with a signal it can be given up.
 * @throws ApiProblem with the server's sentence, or LINE_LOST
 */
export async function sendFile<Reply>(url: string, file: Blob, signal: AbortSignal | null = null): Promise<Reply> {
  const headers = { 'content-type': 'application/octet-stream' };
  const reply = await fetch(url, { method: 'POST', credentials: 'same-origin', body: file, headers, signal }).catch(() => null);
  if (!reply) throw new ApiProblem('LINE_LOST', 'The server cannot be reached just now.');
  if (reply.status === 204) return undefined as Reply;
  if (reply.ok) return (await reply.json()) as Reply;
  throw await problemOf(reply);
}

/** What a reply that is no answer says. */
export async function problemOf(reply: Response): Promise<ApiProblem> {
  if (reply.headers.get('content-type')?.startsWith('application/problem+json')) {
    const problem = (await reply.json()) as Problem;
    return new ApiProblem(problem.code as ProblemCode, problem.detail, reply.status, problem.params, problem.number);
  }
  // Something between us and the server answered: a proxy while the server restarts, or one that does not let this through.
  const passes = reply.status >= 500 || reply.status === 429 || reply.status === 408;
  return passes
    ? new ApiProblem('LINE_LOST', `The server cannot be reached just now (status ${reply.status}).`, reply.status, { status: reply.status })
    : new ApiProblem('NOT_LET_THROUGH', `Something on the way to the server refused this (status ${reply.status}).`, reply.status, {
        status: reply.status,
      });
}

/** Words problems anew by their code and what they speak of; null for those that have no words of their own. */
type Wording = (problem: ApiProblem | null) => string | null;
let inOwnWords: Wording = () => null;

/** From now on problems are worded so: the teacher's side takes them from its catalogue, the desk shows what the server says. */
export function wordProblems(wording: Wording): void {
  inOwnWords = wording;
}

/** The sentence of an error for the screen. */
export function sentenceOf(error: unknown): string {
  if (error instanceof ApiProblem) return inOwnWords(error) ?? error.message;
  return inOwnWords(null) ?? 'Something went wrong on this page. Please load it again.';
}
