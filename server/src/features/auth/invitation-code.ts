import { randomInt } from 'node:crypto';
import { tokenHash } from '../../http/tokens.js';

/** Letters and digits that are not taken for one another when a code is read out or copied by hand. */
const SIGNS = 'abcdefghjkmnpqrstuvwxyz23456789';
const GROUPS = 3;
const GROUP_LENGTH = 4;

/** A one-time code of 59 random bits, in groups: "k3pm-x9wd-7hbt". */
export function newInvitationCode(): string {
  const group = () => Array.from({ length: GROUP_LENGTH }, () => SIGNS[randomInt(SIGNS.length)]).join('');
  return Array.from({ length: GROUPS }, group).join('-');
}

/** What the database keeps of a code, however it was typed: capitals, spaces and hyphens do not matter. */
export function codeHash(code: string): string {
  return tokenHash(code.toLowerCase().replace(/[^a-z0-9]/g, ''));
}
