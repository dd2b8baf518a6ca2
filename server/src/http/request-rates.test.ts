import { RATES } from '@zeitpunkt/contract';
import { schoolWithRoom, type SchoolWithRoom } from '../testing/school.js';

let [school, teacher, room] = [] as unknown as SchoolWithRoom;
beforeEach(async () => ([school, teacher, room] = await schoolWithRoom()));
afterEach(() => school.remove());

test('a device that asks without end is told to wait; another, and its teacher, are not held up by it', async () => {
  const [anouk, bashir] = [await room.join('Anouk'), await room.join('Bashir')];
  const asks = (most: number) => Array.from({ length: most }, () => anouk.send('GET', '/api/desk'));
  expect((await Promise.all(asks(RATES.deskRequests.most))).filter(({ statusCode }) => statusCode === 200)).toHaveLength(
    RATES.deskRequests.most,
  );
  const refused = await anouk.send('GET', '/api/desk');
  expect([refused.json().code, refused.headers['retry-after']]).toEqual(['REQUEST_RATE', '60']);
  expect((await bashir.send('GET', '/api/desk')).statusCode).toBe(200);
  expect((await teacher.send('GET', '/api/me')).statusCode).toBe(200);
  school.clockMs += 60_000;
  expect((await anouk.send('GET', '/api/desk')).statusCode).toBe(200);
});

test('whoever makes up tokens is one stranger behind one address, and holds up nobody who is known', async () => {
  const anouk = await room.join('Anouk');
  const tries = Array.from({ length: RATES.strangerRequests.most + 1 }, (_, index) =>
    school.browser().send('GET', '/api/me', undefined, { cookie: `zp_teacher=made-up-${index}; zp_desk=made-up-${index}` }),
  );
  expect((await Promise.all(tries)).some(({ statusCode }) => statusCode === 429)).toBe(true);
  expect((await anouk.send('GET', '/api/desk')).statusCode).toBe(200);
  expect((await teacher.send('GET', '/api/me')).statusCode).toBe(200);
});
