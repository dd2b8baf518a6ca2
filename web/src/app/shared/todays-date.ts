import { DestroyRef, inject, type Signal, signal } from '@angular/core';
import type { IsoDate } from '@zeitpunkt/core/series/plan';
import { dayOf } from '@zeitpunkt/core/series/school-days';

/** How often it is looked whether the day has changed, in milliseconds. */
const LOOKS_EVERY_MS = 20_000;

/** The day it is here while a place is open: a window that is left open over night goes on with the next one. */
export function todaysDate(): Signal<IsoDate> {
  const date = signal(dayOf(Date.now()));
  const look = () => date.set(dayOf(Date.now()));
  const timer = setInterval(look, LOOKS_EVERY_MS);
  document.addEventListener('visibilitychange', look); // timers of a window that nobody sees, or of a machine that sleeps, stand still
  inject(DestroyRef).onDestroy(() => {
    clearInterval(timer);
    document.removeEventListener('visibilitychange', look);
  });
  return date.asReadonly();
}
