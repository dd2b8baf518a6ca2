import type { Routes } from '@angular/router';

/** The looks at a class: each is fetched when it is opened. */
export const insightRoutes: Routes = [
  { path: '', pathMatch: 'full', redirectTo: 'next' },
  { path: 'next', title: 'Next lesson', loadComponent: () => import('./look-next').then((file) => file.LookNext) },
  { path: 'map', title: 'Who can do what', loadComponent: () => import('./look-map').then((file) => file.LookMap) },
  { path: 'ideas', title: 'Who holds what', loadComponent: () => import('./look-ideas').then((file) => file.LookIdeas) },
  { path: 'pupils/:pupilId', title: 'Pupil', loadComponent: () => import('./look-pupil').then((file) => file.LookPupil) },
  { path: 'home', title: 'For home', loadComponent: () => import('./look-home').then((file) => file.LookHome) },
  { path: 'files', title: 'Results as files', loadComponent: () => import('./look-files').then((file) => file.LookFiles) },
];
