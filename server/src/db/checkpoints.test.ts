import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { MIGRATIONS } from '../testing/school.js';
import { openStore } from './connection.js';

const dataDir = mkdtempSync(join(tmpdir(), 'zeitpunkt-'));
afterAll(() => rmSync(dataDir, { recursive: true }));

test('what was written moves from the log into the database once nobody writes, not within a commit, and not for a little', () => {
  jest.useFakeTimers();
  const { sqlite, close } = openStore({ dataDir, migrationsDir: MIGRATIONS });
  sqlite.exec('CREATE TABLE note (text TEXT) STRICT');
  const insert = sqlite.prepare('INSERT INTO note VALUES (?)');
  const write = sqlite.transaction((from: number, count: number) => {
    for (let at = from; at < from + count; at++) insert.run(`note ${at}.`.padEnd(3000));
  });
  const isMoved = (at: number) => readFileSync(join(dataDir, 'zeitpunkt.sqlite')).includes(`note ${at}.`);
  // More pages than those at which the next commit would move them otherwise.
  for (let batch = 0; batch < 20; batch++) write(100 * batch, 100);
  expect(isMoved(0)).toBe(false);
  jest.advanceTimersByTime(500); // written since the look before
  expect(isMoved(0)).toBe(false);
  jest.advanceTimersByTime(500);
  expect([isMoved(0), isMoved(1999)]).toEqual([true, true]);
  write(2000, 10);
  jest.advanceTimersByTime(5000);
  expect(isMoved(2000)).toBe(false);
  close();
  expect(isMoved(2000)).toBe(true);
  jest.advanceTimersByTime(500);
  expect(jest.getTimerCount()).toBe(0);
});
