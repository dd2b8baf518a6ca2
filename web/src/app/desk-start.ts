import { Component, provideBrowserGlobalErrorListeners, provideZonelessChangeDetection } from '@angular/core';
import { bootstrapApplication } from '@angular/platform-browser';
import { Desk } from './features/desk/desk';
import { DeskPreview } from './features/desk/preview';
import { speakAs } from './shared/words/spoken';

@Component({ selector: 'app-root', imports: [Desk], template: '<zp-desk />' })
class DeskApp {}

@Component({ selector: 'app-root', imports: [DeskPreview], template: '<zp-desk-preview />' })
class PreviewApp {}

/** Starts the pupil's desk: one place, so that it needs no router. */
export async function start(): Promise<void> {
  document.title = 'My desk';
  speakAs(/^de\b/i.test(navigator.language) ? 'de' : 'en-GB');
  const app = location.pathname === '/desk/preview' && parent !== window ? PreviewApp : DeskApp;
  await bootstrapApplication(app, { providers: [provideBrowserGlobalErrorListeners(), provideZonelessChangeDetection()] });
}
