import type { RosterColumns, RosterRow } from './roster.js';

/** How columns are headed in lists that schools keep, in lower case; the first that fits is taken. */
const HEADS = {
  name: ['display name', 'rufname', 'vorname', 'first name', 'firstname', 'given name', 'name', 'pupil', 'schüler', 'schülerin', 'kind'],
  secondName: ['nachname', 'familienname', 'last name', 'lastname', 'surname', 'family name'],
  reference: ['reference', 'ref', 'kennung', 'id', 'number', 'nummer', 'nr', 'upn'],
} as const;

/** What the first row tells of a table: whether it heads the columns, and which are which. Without heads the first is the name. */
export function guessColumns(rows: readonly RosterRow[]): { readonly hasHeader: boolean; readonly columns: RosterColumns } {
  const heads = (rows[0]?.cells ?? []).map((cell) => cell.trim().toLowerCase());
  const columnOf = (words: readonly string[]) => words.map((word) => heads.indexOf(word)).find((column) => column >= 0) ?? null;
  const name = columnOf(HEADS.name);
  const [secondName, reference] = [columnOf(HEADS.secondName), columnOf(HEADS.reference)];
  const hasHeader = name !== null || secondName !== null || reference !== null;
  return { hasHeader, columns: { name: name ?? secondName ?? 0, secondName: name === null ? null : secondName, reference, only: null } };
}
