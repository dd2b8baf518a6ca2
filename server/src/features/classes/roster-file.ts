import { PARTS } from '@zeitpunkt/contract';
import { CoreError } from '@zeitpunkt/core/errors';
import type { RosterRow } from '@zeitpunkt/core/roster/roster';
import type { RosterFile } from '@zeitpunkt/contract';
import { type CsvError, parse } from 'csv-parse/sync';
import { stringify } from 'csv-stringify/sync';

/** What separates cells, the likeliest first. */
const DELIMITERS = [',', ';', '\t'] as const;

const LONGEST_ROW = 16 * 1024;

/** Sentences for what the reader of CSV finds wrong; each is put after the line. */
const FAULTS: Readonly<Record<string, string>> = {
  CSV_QUOTE_NOT_CLOSED: 'a quotation mark opens here and is never closed',
  INVALID_OPENING_QUOTE: 'a quotation mark stands in the middle of a cell',
  CSV_MAX_RECORD_SIZE: 'this row is too long for one pupil',
  CSV_INVALID_CLOSING_QUOTE: 'something stands between a closing quotation mark and the next cell',
};

/**
 * Reads a list of pupils as schools keep it: comma, semicolon or tab between cells, UTF-8 or UTF-16 with or without a
 * byte-order mark, or else Windows-1252, of which Latin-1 is a part.
 * @throws CoreError ROSTER_UNREADABLE with the line
 */
export function readRosterFile(bytes: Uint8Array): RosterFile {
  const { text, encoding } = decode(bytes);
  if (text.includes('\0')) throw unreadable('This file is no text: save the list as CSV and take that file.');
  // A spreadsheet may say in a first line of its own what separates the cells.
  const said = /^sep=(.)\r?\n/.exec(text);
  const table = said ? text.slice(said[0].length) : text;
  const rows = parseRows(table, said?.[1] ?? likeliestDelimiter(table), said ? 2 : 1);
  if (rows.length === 0) throw unreadable('This file is empty: there is no row in it.');
  return { encoding, rows };
}

function decode(bytes: Uint8Array): { readonly text: string; readonly encoding: RosterFile['encoding'] } {
  const [first, second] = bytes;
  if (first === 0xff && second === 0xfe) return { text: new TextDecoder('utf-16le').decode(bytes), encoding: 'UTF-16' };
  if (first === 0xfe && second === 0xff) return { text: new TextDecoder('utf-16be').decode(bytes), encoding: 'UTF-16' };
  try {
    return { text: new TextDecoder('utf-8', { fatal: true }).decode(bytes), encoding: 'UTF-8' };
  } catch {
    return { text: new TextDecoder('windows-1252').decode(bytes), encoding: 'Windows-1252' };
  }
}

/** The one that stands most often in the first row that is not empty, outside quotation marks. */
function likeliestDelimiter(text: string): string {
  const [row = ''] = /\S.*/.exec(text.replace(/"[^"]*"/g, '')) ?? [];
  const times = (delimiter: string) => row.split(delimiter).length;
  return DELIMITERS.reduce<string>((best, delimiter) => (times(delimiter) > times(best) ? delimiter : best), ',');
}

function parseRows(text: string, delimiter: string, firstLine: number): RosterRow[] {
  const rows: RosterRow[] = [];
  /** The last line of the row that was read last, from 1: a fault lies in the row after it. */
  let readTo = 0;
  const take = (cells: string[], { lines }: { readonly lines: number }) => {
    if (rows.length === PARTS.listRows.most) throw unreadable(`This list has more than ${PARTS.listRows.most} rows. Take it in parts.`);
    if (cells.some((cell) => cell.trim() !== '')) rows.push({ line: firstLine - 1 + lines - lineBreaks(cells), cells });
    readTo = lines;
    return null; // nothing is gathered twice
  };
  try {
    parse(text, { delimiter, relax_column_count: true, max_record_size: LONGEST_ROW, on_record: take });
    return rows;
  } catch (error) {
    const { code } = error as CsvError;
    if (error instanceof CoreError || typeof code !== 'string') throw error;
    throw unreadable(`Line ${firstLine + readTo}: ${FAULTS[code] ?? 'this row cannot be read'}.`);
  }
}

const lineBreaks = (record: readonly string[]) => record.reduce((sum, cell) => sum + cell.split(/\r\n|\n|\r/).length - 1, 0);

const unreadable = (sentence: string) => new CoreError('ROSTER_UNREADABLE', sentence);

/**
 * A class list as CSV, which spreadsheets open as they should: with a byte-order mark, and without computing what begins
 * like a formula. Source: RFC 4180.
 */
export function rosterCsv(pupils: readonly { readonly name: string; readonly reference: string | null }[]): string {
  const rows = pupils.map(({ name, reference }) => [name, reference ?? '']);
  return stringify([['Name', 'Reference'], ...rows], { bom: true, escape_formulas: true, record_delimiter: 'windows' });
}
