import { createHash, randomBytes } from 'node:crypto';

/** A secret for a cookie: 256 random bits as text. */
export function newToken(): string {
  return randomBytes(32).toString('base64url');
}

/** A secret for a join card: 128 random bits as text, short enough for a QR code that an old camera reads. */
export function newCardToken(): string {
  return randomBytes(16).toString('base64url');
}

/** What the database keeps of a token, so that a copy of it opens nothing. */
export function tokenHash(token: string): string {
  return createHash('sha256').update(token).digest('base64url');
}

/** A cookie of ours in a request's header: its value needs no decoding. */
export function cookieIn(header: string | undefined, name: string): string | undefined {
  const start = header?.split('; ').find((cookie) => cookie.startsWith(`${name}=`));
  return start?.slice(name.length + 1);
}

/** How cookies are set: for this server only, unreadable to scripts, and not sent along from other sites. */
export interface Cookies {
  readonly path: '/';
  readonly httpOnly: true;
  readonly sameSite: 'strict';
  /** Sent over HTTPS only; where the school's address is one of HTTPS. */
  readonly secure: boolean;
}

export const cookiesOf = (secure: boolean): Cookies => ({ path: '/', httpOnly: true, sameSite: 'strict', secure });
