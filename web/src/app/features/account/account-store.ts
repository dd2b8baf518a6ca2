import { inject } from '@angular/core';
import { Store } from '@ngrx/store';
import { patchState, signalStore, withHooks, withMethods, withState } from '@ngrx/signals';
import type { MyAccount, SecondFactorBegun } from '@zeitpunkt/contract';
import { ask } from '../../shared/api';
import { withProblem } from '../../shared/with-problem';
import { authActions } from '../../state/auth';
import { ACCOUNT_WORDS } from './words';

interface AccountState {
  readonly account: MyAccount | null;
  /** What was just done. */
  readonly word: string | null;
  /** What an app for one-time codes is set up with, while that is done. */
  readonly begun: SecondFactorBegun | null;
}

/** The account of whoever is signed in. */
export const AccountStore = signalStore(
  withState<AccountState>({ account: null, word: null, begun: null }),
  withProblem(),
  withMethods((store, auth = inject(Store)) => {
    const done = () => ACCOUNT_WORDS().done;
    /** Changes something; what stood there before, said or wrong, is over. */
    const change = (path: string, body: unknown, word: string) =>
      store.attempt(async () => {
        patchState(store, { word: null });
        patchState(store, { account: await ask<MyAccount>('POST', `/api/account/${path}`, body), word });
      });
    const load = () => store.attempt(async () => patchState(store, { account: await ask<MyAccount>('GET', '/api/account') }));
    return {
      load,
      async rename(name: string, signInName: string): Promise<void> {
        if (await change('names', { name, signInName }, done().names)) auth.dispatch(authActions.asked());
      },
      changePassword: (password: string, newPassword: string) => change('password', { password, newPassword }, done().password),
      signOutAt: (id: string) => change(`logins/${id}/end`, undefined, done().signedOut),
      signOutElsewhere: () => change('logins/end-others', undefined, done().signedOutElsewhere),

      beginSecondFactor: () =>
        store.attempt(async () => patchState(store, { begun: await ask('POST', '/api/account/second-factor/begin'), word: null })),
      giveUp: () => patchState(store, { begun: null, problem: null }),
      confirm: (code: string) =>
        store.attempt(async () => {
          await ask('POST', '/api/account/second-factor', { secret: store.begun()!.secret, code });
          patchState(store, ({ account }) => ({
            account: account && { ...account, secondFactor: true },
            begun: null,
            word: done().secondFactorOn,
          }));
        }),
      endSecondFactor: (password: string) =>
        store.attempt(async () => {
          await ask('POST', '/api/account/second-factor/end', { password });
          patchState(store, ({ account }) => ({ account: account && { ...account, secondFactor: false }, word: done().secondFactorOff }));
        }),
    };
  }),
  withHooks({ onInit: (store) => void store.load() }),
);
