import type { FastifyRequest } from 'fastify';
import { tokenHash } from '../../http/tokens.js';
import { TEACHER_COOKIE } from './guard.js';

/** The lines that were opened with a login: they end with it. */
export class LoginLines {
  private readonly closers = new Map<string, Set<() => void>>();

  /** @returns a function that forgets the line: it has ended by itself */
  add(request: FastifyRequest, close: () => void): () => void {
    const hash = tokenHash(request.cookies[TEACHER_COOKIE] ?? '');
    const closers = this.closers.get(hash) ?? new Set();
    this.closers.set(hash, closers.add(close));
    return () => {
      closers.delete(close);
      if (closers.size === 0) this.closers.delete(hash);
    };
  }

  /** The login has ended. */
  end(hashOfToken: string): void {
    for (const close of this.closers.get(hashOfToken) ?? []) close();
  }
}
