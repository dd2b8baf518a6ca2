import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { provideState, provideStore, Store } from '@ngrx/store';
import type { MyAccount } from '@zeitpunkt/contract';
import { authActions, authFeature } from '../../state/auth';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { render, textOf, until } from '../../testing/render';
import { Account } from './account';

const AT = new Date(2026, 10, 30, 9, 40).getTime();
const account = (own: Partial<MyAccount> = {}): MyAccount => ({
  name: 'Ms Odalys Fenn',
  signInName: 'odalys',
  secondFactor: false,
  isFirst: true,
  logins: [
    { id: 'here', browser: 'Firefox, Linux', beganAtMs: AT, seenAtMs: AT, isThis: true },
    { id: 'tablet', browser: '', beganAtMs: AT, seenAtMs: AT, isThis: false },
  ],
  ...own,
});

async function open(own: Partial<MyAccount> = {}) {
  const server = new FakeServer({ 'GET /api/account': account(own) });
  const screen = await render(Account, {}, [provideRouter([]), provideStore(), provideState(authFeature)]);
  await until(() => textOf(screen.page).includes('Where you are signed in'));
  return { ...screen, server, says: (text: string) => until(() => textOf(screen.page).includes(text)) };
}

test('names and password change, and the server’s reason stands there where they do not', async () => {
  const { find, type, press, server, says } = await open();
  await type(find.getByLabelText('Sign-in name'), 'tam');
  server.on('POST /api/account/names', new Refusal('SIGN_IN_NAME_TAKEN', 'Somebody here signs in as tam already.'));
  await press('Keep these names');
  await until(() => find.queryByRole('alert') !== null);
  server.on('POST /api/account/names', account({ signInName: 'fenn' }));
  await type(find.getByLabelText('Sign-in name'), 'fenn');
  await press('Keep these names');
  await says('Your names are kept.');
  expect(server.sent('POST /api/account/names').at(-1)).toEqual({ name: 'Ms Odalys Fenn', signInName: 'fenn' });

  await type(find.getByLabelText('Your password now'), 'tern-harbour-lamp');
  await type(find.getByLabelText('New password'), 'short');
  await press('Change the password');
  expect(server.sent('POST /api/account/password')).toEqual([]);
  server.on('POST /api/account/password', account());
  await type(find.getByLabelText('New password'), 'guillemot-on-the-tide');
  await press('Change the password');
  await says('Your password is changed.');
  expect(find.getByLabelText<HTMLInputElement>('New password').value).toBe('');
});

test('one-time codes are turned on once the app has shown one, and off by the own password', async () => {
  const { find, type, press, server, says, page } = await open();
  server.on('POST /api/account/second-factor/begin', {
    secret: 'ABCDEFGHIJKLMNOP',
    uri: 'otpauth://totp/Zeitpunkt:odalys?secret=ABCDEFGHIJKLMNOP',
  });
  await press('Use one-time codes');
  await says('ABCD EFGH IJKL MNOP');
  await press('Turn on');
  expect(textOf(page)).toContain('Six digits, please.');
  server.on('POST /api/account/second-factor', undefined);
  await type(find.getByLabelText('Six digits from the app'), '123 456');
  await press('Turn on');
  await says('One-time codes are on');
  expect(server.sent('POST /api/account/second-factor')).toEqual([{ secret: 'ABCDEFGHIJKLMNOP', code: '123456' }]);
  await press('No one-time codes any more');
  server.on('POST /api/account/second-factor/end', undefined);
  await type(find.getByLabelText('Your password'), 'tern-harbour-lamp');
  await press('Turn off');
  await says('One-time codes are off.');
});

test('another browser is signed out alone, or all of them; the one at hand cannot be', async () => {
  const { find, press, server, says, page } = await open();
  expect(find.getAllByRole('button', { name: /^Sign out at/ })).toHaveLength(1);
  server.on('POST /api/account/logins/end-others', account({ logins: account().logins.slice(0, 1) }));
  await press('Sign out everywhere else');
  await says('You are signed in here alone.');
  expect(textOf(page)).toContain('Signed out everywhere else.');
});

test('the first teacher does not leave before the role is with somebody else', async () => {
  const { find, page } = await open();
  expect(textOf(page)).toContain('Hand that role on before');
  expect(find.queryByRole('button', { name: 'Close my account' })).toBeNull();
});

test('another teacher asks to leave, and what is left is asked for first', async () => {
  const { find, press, server } = await open({ isFirst: false });
  TestBed.inject(Store).dispatch(authActions.told({ me: { teacher: { id: 't2', name: 'Mr Ruan Holm' }, setUpNeeded: false } }));
  server.on('GET /api/staff', { teachers: [], invitations: [], mayInvite: false });
  server.on('GET /api/staff/t2/closing', { classes: [{ id: 'c1', name: 'Puffins', pupils: 3 }], lessons: 2, dials: 0 });
  expect(find.getByText(/Your classes go to colleagues first/)).toBeTruthy();
  await press('Close my account');
  await until(() => textOf(document.body).includes('must go to a colleague, or be deleted, before: Puffins.'));
});
