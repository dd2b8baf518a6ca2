import type { CanDeactivateFn, Routes } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideState } from '@ngrx/store';
import { signedIn } from './signed-in';
import { liveFeature } from './state/live';
import * as liveEffects from './state/live-effects';

/** A place that is not left without a question while something runs in it. */
interface AsksFirst {
  mayLeave(): Promise<boolean>;
}

const asksFirst: CanDeactivateFn<AsksFirst> = (place) => place.mayLeave();

// With these places comes all that plays a lesson, which no other place loads first.
const live = [provideState(liveFeature), provideEffects(liveEffects)];

/** Where a lesson is taught, within the frame. */
export const teachingRoutes: Routes = [
  {
    path: '',
    providers: live,
    children: [
      {
        path: 'lessons/:id/rehearse',
        title: 'Rehearse',
        data: { working: true },
        loadComponent: () => import('./features/rehearse/rehearse').then((file) => file.Rehearse),
      },
      {
        path: 'console/:id',
        title: 'Console',
        data: { working: true },
        canDeactivate: [asksFirst],
        loadComponent: () => import('./features/console/console').then((file) => file.Console),
      },
    ],
  },
];

/** What pupils see in the call: a window of its own. */
export const liveRoutes: Routes = [
  {
    path: '',
    providers: live,
    children: [
      {
        path: 'audience/:id',
        title: 'Stage',
        canActivate: [signedIn],
        loadComponent: () => import('./features/audience/audience').then((file) => file.Audience),
      },
    ],
  },
];
