import { sql } from 'drizzle-orm';

/** A row of placeholders, one for each column that is to be given later. */
export function placeholders<Row>(names: readonly (keyof Row & string)[]): Row {
  return Object.fromEntries(names.map((name) => [name, sql.placeholder(name)])) as never;
}
