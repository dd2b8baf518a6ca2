import { randomInt } from 'node:crypto';
import type { Db } from '../../db/connection.js';
import { sheetByCode } from './queries.js';

/** Letters and digits that are not taken for each other, by hand or by eye. */
const CODE_SIGNS = 'ABCDEFGHJKLMNPQRSTUVWXYZ23456789';
const CODE_LENGTH = 4;

/** A code that none of a teacher's sheets carries. */
export function freeCode(db: Db, teacherId: string): string {
  for (;;) {
    const code = Array.from({ length: CODE_LENGTH }, () => CODE_SIGNS[randomInt(CODE_SIGNS.length)]).join('');
    if (!sheetByCode(db, teacherId, code)) return code;
  }
}
