import { generateSecret, generateURI, verifySync } from 'otplib';

/** A clock of a phone may be this far off, in seconds. */
const TOLERANCE_SEC = 30;

/** What an app for one-time codes is set up with. */
export function newSecondFactor(signInName: string): { readonly secret: string; readonly uri: string } {
  const secret = generateSecret();
  return { secret, uri: generateURI({ issuer: 'Zeitpunkt', label: signInName, secret }) };
}

/**
 * The time step of a one-time code, by which it is told from later ones; null where the code is wrong. Source: RFC 6238.
 * @param lastStep the step of the code that was used last: neither it nor an earlier one counts again
 */
export function stepOfCode(secret: string, code: string, lastStep: number, nowMs: number): number | null {
  const token = code.replace(/\s/g, '');
  if (!/^\d{6}$/.test(token)) return null;
  const result = verifySync({ secret, token, epoch: Math.floor(nowMs / 1000), epochTolerance: TOLERANCE_SEC });
  return result.valid && 'timeStep' in result && result.timeStep > lastStep ? result.timeStep : null;
}
