import { ChangeDetectionStrategy, Component, DestroyRef, inject, signal } from '@angular/core';
import type { NextLesson } from '@zeitpunkt/contract';
import { ask } from '../../shared/api';
import { DeskStore } from './desk-store';
import { DESK_WORDS } from './words';

/** How often it is asked whether the next lesson is open, in milliseconds. */
const ASK_EVERY_MS = 15_000;

/** The lesson is over. A desk that is left open finds the next one of its class: then the four pictures are asked for. */
@Component({
  selector: 'zp-desk-over',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h1>{{ words().wait.over }}</h1>
    <div role="status">
      @if (isOpen()) {
        <p>{{ words().wait.nextIsOpen }}</p>
        <button class="button outlined" type="button" (click)="store.leave()">{{ words().wait.goIn }}</button>
      }
    </div>
  `,
})
export class DeskOver {
  protected readonly store = inject(DeskStore);
  protected readonly words = DESK_WORDS;
  protected readonly isOpen = signal(false);

  constructor() {
    const timer = window.setInterval(() => void this.look(), ASK_EVERY_MS);
    const wakes = () => void this.look();
    document.addEventListener('visibilitychange', wakes);
    inject(DestroyRef).onDestroy(() => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', wakes);
    });
  }

  private async look(): Promise<void> {
    if (document.visibilityState === 'hidden') return;
    try {
      const { open } = await ask<NextLesson>('GET', '/api/desk/next');
      this.isOpen.set(open);
    } catch {
      // Without a line, or on a device that is in no room any more, there is nothing to find: it is asked again.
    }
  }
}
