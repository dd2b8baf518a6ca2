import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { provideState, provideStore, Store } from '@ngrx/store';
import { authActions, authFeature } from '../../state/auth';
import { render, textOf } from '../../testing/render';
import { SetUp } from '../set-up/set-up';
import { Reset } from './reset';
import { SignIn } from './sign-in';

const providers = () => [provideRouter([]), provideStore(), provideState(authFeature)];
async function open(component: typeof SignIn | typeof SetUp | typeof Reset, inputs: Record<string, unknown> = {}) {
  const screen = await render(component, inputs, providers());
  const store = TestBed.inject(Store);
  const dispatch = jest.spyOn(store, 'dispatch');
  const fill = async (fields: Record<string, string>) => {
    for (const [label, value] of Object.entries(fields)) await screen.type(screen.find.getByLabelText(label), value);
  };
  const said = () => dispatch.mock.calls.map(([action]) => action as unknown as Record<string, unknown>);
  return { ...screen, store, fill, said };
}

test.each([
  [undefined, '/today'],
  ['/lessons/l1', '/lessons/l1'],
  ['//elsewhere.test', '/today'],
  ['https://elsewhere.test', '/today'],
])('who wanted to go to %s is led to %s, never to another site', async (then, to) => {
  const { fill, press, said } = await open(SignIn, { then });
  await fill({ 'Sign-in name': 'odalys', Password: 'tern-harbour-lamp' });
  await press('Sign in');
  expect(said()).toEqual([expect.objectContaining({ form: { signInName: 'odalys', password: 'tern-harbour-lamp' }, then: to })]);
});

test('what is missing is said at its field, which is gone to; what the server refuses stands above, and nothing typed is lost', async () => {
  const { find, fill, press, said, store, settled, page } = await open(SignIn);
  await fill({ 'Sign-in name': 'odalys' });
  await press('Sign in');
  expect(said()).toEqual([]);
  expect(textOf(page)).toContain('Please enter your password.');
  expect(document.activeElement).toBe(find.getByLabelText('Password'));
  store.dispatch(authActions.failed({ problem: 'Name and password do not belong together.' }));
  await settled();
  expect(textOf(find.getByRole('alert'))).toBe('Name and password do not belong together.');
  expect(find.getByLabelText<HTMLInputElement>('Sign-in name').value).toBe('odalys');
});

test('where a one-time code is asked for, its field is there and has the keys', async () => {
  const { find, fill, press, said, store, settled } = await open(SignIn);
  await fill({ 'Sign-in name': 'odalys', Password: 'tern-harbour-lamp' });
  expect(find.queryByLabelText('One-time code')).toBeNull();
  store.dispatch(authActions.failed({ problem: 'Please enter the one-time code.', codeNeeded: true }));
  await settled();
  expect(document.activeElement).toBe(find.getByLabelText('One-time code'));
  store.dispatch(authActions.failed({ problem: 'That is not the code.' })); // and stays where it was wrong
  await settled();
  await fill({ 'One-time code': '123456' });
  await press('Sign in');
  expect(said().at(-1)).toMatchObject({ form: { signInName: 'odalys', password: 'tern-harbour-lamp', oneTimeCode: '123456' } });
});

test('a new password is chosen with a code', async () => {
  const { find, fill, press, said, page, store, settled } = await open(Reset);
  store.dispatch(authActions.failed({ problem: 'They do not belong together.' })); // of the sign-in before
  await settled();
  expect(find.queryByRole('alert')).toBeNull();
  await fill({ 'Sign-in name': 'tam', Code: 'abcd-efgh-jkmn', 'New password': 'short' });
  await press('Choose it and sign in');
  expect(said().map(({ type }) => type)).toEqual(['[Auth] Failed']);
  expect(textOf(page)).toContain('At least 10 characters, please.');
  await fill({ 'New password': 'guillemot-on-the-tide' });
  await press('Choose it and sign in');
  expect(said().slice(1)).toEqual([
    expect.objectContaining({ form: { signInName: 'tam', code: 'abcd-efgh-jkmn', password: 'guillemot-on-the-tide' } }),
  ]);
});

test('a school begins with its first teacher and class; a sign-in name is offered until one is chosen', async () => {
  const { find, fill, press, said, page } = await open(SetUp);
  const signInName = () => find.getByLabelText<HTMLInputElement>('Sign-in name').value;
  await fill({ 'Set-up code': '12345678', 'Your name, as pupils know it': 'Ms Odalys Fénn', Password: 'short', 'Your class': 'Terns' });
  expect(signInName()).toBe('fenn');
  await fill({ 'Sign-in name': 'odalys', 'Your name, as pupils know it': 'Ms Fenn' });
  expect(signInName()).toBe('odalys');
  await press('Start');
  expect(said()).toEqual([]);
  expect(textOf(page)).toContain('At least 10 characters, please.');
  await fill({ Password: 'tern-harbour-lamp' });
  await press('Start');
  const form = {
    code: '12345678',
    name: 'Ms Fenn',
    signInName: 'odalys',
    password: 'tern-harbour-lamp',
    className: 'Terns',
    pupilNames: [],
  };
  expect(said()).toEqual([expect.objectContaining({ form, invited: false })]);
});

test('the link of an invitation brings its code along', async () => {
  history.replaceState(null, '', '#code=ABCD-EFGH');
  const { find } = await open(SetUp, { invited: true });
  expect(find.getByLabelText<HTMLInputElement>('Invitation code').value).toBe('ABCD-EFGH');
  expect(find.getByRole('heading', { name: 'Welcome to Zeitpunkt' })).toBeTruthy();
  history.replaceState(null, '', '#');
});
