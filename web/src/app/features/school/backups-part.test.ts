import { within } from '@testing-library/dom';
import type { BackupStatus } from '@zeitpunkt/contract';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { render, textOf, until } from '../../testing/render';
import { BackupsPart } from './backups-part';

const EACH = { to: '/srv/backups', atMin: 1020, most: 14 };
const LAST = { atMs: new Date(2026, 10, 30, 17, 0, 12).getTime(), bytes: 12.4 * 2 ** 20, sealed: true };
const status = (own: Partial<BackupStatus> = {}): BackupStatus => ({
  each: EACH,
  kept: [LAST.atMs],
  last: LAST,
  problem: null,
  holdDeleted: null,
  running: false,
  ...own,
});

afterEach(() => jest.restoreAllMocks());

test('when the last one was made, how large it is and where it lies is said; where none are made, that is said as well', async () => {
  const server = new FakeServer({ 'GET /api/backups': status() });
  const { page, find } = await render(BackupsPart, { mayAsk: false });
  await until(() => textOf(page).includes('/srv/backups'));
  expect(textOf(page)).toMatch(/Monday 30 November, 17:00 \(12\.4 MB, sealed with a passphrase\)\. One is made each day at 17:00/);
  expect(find.queryByRole('button')).toBeNull(); // only the first teacher asks for one
  expect(server.asked).toHaveLength(1);
});

test('the last fortnight is a row of days; one without a backup is told, what lies before the first is not', async () => {
  jest.useFakeTimers({ now: new Date(2026, 11, 1, 12, 0), doNotFake: ['setTimeout', 'queueMicrotask', 'setImmediate', 'performance'] });
  const kept = [0, 1, 3, 4].map((daysAgo) => new Date(2026, 10, 30 - daysAgo, 17, 0).getTime());
  new FakeServer({ 'GET /api/backups': status({ kept }) });
  const { find, page } = await render(BackupsPart, { mayAsk: false });
  await until(() => textOf(page).includes('/srv/backups'));
  jest.useRealTimers();
  expect(find.getByRole('img', { name: 'Backups of 4 days of the last fortnight are there; none of Sat 28 Nov.' })).toBeTruthy();
  expect(page.querySelectorAll('.boxes .made')).toHaveLength(4);
});

test('without a place for backups nothing can be asked for, and what that means is said', async () => {
  new FakeServer({ 'GET /api/backups': status({ each: null, last: null }) });
  const { page, find } = await render(BackupsPart, { mayAsk: true });
  await until(() => textOf(page).includes('No backups are made'));
  expect(find.queryByRole('button')).toBeNull();
});

test('one is made at a press, and the place looks until it is there; why one did not work stays to be read', async () => {
  const server = new FakeServer({ 'GET /api/backups': status({ last: null }), 'POST /api/backups': status({ last: null, running: true }) });
  const { page, find, press } = await render(BackupsPart, { mayAsk: true });
  await until(() => textOf(page).includes('No backup was made yet.'));
  // The place looks again after a second and a half: at once, here.
  const later = window.setTimeout.bind(window);
  jest
    .spyOn(window, 'setTimeout')
    .mockImplementation(((act: () => void, ms?: number) => later(act, ms === 1500 ? 0 : ms)) as typeof window.setTimeout);
  let isMade: (value: BackupStatus) => void = () => undefined;
  server.on('GET /api/backups', () => new Promise<BackupStatus>((resolve) => (isMade = resolve)));
  await press('Back up now');
  await until(() => server.sent('GET /api/backups').length === 2);
  expect(textOf(find.getByRole('status'))).toContain('lessons go on meanwhile');
  expect(find.queryByRole('button')).toBeNull();
  isMade(status({ problem: 'There is no room in /srv/backups.' }));
  await until(() => textOf(page).includes('There is no room in /srv/backups.'));
  expect(textOf(find.getByRole('alert'))).toContain('The last backup did not work.');
  server.on('POST /api/backups', new Refusal('NOT_ALLOWED', 'Only the first teacher of this school can have it backed up.', 403));
  await press('Back up now');
  await until(() => textOf(page).includes('Only the first teacher'));
});

test('backups that hold deleted pupils are told to all; the first teacher has them deleted after a question', async () => {
  const holdDeleted = { count: 3, deletedAtMs: new Date(2026, 10, 30, 9, 0).getTime(), goneAfter: 11 };
  const server = new FakeServer({ 'GET /api/backups': status({ holdDeleted }), 'POST /api/backups/forget-deleted': status() });
  const { page, press } = await render(BackupsPart, { mayAsk: true });
  await until(() =>
    textOf(page).includes('3 backups still hold what was deleted on Monday 30 November. They go by themselves within 11 days.'),
  );
  await press('Delete these backups');
  await until(() => textOf(document.body).includes('A new backup is made first'));
  expect(server.sent('POST /api/backups/forget-deleted')).toHaveLength(0);
  within(document.body).getByRole('button', { name: 'Delete them' }).click();
  await until(() => !textOf(page).includes('still hold'));
});
