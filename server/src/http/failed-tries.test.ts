import { FailedTries } from './failed-tries.js';

const LIMITS = { perDevice: 3, perAddress: 6, perServer: 12, turnMs: 15 };
let nowMs = 0;
const tries = () => new FailedTries(LIMITS, () => nowMs);
const fail = (one: FailedTries, device: string | null, address: string, times: number) => {
  for (let time = 0; time < times; time++) one.failed(device, address);
};
/** How long a try waited, in milliseconds; null where it was refused. */
async function waited(one: FailedTries, device: string | null, address: string): Promise<number | null> {
  const from = performance.now();
  return one.mayTry(device, address).then(
    () => performance.now() - from,
    () => null,
  );
}

test('a device that fails is refused for a minute; others behind its address are not', async () => {
  const one = tries();
  fail(one, 'tablet', 'home', 3);
  expect(await waited(one, 'tablet', 'home')).toBeNull();
  expect(await waited(one, 'other', 'home')).not.toBeNull();
  expect(await waited(one, null, 'home')).not.toBeNull();
  nowMs += 60_001;
  expect(await waited(one, 'tablet', 'home')).not.toBeNull();
});

test('an address behind which much fails is slowed down, one try after the other, and never shut out', async () => {
  const one = tries();
  for (const device of ['a', 'b', 'c']) fail(one, device, 'home', 2);
  const together = await Promise.all(Array.from({ length: 12 }, (_, index) => waited(one, `new ${index}`, 'home')));
  const taken = together.filter((ms) => ms !== null);
  expect(taken.length).toBeGreaterThanOrEqual(4);
  expect(together.filter((ms) => ms === null).length).toBeGreaterThan(0);
  expect(Math.max(...taken)).toBeGreaterThanOrEqual(2 * LIMITS.turnMs);
  await new Promise((resolve) => setTimeout(resolve, 6 * LIMITS.turnMs));
  expect(await waited(one, 'a new device', 'home')).not.toBeNull();
  expect(await waited(one, 'a device elsewhere', 'school')).not.toBeNull();
});

test('devices that cannot be told apart share one count, and are slowed down too', async () => {
  const one = tries();
  fail(one, null, 'home', 3);
  expect((await Promise.all(Array.from({ length: 9 }, () => waited(one, null, 'home')))).includes(null)).toBe(true);
  expect(one.wrongLately).toBe(3);
  one.failed(null, 'home', false); // the key of a closed door
  expect(one.wrongLately).toBe(3);
});

test('tries that take a while count from their beginning: many at once are no way round, and a right one counts for nothing', async () => {
  const one = tries();
  const many = await Promise.allSettled(Array.from({ length: 10 }, () => one.begin('guesser', 'home')));
  expect(many.filter(({ status }) => status === 'fulfilled')).toHaveLength(LIMITS.perDevice);
  const other = tries();
  for (let time = 0; time < 10; time++) (await other.begin('teacher', 'home'))();
  expect([await waited(other, 'teacher', 'home'), other.wrongLately]).toEqual([expect.any(Number), 0]);
});
