import { School } from '../../testing/school.js';
import { addressesOf } from './addresses.js';

const card = (address: string, internal = false) => ({ address, internal, family: 'IPv4' as const, netmask: '', mac: '', cidr: null });
const interfaces = {
  lo: [card('127.0.0.1', true)],
  virtual: [card('172.17.0.1')],
  lost: [card('169.254.3.4')],
  wifi: [card('192.168.1.20')],
};
const at = { publicUrl: null, host: '0.0.0.0', port: 4780, interfaces };

test.each([
  ['the address that was set', { ...at, publicUrl: 'https://zeit.school.test' }, ['https://zeit.school.test']],
  ['those of the machine, likeliest first', at, ['http://192.168.1.20:4780', 'http://172.17.0.1:4780']],
  ['the one it listens to', { ...at, host: '::1' }, ['http://[::1]:4780']],
  ['its own name, where there is no network', { ...at, interfaces: { lo: interfaces.lo } }, ['http://localhost:4780']],
])('pupils are given %s', (_what, where, expected) => {
  expect(addressesOf(where)).toEqual(expected);
});

test('the addresses are for teachers', async () => {
  const school = await new School().start({ addresses: () => addressesOf(at) });
  const teacher = await school.teacher();
  expect((await teacher.send('GET', '/api/addresses')).json()).toEqual(['http://192.168.1.20:4780', 'http://172.17.0.1:4780']);
  expect((await school.browser().send('GET', '/api/addresses')).statusCode).toBe(401);
  await school.remove();
});
