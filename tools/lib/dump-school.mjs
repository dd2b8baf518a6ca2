import Database from 'better-sqlite3';

/** So many lessons that are over stay in a kept school, so many takes, and so many bytes of each sound. */
const SESSIONS = 2;
const TAKES = 2;
const SOUND_BYTES = 64;

/**
 * A school as SQL that makes it again, made small: some lessons that are over, all that go on, a take or two with the beginning
 * of its sound.
 * @param {string} file of a database that is changed by this
 * @param {string} about a sentence on what is in it
 */
export function dumpSchool(file, about) {
  const sqlite = new Database(file);
  sqlite.pragma('foreign_keys = ON');
  const tables = sqlite.prepare("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'").pluck().all();
  const has = (table, column) => tables.includes(table) && sqlite.pragma(`table_info(${table})`).some(({ name }) => name === column);
  if (has('live_session', 'ended_at_ms')) {
    const live = has('live_session', 'pace') ? "AND pace = 'live'" : '';
    sqlite.exec(`DELETE FROM live_session WHERE ended_at_ms IS NOT NULL ${live} AND id NOT IN
      (SELECT id FROM live_session WHERE ended_at_ms IS NOT NULL ${live} ORDER BY created_at_ms DESC LIMIT ${SESSIONS})`);
  }
  if (tables.includes('take')) sqlite.exec(`DELETE FROM take WHERE id NOT IN (SELECT id FROM take LIMIT ${TAKES})`);
  for (const table of tables) {
    for (const { name, type } of sqlite.pragma(`table_info(${table})`)) {
      if (type.toUpperCase() === 'BLOB')
        sqlite.exec(`UPDATE ${table} SET ${name} = substr(${name}, 1, ${SOUND_BYTES}) WHERE length(${name}) > ${SOUND_BYTES}`);
    }
  }
  const lines = about.split('\n').map((line) => `-- ${line}`);
  for (const { sql } of sqlite
    .prepare("SELECT sql FROM sqlite_master WHERE sql IS NOT NULL AND name NOT LIKE 'sqlite_%' ORDER BY type = 'index', rowid")
    .all()) {
    lines.push(`${sql};`);
  }
  for (const table of tables) {
    const columns = sqlite.pragma(`table_info(${table})`).map(({ name }) => name);
    const values = columns.map((name) => `quote("${name}")`).join(` || ',' || `);
    for (const row of sqlite.prepare(`SELECT ${values} FROM "${table}" ORDER BY rowid`).pluck().all())
      lines.push(`INSERT INTO "${table}" VALUES(${row});`);
  }
  sqlite.close();
  return `${lines.join('\n')}\n`;
}
