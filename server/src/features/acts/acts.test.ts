import { randomUUID } from 'node:crypto';
import { School, TestRoom, type Browser } from '../../testing/school.js';

let school: School;
let first: Browser;
beforeEach(async () => {
  school = await new School().start();
  first = await school.teacher();
});
afterEach(() => school.remove());

interface Act {
  readonly act: string;
  readonly who: string;
  readonly about: string;
  readonly count: number;
}
const acts = async (): Promise<Act[]> => (await first.send('GET', '/api/acts')).json().acts;

test('what is done is written down, by whom, and without a name of a pupil', async () => {
  const room = await TestRoom.open(school, first);
  const [{ id: classId }] = (await first.send('GET', '/api/classes')).json();
  const of = `/api/classes/${classId}`;
  await first.send('GET', `${of}/pupils/${room.pupilId('Anouk')}/export`);
  await first.send('GET', `${of}/results.csv`);
  await first.send('POST', `${of}/pupils/${room.pupilId('Anouk')}/delete`);
  await first.send('POST', '/api/staff/invitations', { id: randomUUID(), forWhom: 'Mr Skua' });
  // However often a stranger tries, once an hour is enough to know it.
  for (let times = 0; times < 3; times += 1)
    await school.browser().send('POST', '/api/sign-in', { signInName: 'odalys', password: 'wrong-as-can-be' });
  const told = await acts();
  expect(told.map(({ act, who }) => `${who}: ${act}`)).toEqual([
    'Ms Odalys Fenn: sign-in-failed',
    'Ms Odalys Fenn: teacher-invited',
    'Ms Odalys Fenn: pupil-deleted',
    'Ms Odalys Fenn: results-exported',
    'Ms Odalys Fenn: pupil-exported',
    'Ms Odalys Fenn: teacher-joined',
  ]);
  expect(told.find(({ act }) => act === 'pupil-deleted')).toMatchObject({ about: 'Terns', count: 1 });
  expect(JSON.stringify(told)).not.toContain('Anouk');
});

test('the list is the first teacher’s, and what is older than it is kept goes', async () => {
  const { code } = (await first.send('POST', '/api/staff/invitations', { id: randomUUID(), forWhom: 'Tam' })).json();
  const tam = school.browser();
  await tam.send('POST', '/api/invitation', {
    code,
    name: 'Tam',
    signInName: 'tam',
    password: 'tide-gauge-on-ness',
    className: 'Gannets',
    pupilNames: [],
  });
  expect((await tam.send('GET', '/api/acts')).json().code).toBe('NOT_ALLOWED');
  expect((await tam.send('POST', '/api/acts/keep', { keepDays: 30 })).json().code).toBe('NOT_ALLOWED');
  school.clockMs += 20 * 24 * 3600_000;
  await first.send('POST', '/api/sign-in', { signInName: 'odalys', password: 'tern-harbour-lamp' });
  expect(await acts()).toHaveLength(4);
  const kept = (await first.send('POST', '/api/acts/keep', { keepDays: 14 })).json();
  expect([kept.keepDays, kept.acts.map(({ act }: Act) => act)]).toEqual([14, ['signed-in']]);
  expect((await first.send('POST', '/api/acts/keep', { keepDays: 1 })).statusCode).toBe(400);
});
