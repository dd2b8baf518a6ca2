import { DestroyRef, inject } from '@angular/core';

/** Does something when the page is left, and when the place is. Called where injecting is possible. */
export function whenLeft(act: () => void): void {
  window.addEventListener('pagehide', act);
  inject(DestroyRef).onDestroy(() => {
    window.removeEventListener('pagehide', act);
    act();
  });
}
