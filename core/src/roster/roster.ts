/** A row of a list that came in as a file. */
export interface RosterRow {
  /** The line of the file on which it begins, from 1. */
  readonly line: number;
  readonly cells: readonly string[];
}

/** Which column of a list, from 0, holds what. */
export interface RosterColumns {
  readonly name: number;
  /** Tells pupils of one name apart; null where there is no such column. */
  readonly secondName: number | null;
  readonly reference: number | null;
  /** Takes only the rows that have this in that column: a list of a whole school holds several classes. */
  readonly only: { readonly column: number; readonly value: string } | null;
}

/** A pupil of the class as a list is compared with it. */
export interface RosterPupil {
  readonly name: string;
  readonly reference: string | null;
}

/** What becomes of a row: a new pupil, one who is in the class already, or nothing, with the reason. */
export type RosterEntry = { readonly line: number } & (
  | { readonly kind: 'new'; readonly name: string; readonly reference: string | null }
  | { readonly kind: 'present'; readonly name: string }
  | { readonly kind: 'refused'; readonly reason: string }
);

/** A display name has so many letters at most, and so has a reference. */
export const LONGEST_NAME = 60;

interface Read {
  readonly line: number;
  readonly name: string;
  readonly second: string;
  readonly reference: string | null;
}

/** A cell as it is kept: spaces and line breaks are one space, and the mark that keeps spreadsheets from computing goes. */
function cellText(cell: string | undefined): string {
  return (cell ?? '')
    .replace(/^'(?=[=+\-@\t\r])/, '')
    .replace(/\s+/gu, ' ')
    .trim();
}

const folded = (text: string) => text.normalize('NFC').toLocaleLowerCase('en');

/**
 * What becomes of each row of a list, in its order. Pupils of one name get the beginning of their second name, or all of it
 * where that is not enough; those who cannot be told apart then are refused, as are rows without a name.
 * @param rows without the row that heads the columns
 */
export function planRoster(rows: readonly RosterRow[], columns: RosterColumns, present: readonly RosterPupil[]): RosterEntry[] {
  const at = ({ cells }: RosterRow, column: number | null) => (column === null ? '' : cellText(cells[column]));
  const wanted = rows.filter((row) => !columns.only || at(row, columns.only.column) === columns.only.value);
  const read = wanted.map((row): Read => ({
    line: row.line,
    name: at(row, columns.name),
    second: at(row, columns.secondName),
    reference: at(row, columns.reference) || null,
  }));
  const names = displayNames(read);
  const taken = new Map<string, number | null>(present.map(({ name }) => [folded(name), null]));
  const references = new Map(present.flatMap(({ name, reference }) => (reference ? [[folded(reference), name]] : [])));
  return read.map((row): RosterEntry => {
    const { line, reference } = row;
    const name = names.get(row)!;
    const refused = (reason: string): RosterEntry => ({ line, kind: 'refused', reason });
    if (name === '') return refused('There is no name in this row.');
    if (name.length > LONGEST_NAME) return refused(`The name has ${name.length} letters; a display name has at most ${LONGEST_NAME}.`);
    if (reference && reference.length > LONGEST_NAME) return refused(`The reference has more than ${LONGEST_NAME} letters.`);
    const known = reference === null ? undefined : references.get(folded(reference));
    const before = taken.get(folded(name));
    if (before === null && (known === undefined || folded(known) === folded(name))) return { line, kind: 'present', name };
    if (known !== undefined) return refused(`The reference ${reference} belongs to ${known} already.`);
    if (before !== undefined)
      return refused(`${name} stands in line ${before} already; two pupils of one name could not tell their names apart.`);
    taken.set(folded(name), line);
    if (reference) references.set(folded(reference), name);
    return { line, kind: 'new', name, reference };
  });
}

/** The display name of each row: as much of the second name is added as tells it from the others of its name. */
function displayNames(rows: readonly Read[]): Map<Read, string> {
  const names = new Map<Read, string>();
  const sameName = new Map<string, Read[]>();
  for (const row of rows) sameName.set(folded(row.name), [...(sameName.get(folded(row.name)) ?? []), row]);
  for (const twins of sameName.values()) {
    const forms = [(row: Read) => row.name, (row: Read) => withInitial(row), (row: Read) => `${row.name} ${row.second}`.trim()];
    const tells = (form: (row: Read) => string) => new Set(twins.map((row) => folded(form(row)))).size === twins.length;
    const form = twins.length === 1 ? forms[0]! : (forms.find(tells) ?? forms[2]!);
    for (const row of twins) names.set(row, form(row));
  }
  return names;
}

function withInitial({ name, second }: Read): string {
  const [initial] = /\p{L}/u.exec(second) ?? [];
  return initial ? `${name} ${initial}.` : name;
}
