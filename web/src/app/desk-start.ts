import { Component, provideBrowserGlobalErrorListeners, provideZonelessChangeDetection } from '@angular/core';
import { bootstrapApplication } from '@angular/platform-browser';
import { Desk } from './features/desk/desk';

@Component({ selector: 'app-root', imports: [Desk], template: '<zp-desk />' })
class DeskApp {}

/** Starts the pupil's desk: one place, so that it needs no router. */
export async function start(): Promise<void> {
  document.title = 'My desk';
  await bootstrapApplication(DeskApp, { providers: [provideBrowserGlobalErrorListeners(), provideZonelessChangeDetection()] });
}
