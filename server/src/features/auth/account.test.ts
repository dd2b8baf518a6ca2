import { generateSync } from 'otplib';
import { randomUUID } from 'node:crypto';
import { MIGRATIONS, School, type Browser } from '../../testing/school.js';
import { reset } from '../../reset/reset.js';

const OWN = 'tern-harbour-lamp';
const NEXT = 'guillemot-on-the-tide';

let school: School;
let first: Browser;
beforeEach(async () => {
  school = await new School().start();
  first = await school.teacher();
});
afterEach(() => school.remove());

const codeOf = (reply: { json: () => { code: string } }) => reply.json().code;
const signIn = (browser: Browser, more: object = {}) =>
  browser.send('POST', '/api/sign-in', { signInName: 'odalys', password: OWN, ...more });
const account = async (browser: Browser) => (await browser.send('GET', '/api/account')).json();

/** A colleague who came by invitation. */
async function colleague(): Promise<{ browser: Browser; id: string }> {
  const { code } = (await first.send('POST', '/api/staff/invitations', { id: randomUUID(), forWhom: 'Tam' })).json();
  const form = { name: 'Mr Tam Holm', signInName: 'tam', password: OWN, className: 'Gannets', pupilNames: ['Ivo'] };
  const browser = school.browser();
  await browser.send('POST', '/api/invitation', { ...form, code });
  return { browser, id: (await browser.send('GET', '/api/me')).json().teacher.id };
}

test('a password is changed by whoever knows the old one, and every other browser is signed out', async () => {
  const other = school.browser();
  await signIn(other);
  expect(codeOf(await first.send('POST', '/api/account/password', { password: 'not-mine-at-all', newPassword: NEXT }))).toBe(
    'PASSWORD_WRONG',
  );
  expect((await other.send('GET', '/api/account')).statusCode).toBe(200);
  await first.send('POST', '/api/account/password', { password: OWN, newPassword: NEXT });
  expect([(await other.send('GET', '/api/account')).statusCode, (await first.send('GET', '/api/account')).statusCode]).toEqual([401, 200]);
  expect([(await signIn(other)).statusCode, (await signIn(other, { password: NEXT })).statusCode]).toEqual([401, 200]);
});

test('browsers that are signed in are listed, one is signed out alone, all others at once', async () => {
  const [tablet, library] = [school.browser(), school.browser()];
  school.clockMs += 3600_000;
  await tablet.send(
    'POST',
    '/api/sign-in',
    { signInName: 'odalys', password: OWN },
    { 'user-agent': 'Mozilla/5.0 (iPad; CPU OS 17_0 like Mac OS X) Safari/604.1' },
  );
  await signIn(library);
  const { logins } = await account(first);
  expect(logins.map((one: { isThis: boolean }) => one.isThis).filter(Boolean)).toHaveLength(1);
  const onTablet = logins.find((one: { browser: string }) => one.browser === 'Safari, iPad');
  expect(onTablet).toMatchObject({ beganAtMs: school.clockMs, isThis: false });
  expect((await first.send('POST', `/api/account/logins/${onTablet.id}/end`)).json().logins).toHaveLength(2);
  expect((await tablet.send('GET', '/api/account')).statusCode).toBe(401);
  expect((await first.send('POST', '/api/account/logins/end-others')).json().logins).toHaveLength(1);
  expect([(await library.send('GET', '/api/account')).statusCode, (await first.send('GET', '/api/account')).statusCode]).toEqual([
    401, 200,
  ]);
  const { browser: tam } = await colleague();
  const [own] = (await account(first)).logins;
  await tam.send('POST', `/api/account/logins/${own.id}/end`); // nobody else's
  expect((await first.send('GET', '/api/account')).statusCode).toBe(200);
});

test('with a second factor a sign-in needs a code of now, once; it ends by the own password', async () => {
  const codeNow = (secret: string) => generateSync({ secret, epoch: Math.floor(school.clockMs / 1000) });
  const { secret, uri } = (await first.send('POST', '/api/account/second-factor/begin')).json();
  expect(uri).toContain(`secret=${secret}`);
  expect(codeOf(await first.send('POST', '/api/account/second-factor', { secret, code: '000000' }))).toBe('SECOND_FACTOR_WRONG');
  const other = school.browser();
  expect((await signIn(other)).statusCode).toBe(200); // nothing is asked for before the app has shown a code
  await first.send('POST', '/api/account/second-factor', { secret, code: codeNow(secret) });
  expect(codeOf(await signIn(other))).toBe('SECOND_FACTOR_NEEDED');
  expect(codeOf(await signIn(other, { password: 'wrong-one-here' }))).toBe('SIGN_IN_WRONG'); // and not a word of the second factor
  expect(codeOf(await signIn(other, { oneTimeCode: codeNow(secret) }))).toBe('SECOND_FACTOR_WRONG'); // that one was used to begin
  school.clockMs += 60_000;
  const code = codeNow(secret);
  expect((await signIn(other, { oneTimeCode: `${code.slice(0, 3)} ${code.slice(3)}` })).statusCode).toBe(200);
  expect(codeOf(await signIn(school.browser(), { oneTimeCode: code }))).toBe('SECOND_FACTOR_WRONG');
  expect(codeOf(await first.send('POST', '/api/account/second-factor/end', { password: 'not-mine-at-all' }))).toBe('PASSWORD_WRONG');
  await first.send('POST', '/api/account/second-factor/end', { password: OWN });
  expect((await signIn(other)).statusCode).toBe(200);
});

test('codes are guessed ten times an hour, wherever from, also by whoever has the password', async () => {
  const { secret } = (await first.send('POST', '/api/account/second-factor/begin')).json();
  await first.send('POST', '/api/account/second-factor', {
    secret,
    code: generateSync({ secret, epoch: Math.floor(school.clockMs / 1000) }),
  });
  for (let guess = 0; guess < 10; guess += 1) {
    if (guess % 5 === 0) school.clockMs += 61_000; // wrong passwords of a minute are another count
    expect(codeOf(await signIn(school.browser(), { oneTimeCode: '000000' }))).toBe('SECOND_FACTOR_WRONG');
  }
  school.clockMs += 61_000;
  const now = () => ({ oneTimeCode: generateSync({ secret, epoch: Math.floor(school.clockMs / 1000) }) });
  expect(codeOf(await signIn(school.browser(), now()))).toBe('REQUEST_RATE');
  school.clockMs += 3600_000;
  expect((await signIn(school.browser(), now())).statusCode).toBe(200);
});

test('names change; a sign-in name that somebody has does not', async () => {
  await colleague();
  expect(codeOf(await first.send('POST', '/api/account/names', { name: 'Ms Fenn', signInName: 'Tam' }))).toBe('SIGN_IN_NAME_TAKEN');
  const changed = await first.send('POST', '/api/account/names', { name: ' Ms Fenn ', signInName: ' Fenn ' });
  expect(changed.json()).toMatchObject({ name: 'Ms Fenn', signInName: 'fenn', isFirst: true });
  expect((await signIn(school.browser(), { signInName: 'FENN' })).statusCode).toBe(200);
});

test('the first teacher makes a code for whoever forgot the password: once, within a day, and the second factor goes', async () => {
  const { browser: tam, id } = await colleague();
  const { secret } = (await tam.send('POST', '/api/account/second-factor/begin')).json();
  await tam.send('POST', '/api/account/second-factor', {
    secret,
    code: generateSync({ secret, epoch: Math.floor(school.clockMs / 1000) }),
  });
  expect(codeOf(await tam.send('POST', `/api/staff/${id}/reset-code`))).toBe('NOT_ALLOWED');
  const { code } = (await first.send('POST', `/api/staff/${id}/reset-code`)).json();
  expect(school.store.sqlite.serialize().includes(code.replaceAll('-', ''))).toBe(false);
  const choose = (more: object = {}) => school.browser().send('POST', '/api/reset', { signInName: 'tam', code, password: NEXT, ...more });
  expect(codeOf(await choose({ signInName: 'odalys' }))).toBe('RESET_WRONG'); // a code is its teacher's alone
  school.clockMs += 25 * 3600_000;
  expect(codeOf(await choose())).toBe('RESET_WRONG');
  school.clockMs -= 2 * 3600_000;
  const back = await choose({ code: code.toUpperCase() });
  expect(back.json().teacher).toEqual({ id, name: 'Mr Tam Holm' });
  expect((await tam.send('GET', '/api/account')).statusCode).toBe(401);
  expect(codeOf(await choose())).toBe('RESET_WRONG');
  expect((await signIn(school.browser(), { signInName: 'tam', password: NEXT })).statusCode).toBe(200);
});

test('the role of the first teacher is handed on', async () => {
  const { browser: tam, id } = await colleague();
  expect(codeOf(await tam.send('POST', `/api/staff/${id}/first`))).toBe('NOT_ALLOWED');
  expect((await first.send('POST', `/api/staff/${id}/first`)).json()).toMatchObject({
    mayInvite: false,
    teachers: [{ isFirst: false }, { name: 'Mr Tam Holm', isFirst: true, classes: ['Gannets'] }],
  });
  expect(codeOf(await first.send('POST', `/api/staff/${id}/first`))).toBe('NOT_ALLOWED');
});

test('where nobody can sign in any more, the machine itself makes a code, while the server runs', async () => {
  const wish = { dataDir: school.dataDir, migrationsDir: MIGRATIONS, first: false, nowMs: school.clockMs };
  await colleague();
  expect(await reset({ ...wish, signInName: null })).toMatchObject({
    teachers: [
      { signInName: 'odalys', isFirst: true },
      { signInName: 'tam', isFirst: false },
    ],
  });
  await expect(reset({ ...wish, signInName: 'nobody' })).rejects.toMatchObject({ code: 'TEACHER_UNKNOWN' });
  await expect(reset({ ...wish, dataDir: '/nowhere', signInName: 'tam' })).rejects.toMatchObject({ code: 'START_DATA_DIR' });
  const done = await reset({ ...wish, signInName: 'Tam', first: true });
  const tam = school.browser();
  await tam.send('POST', '/api/reset', { signInName: 'tam', code: 'code' in done && done.code, password: NEXT });
  expect(await account(tam)).toMatchObject({ isFirst: true, signInName: 'tam' });
});
