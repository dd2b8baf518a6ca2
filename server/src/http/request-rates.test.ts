import { RATES } from '@zeitpunkt/contract';
import { sharedOf } from '../shared.js';
import { schoolWithRoom, type SchoolWithRoom } from '../testing/school.js';
import { requestRates } from './request-rates.js';

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
  // Asked as the server asks, without the way there: a stranger may do a lot within a minute.
  const { askerOf } = sharedOf({ store: school.store, nowMs: () => school.clockMs });
  const hook = requestRates(askerOf, () => school.clockMs) as unknown as (
    request: object,
    reply: object,
    done: (error?: Error) => void,
  ) => void;
  const refusals = (cookie: (index: number) => string, count: number) => {
    let refused = 0;
    for (let index = 0; index < count; index++) {
      const cookies = Object.fromEntries(
        cookie(index)
          .split('; ')
          .map((one) => one.split('=')),
      );
      hook({ url: '/api/me', ip: '192.0.2.7', cookies }, { header: () => undefined }, (error) => (refused += error ? 1 : 0));
    }
    return refused;
  };
  expect(refusals(() => '', RATES.strangerRequests.most)).toBe(0);
  expect(refusals((index) => `zp_teacher=made-up-${index}; zp_desk=made-up-${index}`, 5)).toBe(5);
  expect(refusals(() => anouk.cookie, 10)).toBe(0);
  expect(refusals(() => teacher.cookie, 10)).toBe(0);
});
