import { CoreError, type ErrorCode, type ErrorParams } from '@zeitpunkt/core/errors';
import type { Piece } from './work.js';

/** What the server tells its worker. A flow gives one piece for each `next`. */
export type ToWorker =
  | { readonly id: number; readonly type: 'ask' | 'json' | 'flow'; readonly name: string; readonly input: readonly unknown[] }
  | { readonly id: number; readonly type: 'next' | 'stop' | 'still-there' };

/** What the worker tells the server. */
export type FromWorker =
  | { readonly id: number; readonly type: 'still-there' }
  | { readonly id: number; readonly type: 'value'; readonly value: unknown }
  | { readonly id: number; readonly type: 'piece'; readonly piece: Piece | null }
  | { readonly id: number; readonly type: 'failed'; readonly failure: Failure };

/** An error as it goes from one thread to the other: its class would be lost. */
export interface Failure {
  /** Of a problem that whoever asked is told; null for a fault of ours. */
  readonly code: ErrorCode | null;
  readonly params: ErrorParams;
  readonly message: string;
  readonly stack: string;
}

export function failureOf(error: unknown): Failure {
  const { message, stack = '' } = error instanceof Error ? error : new Error(String(error));
  const { code = null, params = {} } = error instanceof CoreError ? error : {};
  return { code, params, message, stack };
}

export function errorOf({ code, params, message, stack }: Failure): Error {
  const error = code ? new CoreError(code, message, params) : new Error(message);
  error.stack = stack;
  return error;
}

/** The memory of bytes that go to another thread: it is given over instead of copied. */
export function memoryOf(values: readonly unknown[]): ArrayBuffer[] {
  const bytes = values.flatMap((value) => (Array.isArray(value) ? (value as unknown[]) : [value]));
  return bytes.flatMap((one) => (one instanceof Uint8Array && ownsMemory(one) ? [one.buffer as ArrayBuffer] : []));
}

/** A small buffer lies in memory that it shares with others, and is copied. */
const ownsMemory = ({ buffer, byteLength }: Uint8Array) => buffer instanceof ArrayBuffer && buffer.byteLength === byteLength;
