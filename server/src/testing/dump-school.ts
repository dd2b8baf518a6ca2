import Database from 'better-sqlite3';

/** So many lessons that are over stay in a kept school, so many takes, and so many bytes of each sound. */
const SESSIONS = 2;
const TAKES = 2;
const SOUND_BYTES = 64;

interface Column {
  readonly name: string;
  readonly type: string;
}

/**
 * A school as SQL that makes it again, made small: some lessons that are over, all that go on, a take or two with the beginning
 * of its sound.
 * @param file of a database of whatever version, which is changed by this
 * @param about a sentence on what is in it
 */
export function dumpSchool(file: string, about: string): string {
  const sqlite = new Database(file);
  sqlite.pragma('foreign_keys = ON');
  const tables = sqlite
    .prepare("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'")
    .pluck()
    .all() as string[];
  const columnsOf = (table: string) => sqlite.pragma(`table_info(${table})`) as Column[];
  const has = (table: string, column: string) => tables.includes(table) && columnsOf(table).some(({ name }) => name === column);
  if (has('live_session', 'ended_at_ms')) {
    const live = has('live_session', 'pace') ? "AND pace = 'live'" : '';
    sqlite.exec(`DELETE FROM live_session WHERE ended_at_ms IS NOT NULL ${live} AND id NOT IN
      (SELECT id FROM live_session WHERE ended_at_ms IS NOT NULL ${live} ORDER BY created_at_ms DESC LIMIT ${SESSIONS})`);
  }
  if (tables.includes('take')) sqlite.exec(`DELETE FROM take WHERE id NOT IN (SELECT id FROM take LIMIT ${TAKES})`);
  for (const table of tables) {
    for (const { name, type } of columnsOf(table)) {
      if (type.toUpperCase() === 'BLOB') sqlite.exec(`UPDATE ${table} SET ${name} = substr(${name}, 1, ${SOUND_BYTES})`);
    }
  }
  const lines = about.split('\n').map((line) => `-- ${line}`);
  const made = "SELECT sql FROM sqlite_master WHERE sql IS NOT NULL AND name NOT LIKE 'sqlite_%' ORDER BY type = 'index', rowid";
  for (const sql of sqlite.prepare(made).pluck().all()) lines.push(`${String(sql)};`);
  for (const table of tables) {
    const values = columnsOf(table).map(({ name }) => `quote("${name}")`);
    const rows = sqlite
      .prepare(`SELECT ${values.join(` || ',' || `)} FROM "${table}" ORDER BY rowid`)
      .pluck()
      .all();
    for (const row of rows) lines.push(`INSERT INTO "${table}" VALUES(${String(row)});`);
  }
  sqlite.close();
  return `${lines.join('\n')}\n`;
}
