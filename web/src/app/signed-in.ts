import { inject } from '@angular/core';
import { type CanActivateFn, Router } from '@angular/router';
import { Store } from '@ngrx/store';
import { filter, map, take } from 'rxjs';
import { authActions, authFeature } from './state/auth';

/** Lets signed-in teachers through and sends others to sign in, or to set up the first teacher. */
export const signedIn: CanActivateFn = (_route, target) => {
  const store = inject(Store);
  const router = inject(Router);
  store.dispatch(authActions.asked());
  return store.select(authFeature.selectAuthState).pipe(
    filter((auth) => auth.known),
    take(1),
    map((auth) => {
      if (auth.teacher) return true;
      return router.createUrlTree([auth.setUpNeeded ? '/set-up' : '/sign-in'], {
        queryParams: target.url === '/' ? {} : { then: target.url },
      });
    }),
  );
};
