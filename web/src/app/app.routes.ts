import type { Routes } from '@angular/router';

/** Two halves: the pupil's desk loads nothing of the teacher's side, and the other way round. */
export const routes: Routes = [
  { path: 'desk', title: 'My desk', loadComponent: () => import('./features/desk/desk').then((file) => file.Desk) },
  { path: '', loadChildren: () => import('./teacher.routes').then((file) => file.teacherRoutes) },
];
