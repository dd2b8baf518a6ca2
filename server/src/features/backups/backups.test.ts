import { CoreError } from '@zeitpunkt/core/errors';
import { eq } from 'drizzle-orm';
import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileNameOf } from '../../backup/names.js';
import { ScheduledBackups } from '../../backup/scheduled.js';
import { schoolAct } from '../../tables/acts.js';
import { anotherTeacher, School } from '../../testing/school.js';

let school: School | null = null;
let to: string;
/** What is done for a backup; it is made when the test says so. */
let make: jest.Mock<Promise<unknown>>;
let told: (string | null)[];
let backups: ScheduledBackups;
let nowMs: number;
let deletedAtMs: number | null;
beforeEach(async () => {
  to = mkdtempSync(join(tmpdir(), 'zeitpunkt-backups-'));
  nowMs = new Date(2026, 11, 1, 12, 0).getTime();
  told = [];
  deletedAtMs = null;
  make = jest.fn(async () => writeFileSync(join(to, fileNameOf({ school: 'terns', atMs: nowMs, sealed: false })), 'x'.repeat(100)));
  backups = new ScheduledBackups({
    to,
    school: 'Terns',
    atMin: 17 * 60,
    most: 14,
    pupilsDeletedAtMs: () => deletedAtMs,
    nowMs: () => nowMs,
    make,
    onDone: (problem) => told.push(problem),
  });
});
afterEach(async () => {
  await school?.remove();
  school = null;
  rmSync(to, { recursive: true });
});

test('one is made each day once its time is over, whenever the server was started, and none twice', async () => {
  await backups.makeIfDue();
  expect(make).not.toHaveBeenCalled(); // noon
  nowMs = new Date(2026, 11, 1, 17, 5).getTime();
  await backups.makeIfDue();
  nowMs = new Date(2026, 11, 1, 23, 55).getTime();
  await backups.makeIfDue();
  expect(make).toHaveBeenCalledTimes(1);
  nowMs = new Date(2026, 11, 2, 17, 0).getTime();
  await backups.makeIfDue();
  expect(make).toHaveBeenCalledTimes(2);
  expect(told).toEqual([null, null]);
  expect(backups.status().last).toEqual({ atMs: nowMs, bytes: 100, sealed: false });
  expect(backups.status().kept).toEqual([nowMs, new Date(2026, 11, 1, 17, 5).getTime()]);
});

test('one that fails is told with its reason, is tried again, and the reason goes when one is made', async () => {
  nowMs = new Date(2026, 11, 1, 18, 0).getTime();
  make.mockRejectedValueOnce(new CoreError('BACKUP_NO_ROOM', 'There is no room in /srv/backups.'));
  await backups.makeIfDue();
  expect(backups.status()).toMatchObject({ problem: 'There is no room in /srv/backups.', last: null });
  await backups.makeIfDue();
  expect(backups.status()).toMatchObject({ problem: null, last: { bytes: 100 } });
});

test('a place that cannot be looked at is told, and stops nothing', async () => {
  rmSync(to, { recursive: true });
  writeFileSync(to, 'a file where backups were to lie');
  expect(backups.status()).toMatchObject({ last: null, problem: expect.stringMatching(/ENOTDIR/) });
  nowMs = new Date(2026, 11, 1, 18, 0).getTime();
  make.mockRejectedValueOnce(new Error('There is no directory for backups.'));
  await backups.makeIfDue();
  expect(told).toEqual(['There is no directory for backups.']);
});

test('those that hold pupils who were deleted since are told, until they are gone or the first teacher has them deleted', async () => {
  const dayMs = 86_400_000;
  for (const daysAgo of [3, 2, 1]) {
    nowMs = new Date(2026, 11, 4 - daysAgo, 17, 0).getTime();
    await backups.make();
  }
  expect(backups.status().holdDeleted).toBeNull();
  deletedAtMs = new Date(2026, 11, 3, 9, 0).getTime(); // before the newest
  expect(backups.status().holdDeleted).toEqual({ count: 2, deletedAtMs, goneAfter: 13 });

  school = await new School().start({ backups });
  const teacher = await school.teacher();
  const colleague = await anotherTeacher(school, teacher);
  expect((await colleague.send('POST', '/api/backups/forget-deleted')).json().code).toBe('NOT_ALLOWED');
  nowMs += dayMs;
  // Without a new one nothing goes: the only whole ones would be lost.
  make.mockRejectedValueOnce(new Error('There is no room.'));
  expect(await backups.forgetDeleted()).toBe(0);
  expect(backups.status().holdDeleted).toMatchObject({ count: 2 });
  const isOver = jest.spyOn(backups, 'forgetDeleted');
  expect((await teacher.send('POST', '/api/backups/forget-deleted')).json()).toMatchObject({ running: true });
  await isOver.mock.results[0]!.value;
  expect(backups.status().holdDeleted).toBeNull();
  expect(readdirSync(to)).toHaveLength(2);
  expect(school.store.db.select().from(schoolAct).where(eq(schoolAct.act, 'backups-deleted')).get()).toMatchObject({ count: 2 });
});

test('every teacher sees how it is; the first one alone has one made, and asked for twice at once it is one', async () => {
  school = await new School().start({ backups });
  const teacher = await school.teacher();
  const colleague = await anotherTeacher(school, teacher);
  expect((await school.browser().send('GET', '/api/backups')).json().code).toBe('SIGN_IN_NEEDED');
  expect((await colleague.send('GET', '/api/backups')).json()).toMatchObject({ each: { to, atMin: 1020 }, last: null, running: false });
  expect((await colleague.send('POST', '/api/backups')).json().code).toBe('NOT_ALLOWED');
  let done: () => void = () => undefined;
  make.mockImplementationOnce(() => new Promise<void>((resolve) => (done = resolve)));
  expect((await teacher.send('POST', '/api/backups')).json()).toMatchObject({ running: true });
  await teacher.send('POST', '/api/backups');
  expect(make).toHaveBeenCalledTimes(1);
  done();
  await backups.make();
  expect((await teacher.send('GET', '/api/backups')).json()).toMatchObject({ running: false });
});

test('where no place is set, that is said', async () => {
  school = await new School().start();
  const teacher = await school.teacher();
  expect((await teacher.send('GET', '/api/backups')).json()).toEqual({
    each: null,
    kept: [],
    last: null,
    problem: null,
    holdDeleted: null,
    running: false,
  });
  expect((await teacher.send('POST', '/api/backups')).json().code).toBe('BACKUP_NOWHERE');
});
