import { TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideState, provideStore, Store } from '@ngrx/store';
import { FakeServer, Refusal } from '../testing/fake-server';
import { until } from '../testing/render';
import { authActions, authFeature } from './auth';
import * as effects from './auth-effects';

const ME = { teacher: { id: 't', name: 'Ms Odalys Fenn' }, setUpNeeded: false };
const SET_UP = { code: 'c', name: 'Ms Odalys Fenn', signInName: 'odalys', password: 'lamp', className: 'Terns', pupilNames: [] };
const form = { signInName: 'odalys', password: 'lamp' };

function begin(replies: Record<string, unknown>) {
  const server = new FakeServer(replies);
  TestBed.configureTestingModule({
    providers: [provideRouter([]), provideStore(), provideState(authFeature), provideEffects(effects)],
  });
  const store = TestBed.inject(Store);
  const went = jest.spyOn(TestBed.inject(Router), 'navigateByUrl').mockResolvedValue(true);
  return { server, store, went, state: store.selectSignal(authFeature.selectAuthState) };
}

test('whoever signs in goes where they wanted to; with a wrong password nobody goes anywhere, and why is said', async () => {
  const { server, store, went, state } = begin({ 'POST /api/sign-in': new Refusal('SIGN_IN_WRONG', 'They do not belong together.', 401) });
  store.dispatch(authActions.signIn({ form, then: '/lessons' }));
  await until(() => state().problem === 'They do not belong together.');
  expect([went.mock.calls.length, state().teacher]).toEqual([0, null]);
  server.on('POST /api/sign-in', ME);
  store.dispatch(authActions.signIn({ form, then: '/lessons' }));
  await until(() => went.mock.lastCall?.[0] === '/lessons');
  expect(state()).toMatchObject({ known: true, ...ME });
  server.on('POST /api/sign-out', undefined);
  store.dispatch(authActions.signOut());
  await until(() => went.mock.lastCall?.[0] === '/sign-in');
  expect(state().teacher).toBeNull();
});

test('a school is set up where the set-up code goes, an invitation where invitations go, and both lead to Today', async () => {
  const { server, store, went } = begin({ 'POST /api/set-up': ME, 'POST /api/invitation': ME });
  for (const [invited, route] of [
    [false, 'POST /api/set-up'],
    [true, 'POST /api/invitation'],
  ] as const) {
    store.dispatch(authActions.setUp({ form: SET_UP, invited }));
    store.dispatch(authActions.setUp({ form: SET_UP, invited })); // a second press while the first is under way
    const before = went.mock.calls.length;
    await until(() => went.mock.calls.length > before);
    expect(server.sent(route)).toHaveLength(1);
  }
  expect(went.mock.calls.map(([to]) => to)).toEqual(['/today', '/today']);
});
