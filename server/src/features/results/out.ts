import type { ResultRow } from '@zeitpunkt/core/insight/result-row';
import { setImmediate } from 'node:timers/promises';
import { AT_ONCE, csvHead, csvRows } from './columns.js';
import { statementOf } from './xapi.js';

type Lessons = AsyncIterable<readonly ResultRow[]>;

/** Results as a table for spreadsheets, in pieces. */
export async function* csvText(lessons: Lessons): AsyncGenerator<string> {
  yield csvHead();
  for await (const rows of slices(lessons)) yield csvRows(rows);
}

/** Results as statements for record stores, in pieces. */
export async function* xapiText(lessons: Lessons): AsyncGenerator<string> {
  let before = '[\n';
  for await (const rows of slices(lessons)) {
    yield before + rows.map((row) => JSON.stringify(statementOf(row))).join(',\n');
    before = ',\n';
  }
  yield before === '[\n' ? '[]\n' : '\n]\n';
}

/** So many rows at once that other work can go on in between. */
async function* slices(lessons: Lessons): AsyncGenerator<readonly ResultRow[]> {
  for await (const rows of lessons) {
    for (let at = 0; at < rows.length; at += AT_ONCE) {
      yield rows.slice(at, at + AT_ONCE);
      await setImmediate();
    }
  }
}
