import { DestroyRef, Directive, inject, signal } from '@angular/core';
import { showAppearance } from '../shared/appearance';
import { useShortcuts } from '../shared/shortcuts';

/** The keys of such a window in one sentence, for the lists of keys of the windows that open it. */
export const AUDIENCE_KEYS = 'F fills the screen, D changes light and dark, L changes the size of print.';

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
    class: 'stage-window',
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
    useShortcuts([
      { left: ['F'], right: [], text: 'Full screen', act: () => this.fillScreen() },
      { left: ['D'], right: [], text: 'Light or dark', act: () => this.changeTheme() },
      { left: [], right: ['L'], text: 'Normal or large print', act: () => this.large.update((large) => !large) },
    ]);
    this.moved();
    void this.keepAwake();
    inject(DestroyRef).onDestroy(() => {
      clearTimeout(this.timer);
      showAppearance();
    });
  }

  private fillScreen(): void {
    void (document.fullscreenElement ? document.exitFullscreen() : document.documentElement.requestFullscreen());
  }

  private changeTheme(): void {
    const { dataset } = document.documentElement;
    const dark = dataset['theme'] ?? (matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light');
    dataset['theme'] = dark === 'dark' ? 'light' : 'dark';
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
