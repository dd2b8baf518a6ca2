import { DestroyRef, Directive, inject, signal } from '@angular/core';

/** Hides the mouse pointer after this long without moving. */
const POINTER_MS = 3000;

/**
 * A window that pupils see: nothing on it but the stage. The pointer hides, the screen stays on, F fills the screen, D
 * changes between light and dark, L between normal and large print.
 */
@Directive({
  selector: '[zpAudienceWindow]',
  exportAs: 'audienceWindow',
  host: {
    '(document:keydown)': 'key($event)',
    '(document:pointermove)': 'moved()',
    '(document:visibilitychange)': 'keepAwake()',
    '[style.cursor]': "still() ? 'none' : null",
  },
})
export class AudienceWindow {
  readonly large = signal(false);
  protected readonly still = signal(false);
  private timer = 0;

  constructor() {
    this.moved();
    void this.keepAwake();
    inject(DestroyRef).onDestroy(() => {
      clearTimeout(this.timer);
      delete document.documentElement.dataset['theme'];
    });
  }

  protected key(event: KeyboardEvent): void {
    if (event.ctrlKey || event.altKey || event.metaKey) return;
    const { documentElement } = document;
    if (event.key === 'f') void (document.fullscreenElement ? document.exitFullscreen() : documentElement.requestFullscreen());
    if (event.key === 'l') this.large.update((large) => !large);
    if (event.key === 'd') {
      const dark = documentElement.dataset['theme'] ?? (matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light');
      documentElement.dataset['theme'] = dark === 'dark' ? 'light' : 'dark';
    }
  }

  protected moved(): void {
    this.still.set(false);
    clearTimeout(this.timer);
    this.timer = window.setTimeout(() => this.still.set(true), POINTER_MS);
  }

  /** Asks the browser not to dim the screen; it gives the lock back whenever the window is hidden. */
  protected async keepAwake(): Promise<void> {
    if (document.visibilityState !== 'visible') return;
    try {
      await (navigator as Partial<Navigator>).wakeLock?.request('screen');
    } catch {
      return; // refused, on a low battery for one: the lesson goes on all the same
    }
  }
}
