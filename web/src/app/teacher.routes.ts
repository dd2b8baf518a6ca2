import { isDevMode } from '@angular/core';
import type { Routes } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideState } from '@ngrx/store';
import { signedIn } from './signed-in';
import { authFeature } from './state/auth';
import * as authEffects from './state/auth-effects';

/** Places within the frame. `working`: the rail is folded. `ofClass`: the address names the class that all places are about then. */
export const placesInFrame: Routes = [
  { path: 'today', title: 'Today', loadComponent: () => import('./features/today/today').then((file) => file.Today) },
  { path: 'ladder', title: 'Ladder', loadComponent: () => import('./features/ladder/ladder').then((file) => file.Ladder) },
  { path: 'lessons', title: 'Lessons', loadComponent: () => import('./features/lessons/lessons').then((file) => file.Lessons) },
  {
    path: 'lessons/:id',
    title: 'Script',
    data: { working: true },
    loadComponent: () => import('./features/script/script-place').then((file) => file.ScriptPlace),
  },
  {
    path: 'lessons/:id/give',
    title: 'Give at own pace',
    loadComponent: () => import('./features/own-pace/give').then((file) => file.Give),
  },
  {
    path: 'own-pace/:id',
    title: 'At own pace',
    loadComponent: () => import('./features/own-pace/own-pace-place').then((file) => file.OwnPacePlace),
  },
  {
    path: 'lessons/:id/record',
    title: 'Record',
    data: { working: true },
    loadComponent: () => import('./features/record/record').then((file) => file.Record),
  },
  {
    path: 'lessons/:id/transcript',
    title: 'Transcript',
    loadComponent: () => import('./features/video/transcript').then((file) => file.Transcript),
  },
  {
    path: 'lessons/:id/video',
    title: 'Video',
    data: { working: true },
    loadComponent: () => import('./features/video/video').then((file) => file.Video),
  },
  {
    path: 'lessons/:id/paper',
    title: 'Paper',
    data: { rail: '/paper' },
    loadComponent: () => import('./features/paper/paper-place').then((file) => file.PaperPlace),
  },
  { path: 'paper', title: 'Paper', loadComponent: () => import('./features/paper/paper-place').then((file) => file.PaperPlace) },
  {
    path: 'classes/from-file',
    title: 'Class from a file',
    loadComponent: () => import('./features/classes/class-from-file').then((file) => file.ClassFromFile),
  },
  { path: 'classes/:id', pathMatch: 'full', redirectTo: 'classes/:id/pupils' },
  {
    path: 'classes/:id/pupils',
    title: 'Class',
    data: { ofClass: true },
    loadComponent: () => import('./features/classes/class-list').then((file) => file.ClassListPlace),
  },
  {
    path: 'classes/:id/review',
    title: 'Class review',
    data: { ofClass: true },
    loadComponent: () => import('./features/insight/class-review').then((file) => file.ClassReview),
    loadChildren: () => import('./features/insight/insight.routes').then((file) => file.insightRoutes),
  },
  {
    path: 'classes/:id/cards',
    title: 'Join cards',
    data: { ofClass: true },
    loadComponent: () => import('./features/classes/join-cards').then((file) => file.JoinCards),
  },
  { path: 'account', title: 'Your account', loadComponent: () => import('./features/account/account').then((file) => file.Account) },
  { path: 'school', title: 'School', loadComponent: () => import('./features/school/school').then((file) => file.School) },
  {
    path: 'cards/:id',
    title: 'Daily card',
    data: { working: true },
    loadComponent: () => import('./features/cards/cards').then((file) => file.Cards),
  },
  {
    path: 'dials',
    title: 'Dials',
    data: { working: true },
    loadComponent: () => import('./features/dials/dials').then((file) => file.Dials),
  },
  { path: 'review/:id', title: 'Review', loadComponent: () => import('./features/review/review').then((file) => file.Review) },
  {
    path: 'review/:id/enter',
    title: 'Enter answers',
    loadComponent: () => import('./features/enter/enter-answers').then((file) => file.EnterAnswers),
  },
  // Last, so that its part of the page is fetched only for what is none of the others.
  { path: '', loadChildren: () => import('./live.routes').then((file) => file.teachingRoutes) },
];

export const teacherRoutes: Routes = [
  {
    path: '',
    providers: [provideState(authFeature), provideEffects(authEffects)],
    children: [
      { path: '', pathMatch: 'full', redirectTo: 'today' },
      { path: 'sign-in', title: 'Sign in', loadComponent: () => import('./features/sign-in/sign-in').then((file) => file.SignIn) },
      { path: 'set-up', title: 'Set up', loadComponent: () => import('./features/set-up/set-up').then((file) => file.SetUp) },
      { path: 'reset', title: 'New password', loadComponent: () => import('./features/sign-in/reset').then((file) => file.Reset) },
      {
        path: 'invited',
        title: 'Welcome',
        data: { invited: true },
        loadComponent: () => import('./features/set-up/set-up').then((file) => file.SetUp),
      },
      {
        path: 'lessons/:id/print',
        title: 'Print the script',
        canActivate: [signedIn],
        loadComponent: () => import('./features/script/print/print-script').then((file) => file.PrintScript),
      },
      {
        path: 'look',
        title: 'Parts',
        // For whoever develops, and for the journeys, which say so.
        canMatch: [() => isDevMode() || 'zeitpunktLook' in window],
        loadComponent: () => import('./features/look/look').then((file) => file.Look),
      },
      { path: 'show', title: 'Stage', loadComponent: () => import('./features/show/show').then((file) => file.Show) },
      {
        path: '',
        loadComponent: () => import('./features/frame/frame').then((file) => file.Frame),
        canActivateChild: [signedIn],
        children: placesInFrame,
      },
      { path: '', loadChildren: () => import('./live.routes').then((file) => file.liveRoutes) },
      { path: '**', title: 'Nothing here', loadComponent: () => import('./features/frame/nothing-here').then((file) => file.NothingHere) },
    ],
  },
];
