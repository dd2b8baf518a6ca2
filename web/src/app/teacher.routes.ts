import type { Routes } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideState } from '@ngrx/store';
import { signedIn } from './signed-in';
import { authFeature } from './state/auth';
import * as authEffects from './state/auth-effects';

export const teacherRoutes: Routes = [
  {
    path: '',
    providers: [provideState(authFeature), provideEffects(authEffects)],
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
        path: 'lessons/:id/give',
        title: 'Give at own pace',
        canActivate: [signedIn],
        loadComponent: () => import('./features/own-pace/give').then((file) => file.Give),
      },
      {
        path: 'own-pace/:id',
        title: 'At own pace',
        canActivate: [signedIn],
        loadComponent: () => import('./features/own-pace/own-pace-place').then((file) => file.OwnPacePlace),
      },
      {
        path: 'lessons/:id/record',
        title: 'Record',
        canActivate: [signedIn],
        loadComponent: () => import('./features/record/record').then((file) => file.Record),
      },
      {
        path: 'lessons/:id/transcript',
        title: 'Transcript',
        canActivate: [signedIn],
        loadComponent: () => import('./features/video/transcript').then((file) => file.Transcript),
      },
      {
        path: 'lessons/:id/video',
        title: 'Video',
        canActivate: [signedIn],
        loadComponent: () => import('./features/video/video').then((file) => file.Video),
      },
      {
        path: 'lessons/:id/print',
        title: 'Print the script',
        canActivate: [signedIn],
        loadComponent: () => import('./features/script/print-script').then((file) => file.PrintScript),
      },
      {
        path: 'lessons/:id/paper',
        title: 'Paper',
        canActivate: [signedIn],
        loadComponent: () => import('./features/paper/paper-place').then((file) => file.PaperPlace),
      },
      {
        path: 'paper',
        title: 'Paper',
        canActivate: [signedIn],
        loadComponent: () => import('./features/paper/paper-place').then((file) => file.PaperPlace),
      },
      {
        path: 'classes/from-file',
        title: 'Class from a file',
        canActivate: [signedIn],
        loadComponent: () => import('./features/classes/class-from-file').then((file) => file.ClassFromFile),
      },
      {
        path: 'classes/:id',
        title: 'Class',
        canActivate: [signedIn],
        loadComponent: () => import('./features/classes/class-list').then((file) => file.ClassListPlace),
      },
      {
        path: 'classes/:id/review',
        title: 'Class review',
        canActivate: [signedIn],
        loadComponent: () => import('./features/insight/class-review').then((file) => file.ClassReview),
        loadChildren: () => import('./features/insight/insight.routes').then((file) => file.insightRoutes),
      },
      {
        path: 'classes/:id/cards',
        title: 'Join cards',
        canActivate: [signedIn],
        loadComponent: () => import('./features/classes/join-cards').then((file) => file.JoinCards),
      },
      {
        path: 'school',
        title: 'School',
        canActivate: [signedIn],
        loadComponent: () => import('./features/staff/staff').then((file) => file.StaffPlace),
      },
      {
        path: 'invited',
        title: 'Welcome',
        data: { invited: true },
        loadComponent: () => import('./features/set-up/set-up').then((file) => file.SetUp),
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
        path: 'review/:id',
        title: 'Review',
        canActivate: [signedIn],
        loadComponent: () => import('./features/review/review').then((file) => file.Review),
      },
      {
        path: 'review/:id/enter',
        title: 'Enter answers',
        canActivate: [signedIn],
        loadComponent: () => import('./features/enter/enter-answers').then((file) => file.EnterAnswers),
      },
      { path: '', loadChildren: () => import('./live.routes').then((file) => file.liveRoutes) },
      { path: '**', title: 'Nothing here', loadComponent: () => import('./features/frame/nothing-here').then((file) => file.NothingHere) },
    ],
  },
];
