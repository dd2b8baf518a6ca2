import { randomUUID } from 'node:crypto';
import { School, TestRoom, type Browser } from '../../testing/school.js';

let school: School;
let first: Browser;
beforeEach(async () => {
  school = await new School().start();
  first = await school.teacher();
});
afterEach(() => school.remove());

const FORM = { name: 'Mr Tam Holm', signInName: 'tam', password: 'tide-gauge-on-ness', className: 'Gannets', pupilNames: ['Ivo'] };
const codeOf = (reply: { json: () => { code: string } }) => reply.json().code;
const invite = async (id: string = randomUUID()) =>
  (await first.send('POST', '/api/staff/invitations', { id, forWhom: 'Tam, class 2' })).json();
const come = (code: string, more: object = {}) => {
  const browser = school.browser();
  return browser.send('POST', '/api/invitation', { ...FORM, code, ...more }).then((reply) => ({ browser, reply }));
};

test('the first teacher invites another, who comes once and sees only what is their own', async () => {
  const { code, staff } = await invite();
  expect(staff).toMatchObject({ mayInvite: true, invitations: [{ forWhom: 'Tam, class 2' }] });
  expect(school.store.sqlite.serialize().includes(code.replaceAll('-', ''))).toBe(false);
  const room = await TestRoom.open(school, first);
  expect(codeOf((await come(code, { signInName: 'Odalys' })).reply)).toBe('SIGN_IN_NAME_TAKEN'); // and the invitation can still be used
  const { browser: second } = await come(` ${code.toUpperCase().replaceAll('-', ' ')} `);
  expect((await second.send('GET', '/api/classes')).json()).toMatchObject([{ name: 'Gannets', pupilCount: 1 }]);
  expect((await second.send('GET', '/api/staff')).json()).toMatchObject({
    teachers: [{ name: 'Ms Odalys Fenn' }, { name: 'Mr Tam Holm' }],
    invitations: [],
    mayInvite: false,
  });
  expect(codeOf((await come(code)).reply)).toBe('INVITATION_WRONG');
  expect(codeOf(await second.send('POST', '/api/staff/invitations', { id: randomUUID(), forWhom: 'a friend' }))).toBe('NOT_ALLOWED');

  const [terns] = (await first.send('GET', '/api/classes')).json();
  const of = `/api/classes/${terns.id}`;
  const pupil = `${of}/pupils/${room.pupilId('Anouk')}`;
  const paths: ['GET' | 'POST', string, object?][] = [
    ['GET', of],
    ['GET', `${of}/roster.csv`],
    ['GET', `${of}/record`],
    ['GET', `${of}/retention/30`],
    ['GET', `${pupil}/export`],
    ['POST', `${of}/change`, { name: 'Mine' }],
    ['POST', `${of}/pupils`, { pupils: [{ id: randomUUID(), name: 'Eve', reference: null }] }],
    ['POST', `${pupil}/change`, { name: 'Mine' }],
    ['POST', `${pupil}/leave`, { left: true }],
    ['POST', `${pupil}/move`, { classId: (await second.send('GET', '/api/classes')).json()[0].id }],
    ['POST', `${pupil}/merge`, { into: room.pupilId('Bashir') }],
    ['POST', `${pupil}/delete`],
    ['POST', `${of}/cards`, { pupilIds: [room.pupilId('Anouk')] }],
    ['POST', `${of}/cards/revoke`, { pupilIds: [room.pupilId('Anouk')] }],
    ['POST', `${of}/delete`],
    ['POST', '/api/classes', { id: terns.id, name: 'Mine' }],
  ];
  for (const [method, path, body] of paths) {
    expect([path, codeOf(await second.send(method, path, body))]).toEqual([path, path === '/api/classes' ? 'CLASS_ID_TAKEN' : 'NOT_FOUND']);
  }
  // By way of a class of one's own nobody reaches a colleague's pupil either.
  const [own] = (await second.send('GET', '/api/classes')).json();
  const [mine] = (await second.send('GET', `/api/classes/${own.id}`)).json().pupils;
  const foreign = `/api/classes/${own.id}/pupils/${room.pupilId('Anouk')}`;
  const byWayOfOwn: ['GET' | 'POST', string, object?][] = [
    ['GET', `${foreign}/export`],
    ['POST', `${foreign}/change`, { name: 'Mine' }],
    ['POST', `${foreign}/leave`, { left: true }],
    ['POST', `${foreign}/move`, { classId: own.id }],
    ['POST', `${foreign}/merge`, { into: mine.id }],
    ['POST', `/api/classes/${own.id}/pupils/${mine.id}/merge`, { into: room.pupilId('Anouk') }],
    ['POST', `${foreign}/delete`],
  ];
  for (const [method, path, body] of byWayOfOwn) {
    expect([path, (await second.send(method, path, body)).statusCode]).toEqual([path, 404]);
  }
  const { pupils } = (await first.send('GET', of)).json();
  expect(pupils.map(({ name, leftAtMs }: { name: string; leftAtMs: number | null }) => [name, leftAtMs])).toEqual([
    ['Anouk', null],
    ['Bashir', null],
    ['Ceri', null],
  ]);
});

test('an invitation ends when it is withdrawn, replaced or a week old', async () => {
  const id = randomUUID();
  const [replaced, { code }] = [await invite(id), await invite(id)];
  expect(codeOf((await come(replaced.code)).reply)).toBe('INVITATION_WRONG');
  await first.send('POST', `/api/staff/invitations/${id}/withdraw`);
  expect(codeOf((await come(code)).reply)).toBe('INVITATION_WRONG');
  const late = await invite();
  school.clockMs += 7 * 86_400_000;
  expect(codeOf((await come(late.code)).reply)).toBe('INVITATION_WRONG');
});
