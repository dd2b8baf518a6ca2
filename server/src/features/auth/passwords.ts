import { hash, verify } from '@node-rs/argon2';

/** Argon2id with 19 MiB, two passes, one lane. Source: OWASP Password Storage Cheat Sheet, first recommended setting. */
const ARGON2ID = { algorithm: 2, memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;

export function hashPassword(password: string): Promise<string> {
  return hash(password, ARGON2ID);
}

let nobody: Promise<string> | undefined;

/**
 * Whether a password belongs to a hash. Without a hash (an unknown sign-in name) it takes as long and says no, so that
 * the time taken does not tell which names exist.
 */
export async function checkPassword(password: string, passwordHash: string | undefined): Promise<boolean> {
  nobody ??= hashPassword('nobody signs in with this');
  const fits = await verify(passwordHash ?? (await nobody), password);
  return fits && passwordHash !== undefined;
}
