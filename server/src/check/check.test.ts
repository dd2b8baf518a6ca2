import { chmodSync, mkdtempSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readOptions } from '../options.js';
import { School } from '../testing/school.js';
import { checkMachine, type MachineFacts } from './check.js';
import { machineFacts } from './facts.js';

const GOOD: MachineFacts = {
  addresses: ['https://zeit.school.test'],
  publicUrl: 'https://zeit.school.test',
  behindProxy: true,
  port: 4780,
  portUsedBy: 'zeitpunkt',
  answersThere: 'yes',
  nowMs: Date.UTC(2026, 10, 30, 8),
  builtMs: Date.UTC(2026, 10, 1),
  timeZone: 'Europe/Dublin',
  freeBytes: 20 * 2 ** 30,
  schoolBytes: 12 * 2 ** 20,
  directoryProblem: null,
  backupsTo: '/srv/backups',
};
const notFine = (own: Partial<MachineFacts> = {}) => checkMachine({ ...GOOD, ...own }).filter(({ how }) => how !== 'fine');

test('a machine on which all is well has nothing to be told', () => {
  expect(notFine()).toEqual([]);
  expect(checkMachine(GOOD).find(({ what }) => what === 'time')?.sentence).toMatch(
    /^It is Monday,? 30 November 2026 at 08:00 \(Europe\/Dublin\)\.$/,
  );
});

test.each<[string, Partial<MachineFacts>, string, RegExp]>([
  ['another program at the address', { answersThere: { instead: 'ECONNREFUSED' } }, 'address wrong', /does not answer: ECONNREFUSED/],
  ['no network', { publicUrl: null, behindProxy: false, addresses: ['http://localhost:4780'] }, 'address wrong', /in no network/],
  ['a port that is taken', { portUsedBy: 'other', answersThere: null }, 'port wrong', /used by another program/],
  ['a clock before the program', { nowMs: Date.UTC(1970, 0, 2) }, 'time wrong', /before this program was made/],
  ['the time of UTC', { timeZone: 'UTC' }, 'time mind', /by the time of UTC/],
  ['a disk that fills', { freeBytes: 300 * 2 ** 20 }, 'disk mind', /300 MB are free/],
  ['a full disk', { freeBytes: 2 ** 20 }, 'disk wrong', /may not be kept/],
  ['a directory of others', { directoryProblem: 'The directory cannot be used: EACCES.' }, 'rights wrong', /EACCES/],
  ['HTTPS without the proxy being told', { behindProxy: false }, 'proxy wrong', /start it with --proxy/],
  ['no backups', { backupsTo: null }, 'backups mind', /No backups/],
])('%s', (_name, own, found, sentence) => {
  const [first] = notFine(own);
  expect(`${first?.what} ${first?.how}`).toBe(found);
  expect(first?.sentence).toMatch(sentence);
});

test('without HTTPS the microphone is here alone, and a proxy is doubted', () => {
  const found = notFine({ publicUrl: 'http://zeit.school.test', addresses: ['http://zeit.school.test'] });
  expect(found.map(({ what, how }) => `${what} ${how}`)).toEqual(['proxy mind', 'microphone mind']);
});

test('the machine is looked at as it is: who has the port, whether others can read the school', async () => {
  const dataDir = mkdtempSync(join(tmpdir(), 'zeitpunkt-check-'));
  const here = mkdtempSync(join(tmpdir(), 'zeitpunkt-check-'));
  writeFileSync(join(here, 'main.js'), '');
  const lookAt = (port: number, dir = dataDir) =>
    machineFacts(readOptions(['--port', String(port), '--data', dir, '--host', '127.0.0.1'], {}), here);

  const other = createServer((socket) => socket.destroy()).listen(0, '127.0.0.1');
  await new Promise((resolve) => other.once('listening', resolve));
  const { port } = other.address() as { port: number };
  expect((await lookAt(port)).portUsedBy).toBe('other');
  await new Promise((resolve) => other.close(resolve));
  expect(await lookAt(port, join(dataDir, 'not/yet'))).toMatchObject({ portUsedBy: 'nobody', directoryProblem: null, schoolBytes: 0 });

  const school = await new School().start();
  await school.app.listen({ port: 0, host: '127.0.0.1' });
  const own = (school.app.server.address() as { port: number }).port;
  expect(await lookAt(own, school.dataDir)).toMatchObject({ portUsedBy: 'zeitpunkt', answersThere: null, directoryProblem: null });
  chmodSync(join(school.dataDir, 'zeitpunkt.sqlite'), 0o644);
  expect((await lookAt(own, school.dataDir)).directoryProblem).toMatch(/Others on this machine can read/);
  await school.remove();
});
