import { Component, provideBrowserGlobalErrorListeners, provideZonelessChangeDetection } from '@angular/core';
import { bootstrapApplication, REMOVE_STYLES_ON_COMPONENT_DESTROY } from '@angular/platform-browser';
import { provideRouter, RouterOutlet, withComponentInputBinding } from '@angular/router';
import { provideStore } from '@ngrx/store';
import { showAppearance } from './shared/appearance';
import { wordProblems } from './shared/api';
import { inWords } from './shared/words/problems';
import { teacherRoutes } from './teacher.routes';

/** The frame that holds whatever place of the teacher the address names. */
@Component({ selector: 'app-root', imports: [RouterOutlet], template: '<router-outlet />' })
class TeacherApp {}

/** Starts the teacher's side. */
export async function start(): Promise<void> {
  showAppearance();
  wordProblems(inWords);
  await bootstrapApplication(TeacherApp, {
    providers: [
      provideBrowserGlobalErrorListeners(),
      provideZonelessChangeDetection(),
      // Styles that come and go with the fields of a beat would have the browser read all its rules anew.
      { provide: REMOVE_STYLES_ON_COMPONENT_DESTROY, useValue: false },
      provideRouter(teacherRoutes, withComponentInputBinding()),
      provideStore({}),
    ],
  });
}
