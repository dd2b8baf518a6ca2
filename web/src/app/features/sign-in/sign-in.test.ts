import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { provideState, provideStore, Store } from '@ngrx/store';
import { authActions, authFeature } from '../../state/auth';
import { render, textOf } from '../../testing/render';
import { SetUp } from '../set-up/set-up';
import { SignIn } from './sign-in';

const providers = () => [provideRouter([]), provideStore(), provideState(authFeature)];
async function open(component: typeof SignIn | typeof SetUp, inputs: Record<string, unknown> = {}) {
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
  [undefined, '/ladder'],
  ['/lessons/l1', '/lessons/l1'],
  ['//elsewhere.test', '/ladder'],
  ['https://elsewhere.test', '/ladder'],
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

test('a school begins with its first teacher and class; names that stand twice are said', async () => {
  const { find, fill, press, said, page, type } = await open(SetUp);
  await fill({
    'Set-up code': '12345678',
    'Your name, as pupils know it': 'Ms Fenn',
    'Sign-in name': 'odalys',
    Password: 'short',
    'Your class': 'Terns',
  });
  const pupils = find.getByLabelText('Pupils, one display name on each line');
  await type(pupils, ' Anouk \n\nBashir\nAnouk');
  expect(textOf(page)).toContain('3 pupils; a list from a file');
  await press('Start');
  expect(said()).toEqual([]);
  expect(textOf(page)).toContain('At least 10 characters, please.');
  expect(textOf(page)).toContain('Anouk stands there twice');
  await fill({ Password: 'tern-harbour-lamp' });
  await type(pupils, ' Anouk \n\nBashir');
  await press('Start');
  expect(said()).toEqual([
    expect.objectContaining({
      form: {
        code: '12345678',
        name: 'Ms Fenn',
        signInName: 'odalys',
        password: 'tern-harbour-lamp',
        className: 'Terns',
        pupilNames: ['Anouk', 'Bashir'],
      },
      invited: false,
    }),
  ]);
});

test('the link of an invitation brings its code along', async () => {
  history.replaceState(null, '', '#code=ABCD-EFGH');
  const { find } = await open(SetUp, { invited: true });
  expect(find.getByLabelText<HTMLInputElement>('Invitation code').value).toBe('ABCD-EFGH');
  expect(find.getByRole('heading', { name: 'Welcome to Zeitpunkt' })).toBeTruthy();
  history.replaceState(null, '', '#');
});
