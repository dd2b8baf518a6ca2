import { CoreError } from '@zeitpunkt/core/errors';
import { writeResult } from '@zeitpunkt/core/formats/stored';
import type { ResultRow } from '@zeitpunkt/core/insight/result-row';
import { kindOf, textOfResponse } from '@zeitpunkt/core/question-kinds/registry';
import { isRightVerdict } from '@zeitpunkt/core/question-kinds/verdict';
import { parse, type CsvError } from 'csv-parse';
import { stringify } from 'csv-stringify/sync';
import { Readable } from 'node:stream';
import { setImmediate } from 'node:timers/promises';
import { stored } from '../../db/stored.js';

/**
 * Columns of a file of results: first those that people read, then those for machines. Their names and order stay. The last
 * holds the whole answer with its format version: it alone is read back, so that nothing is lost to rounding or to a
 * spreadsheet's own ideas of a cell.
 */
const READ = [
  'pupil', 'reference', 'lesson', 'taught_at', 'question_number', 'kind', 'question', 'right_answer', 'answer', 'verdict', 'is_right',
  'verdict_at_first', 'correction_reason', 'possible_ideas', 'seconds', 'attempt', 'source', 'late', 'counts', 'answered_at',
] as const; // prettier-ignore
const DATA = ['response_id', 'pupil_id', 'session_id', 'data_json'] as const;
export const COLUMNS = [...READ, ...DATA];
type Column = (typeof COLUMNS)[number];

const iso = (ms: number) => new Date(ms).toISOString();
const yesNo = (is: boolean) => (is ? 'yes' : 'no');

function cellsOf(row: ResultRow): Record<Column, string | number> {
  const { item, settings, response, mark, correction, late } = row;
  const kind = kindOf(item);
  const counting = correction?.mark ?? mark;
  return {
    pupil: row.pupil,
    reference: row.reference ?? '',
    lesson: row.lesson,
    taught_at: iso(row.taughtAtMs),
    question_number: row.number,
    kind: kind.name,
    question: kind.viewOf(item, settings).stem,
    right_answer: textOfResponse(item, kind.keyOf(item, settings), settings),
    answer: textOfResponse(item, response, settings),
    verdict: counting.verdict,
    is_right: yesNo(isRightVerdict(counting.verdict)),
    verdict_at_first: mark.verdict,
    correction_reason: correction?.reason ?? '',
    possible_ideas: counting.misconceptions.join(' '),
    seconds: row.source === 'device' ? (row.responseTimeMs / 1000).toFixed(1) : '',
    attempt: row.attempt,
    source: row.source,
    late: yesNo(late !== null),
    counts: yesNo(late === null || late.counted),
    answered_at: iso(row.receivedAtMs),
    response_id: row.responseId,
    pupil_id: row.pupilId,
    session_id: row.sessionId,
    data_json: JSON.stringify(writeResult(row)),
  };
}

/** The first line of a file of results, with a byte-order mark for spreadsheets. */
export const csvHead = (): string => stringify([COLUMNS], { bom: true, record_delimiter: 'windows' });

/** Rows of a file of results. Nothing in them is computed by a spreadsheet. Source: RFC 4180. */
export function csvRows(rows: readonly ResultRow[]): string {
  const cells = rows.map((row) => {
    const own = cellsOf(row);
    return COLUMNS.map((column) => own[column]);
  });
  return stringify(cells, { escape_formulas: true, record_delimiter: 'windows' });
}

/** So many answers are checked in one go. */
export const AT_ONCE = 60;
/** A file is read in pieces of so many characters: between them the server goes on with other work. */
const PIECE = 64 * 1024;

/** Longer than any row of ours, in bytes: a file without lines would be gone through again with each of its pieces. */
const LONGEST_ROW = 256 * 1024;

function* piecesOf(text: string): Generator<string> {
  for (let at = 0; at < text.length; at += PIECE) yield text.slice(at, at + PIECE);
}

/**
 * Reads a file of results back, in whatever order its columns stand now; columns that somebody added are left out.
 * @throws CoreError RESULTS_UNREADABLE with the line, FORMAT_NEWER
 */
export async function readCsv(text: string): Promise<ResultRow[]> {
  const rows: ResultRow[] = [];
  const options = { columns: true, bom: true, info: true, skip_empty_lines: true, max_record_size: LONGEST_ROW };
  const lines = Readable.from(piecesOf(text)).pipe(parse(options));
  try {
    for await (const { record, info } of lines as AsyncIterable<CsvLine>) {
      if (!('data_json' in record)) throw unreadable('The column data_json is missing; this is no file of results.');
      rows.push(rowOf(record, `line ${info.lines}`));
      if (rows.length % AT_ONCE === 0) await setImmediate();
    }
  } catch (error) {
    const { code, lines: at } = error as Partial<CsvError> & { readonly lines?: number };
    if (error instanceof CoreError || !code?.startsWith('CSV_')) throw error;
    throw unreadable(`Line ${at ?? 1}: this row is no row of a table as the others are.`);
  }
  if (rows.length === 0) throw unreadable('There is no answer in this file.');
  return rows;
}

interface CsvLine {
  readonly record: Record<string, string>;
  readonly info: { readonly lines: number };
}

function rowOf(record: Record<string, string>, place: string): ResultRow {
  let data: unknown;
  try {
    data = JSON.parse(record['data_json']!);
  } catch {
    throw unreadable(`In ${place} the cell “data_json” is no readable JSON.`);
  }
  return stored.result(data, place);
}

export const unreadable = (sentence: string): CoreError => new CoreError('RESULTS_UNREADABLE', sentence);
