import type { Routes } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideState } from '@ngrx/store';
import { signedIn } from './signed-in';
import { liveFeature } from './state/live';
import * as liveEffects from './state/live-effects';

/** Places that share a live room: with them comes all that plays a lesson, which no other place loads first. */
export const liveRoutes: Routes = [
  {
    path: '',
    providers: [provideState(liveFeature), provideEffects(liveEffects)],
    children: [
      {
        path: 'lessons/:id/rehearse',
        title: 'Rehearse',
        canActivate: [signedIn],
        loadComponent: () => import('./features/rehearse/rehearse').then((file) => file.Rehearse),
      },
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
    ],
  },
];
