import { School, SET_UP_CODE } from '../../testing/school.js';

let school: School;
beforeEach(async () => {
  school = await new School().start({ limits: { signIn: { perDevice: 4, perAddress: 30, perServer: 120, turnMs: 1000 } } });
});
afterEach(() => school.remove());

const SIGN_IN = { signInName: 'Odalys ', password: 'tern-harbour-lamp' };
const codeOf = (reply: { json: () => { code: string } }) => reply.json().code;

test('the first teacher is set up once, with the code, and finds class and lessons', async () => {
  const stranger = school.browser();
  expect((await stranger.send('GET', '/api/me')).json()).toEqual({ teacher: null, setUpNeeded: true });
  const form = {
    code: '00000000',
    name: 'Ms Fenn',
    signInName: 'odalys',
    password: 'tern-harbour-lamp',
    className: 'Terns',
    pupilNames: ['Bo'],
  };
  expect(codeOf(await stranger.send('POST', '/api/set-up', form))).toBe('SETUP_CODE_WRONG');
  expect((await stranger.send('POST', '/api/set-up', { ...form, code: SET_UP_CODE })).json()).toMatchObject({
    teacher: { name: 'Ms Fenn' },
    setUpNeeded: false,
  });
  expect((await stranger.send('GET', '/api/classes')).json()).toMatchObject([{ name: 'Terns', pupilCount: 1 }]);
  expect((await stranger.send('GET', '/api/lessons')).json()).toHaveLength(3);
  expect(codeOf(await school.browser().send('POST', '/api/set-up', { ...form, code: SET_UP_CODE }))).toBe('SETUP_DONE');
});

test('a wrong password and an unknown name get the same sentence; the right one signs in with a closed cookie', async () => {
  await school.teacher();
  const browser = school.browser();
  const wrong = await browser.send('POST', '/api/sign-in', { ...SIGN_IN, password: 'lamp' });
  const unknown = await browser.send('POST', '/api/sign-in', { ...SIGN_IN, signInName: 'bo' });
  expect(wrong.statusCode).toBe(401);
  expect(wrong.headers['content-type']).toContain('application/problem+json');
  const { number, ...said } = wrong.json();
  expect({ ...unknown.json(), number }).toEqual({ ...said, number }); // each has a number of its own
  expect(wrong.json()).toMatchObject({
    code: 'SIGN_IN_WRONG',
    status: 401,
    detail: expect.stringMatching(/^The sign-in name and the password/),
  });

  const right = await browser.send('POST', '/api/sign-in', SIGN_IN);
  expect(right.cookies[0]).toMatchObject({ httpOnly: true, sameSite: 'Strict', path: '/' });
  expect((await browser.send('GET', '/api/me')).json().teacher.name).toBe('Ms Odalys Fenn');
});

test('neither password nor cookie stands in the database as it is', async () => {
  const browser = await school.teacher();
  const token = browser.cookie.split('=')[1]!;
  const stored = JSON.stringify([
    school.store.sqlite.prepare('SELECT * FROM teacher').all(),
    school.store.sqlite.prepare('SELECT * FROM login_session').all(),
  ]);
  expect(stored).toContain('$argon2id$');
  expect(stored).not.toContain('tern-harbour-lamp');
  expect(stored).not.toContain(token);
});

test('signing out ends the session on the server, and a session ends by itself after a week', async () => {
  const browser = await school.teacher();
  const { cookie } = browser;
  await browser.send('POST', '/api/sign-out');
  expect(codeOf(await school.browser().send('GET', '/api/lessons', undefined, { cookie }))).toBe('SIGN_IN_NEEDED');
  const again = school.browser();
  await again.send('POST', '/api/sign-in', SIGN_IN);
  school.clockMs += 7 * 24 * 3600 * 1000 + 1;
  expect(codeOf(await again.send('GET', '/api/lessons'))).toBe('SIGN_IN_NEEDED');
});

test('behind HTTPS cookies are sent over HTTPS alone', async () => {
  await school.teacher();
  await school.stop();
  for (const [publicUrl, secure] of [
    ['https://school.test', true],
    ['http://school.test', false],
  ] as const) {
    await school.start({ publicUrl });
    const [cookie] = (await school.browser().send('POST', '/api/sign-in', SIGN_IN)).cookies;
    expect(cookie).toMatchObject({ httpOnly: true, sameSite: 'Strict' });
    expect(cookie!.secure ?? false).toBe(secure);
    if (secure) await school.stop();
  }
});

test('guessing the password elsewhere does not lock the teacher out', async () => {
  await school.teacher();
  const stranger = { remoteAddress: '10.9.9.9' };
  for (let guess = 0; guess < 9; guess++) {
    const payload = { ...SIGN_IN, password: `guess ${guess}` };
    await school.app.inject({ method: 'POST', url: '/api/sign-in', payload, headers: { host: 'school.test' }, ...stranger });
  }
  expect((await school.browser().send('POST', '/api/sign-in', SIGN_IN)).statusCode).toBe(200);
});

test('guessing is slowed down after a few tries', async () => {
  const browser = school.browser();
  const codes = [];
  for (let guess = 0; guess < 6; guess++)
    codes.push(codeOf(await browser.send('POST', '/api/sign-in', { ...SIGN_IN, password: `guess ${guess}` })));
  expect(codes).toEqual(['SIGN_IN_WRONG', 'SIGN_IN_WRONG', 'SIGN_IN_WRONG', 'SIGN_IN_WRONG', 'REQUEST_RATE', 'REQUEST_RATE']);
});

test('a change asked for by a page of another site is not made', async () => {
  const browser = await school.teacher();
  expect(codeOf(await browser.send('POST', '/api/sign-out', undefined, { origin: 'https://elsewhere.test' }))).toBe('REQUEST_ORIGIN');
  expect((await browser.send('GET', '/api/me')).json().teacher).not.toBeNull();
  expect((await browser.send('POST', '/api/sign-out', undefined, { origin: 'http://school.test' })).statusCode).toBe(204);
});

test.each([
  ['an unknown member', { ...SIGN_IN, admin: true }, /unknown member “admin”/],
  ['a null password', { ...SIGN_IN, password: null }, /must be string at \/password/],
  ['a missing password', { signInName: 'odalys' }, /required property 'password'/],
])('%s is refused with its place, and nothing is coerced', async (_what, body, sentence) => {
  const reply = await school.browser().send('POST', '/api/sign-in', body);
  expect(reply.json()).toMatchObject({ code: 'REQUEST_SHAPE', status: 400, detail: expect.stringMatching(sentence) });
});
