import { inject } from '@angular/core';
import { type CanActivateFn, Router, type Routes } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideState, Store } from '@ngrx/store';
import { filter, map, take } from 'rxjs';
import { authActions, authFeature } from './state/auth';
import * as authEffects from './state/auth-effects';
import { liveFeature } from './state/live';
import * as liveEffects from './state/live-effects';

/** Lets signed-in teachers through and sends others to sign in, or to set up the first teacher. */
const signedIn: CanActivateFn = (_route, target) => {
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

export const teacherRoutes: Routes = [
  {
    path: '',
    providers: [provideState(authFeature), provideState(liveFeature), provideEffects(authEffects, liveEffects)],
    children: [
      { path: '', pathMatch: 'full', redirectTo: 'ladder' },
      { path: 'sign-in', title: 'Sign in', loadComponent: () => import('./features/sign-in/sign-in').then((file) => file.SignIn) },
      { path: 'set-up', title: 'Set up', loadComponent: () => import('./features/set-up/set-up').then((file) => file.SetUp) },
      {
        path: 'ladder',
        title: 'Ladder',
        canActivate: [signedIn],
        loadComponent: () => import('./features/ladder/ladder').then((file) => file.Ladder),
      },
      { path: 'lessons', pathMatch: 'full', redirectTo: 'ladder' },
      {
        path: 'lessons/:id',
        title: 'Script',
        canActivate: [signedIn],
        loadComponent: () => import('./features/script/script-place').then((file) => file.ScriptPlace),
      },
      {
        path: 'lessons/:id/rehearse',
        title: 'Rehearse',
        canActivate: [signedIn],
        loadComponent: () => import('./features/rehearse/rehearse').then((file) => file.Rehearse),
      },
      {
        path: 'lessons/:id/print',
        title: 'Print the script',
        canActivate: [signedIn],
        loadComponent: () => import('./features/script/print-script').then((file) => file.PrintScript),
      },
      {
        path: 'classes/:id',
        title: 'Class',
        canActivate: [signedIn],
        loadComponent: () => import('./features/classes/class-list').then((file) => file.ClassListPlace),
      },
      {
        path: 'cards/:id',
        title: 'Daily card',
        canActivate: [signedIn],
        loadComponent: () => import('./features/cards/cards').then((file) => file.Cards),
      },
      {
        path: 'dials',
        title: 'Dials',
        canActivate: [signedIn],
        loadComponent: () => import('./features/dials/dials').then((file) => file.Dials),
      },
      { path: 'show', title: 'Stage', loadComponent: () => import('./features/show/show').then((file) => file.Show) },
      {
        path: 'console/:id',
        title: 'Console',
        canActivate: [signedIn],
        loadComponent: () => import('./features/console/console').then((file) => file.Console),
      },
      {
        path: 'audience/:id',
        title: 'Stage',
        canActivate: [signedIn],
        loadComponent: () => import('./features/audience/audience').then((file) => file.Audience),
      },
      {
        path: 'review/:id',
        title: 'Review',
        canActivate: [signedIn],
        loadComponent: () => import('./features/review/review').then((file) => file.Review),
      },
      { path: '**', title: 'Nothing here', loadComponent: () => import('./features/frame/nothing-here').then((file) => file.NothingHere) },
    ],
  },
];
