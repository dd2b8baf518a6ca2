import { Component, provideBrowserGlobalErrorListeners, provideZonelessChangeDetection, type Type } from '@angular/core';
import { bootstrapApplication } from '@angular/platform-browser';
import { Desk } from './features/desk/desk';
import { keepDesk } from './features/desk/offline/keep-desk';
import { speakAs } from './shared/words/spoken';

@Component({ selector: 'app-root', imports: [Desk], template: '<zp-desk />' })
class DeskApp {}

/** What is spoken before a lesson is known. */
function languageOfDevice(): string {
  const { language } = navigator;
  if (/^de\b/i.test(language)) return 'de';
  return /^en-US$/i.test(language) ? 'en-US' : 'en-GB';
}

/** Starts the pupil's desk: one place, so that it needs no router. */
export async function start(): Promise<void> {
  document.title = 'My desk';
  speakAs(languageOfDevice());
  if (location.pathname === '/desk/preview' && parent !== window) {
    await begin((await import('./features/desk/preview')).PreviewApp);
  } else {
    await begin(DeskApp);
    keepDesk();
  }
  document.body.classList.remove('letters-later');
}

const begin = (app: Type<unknown>) =>
  bootstrapApplication(app, { providers: [provideBrowserGlobalErrorListeners(), provideZonelessChangeDetection()] });
