import { inject } from '@angular/core';
import { Router } from '@angular/router';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import type { Me } from '@zeitpunkt/contract';
import { catchError, exhaustMap, from, map, of, switchMap, tap } from 'rxjs';
import { ApiProblem, ask, sentenceOf } from '../shared/api';
import { authActions } from './auth';

const failed = (error: unknown) => {
  const codeNeeded = error instanceof ApiProblem && error.code === 'SECOND_FACTOR_NEEDED';
  return of(authActions.failed({ problem: sentenceOf(error), ...(codeNeeded && { codeNeeded }) }));
};

export const askWho = createEffect(
  (actions = inject(Actions)) =>
    actions.pipe(
      ofType(authActions.asked),
      exhaustMap(() =>
        from(ask<Me>('GET', '/api/me')).pipe(
          map((me) => authActions.told({ me })),
          catchError(failed),
        ),
      ),
    ),
  { functional: true },
);

export const signIn = createEffect(
  (actions = inject(Actions)) =>
    actions.pipe(
      ofType(authActions.signIn),
      exhaustMap(({ form, then }) =>
        from(ask<Me>('POST', '/api/sign-in', form)).pipe(
          map((me) => authActions.signedIn({ me, then })),
          catchError(failed),
        ),
      ),
    ),
  { functional: true },
);

export const setUp = createEffect(
  (actions = inject(Actions)) =>
    actions.pipe(
      ofType(authActions.setUp),
      exhaustMap(({ form, invited }) =>
        from(ask<Me>('POST', invited ? '/api/invitation' : '/api/set-up', form)).pipe(
          map((me) => authActions.signedIn({ me, then: '/today' })),
          catchError(failed),
        ),
      ),
    ),
  { functional: true },
);

export const choosePassword = createEffect(
  (actions = inject(Actions)) =>
    actions.pipe(
      ofType(authActions.choosePassword),
      exhaustMap(({ form }) =>
        from(ask<Me>('POST', '/api/reset', form)).pipe(
          map((me) => authActions.signedIn({ me, then: '/today' })),
          catchError(failed),
        ),
      ),
    ),
  { functional: true },
);

export const signOut = createEffect(
  (actions = inject(Actions)) =>
    actions.pipe(
      ofType(authActions.signOut),
      switchMap(() =>
        from(ask('POST', '/api/sign-out')).pipe(
          map(() => authActions.signedOut()),
          catchError(failed),
        ),
      ),
    ),
  { functional: true },
);

export const goOn = createEffect(
  (actions = inject(Actions), router = inject(Router)) =>
    actions.pipe(
      ofType(authActions.signedIn, authActions.signedOut),
      tap((action) => void router.navigateByUrl('then' in action ? action.then : '/sign-in')),
    ),
  { functional: true, dispatch: false },
);
