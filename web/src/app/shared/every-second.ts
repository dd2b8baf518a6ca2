import { DestroyRef, inject, type Signal, signal } from '@angular/core';

/** This window's clock in milliseconds, renewed every second while the component lives. */
export function everySecond(): Signal<number> {
  const now = signal(Date.now());
  const timer = setInterval(() => now.set(Date.now()), 1000);
  inject(DestroyRef).onDestroy(() => clearInterval(timer));
  return now.asReadonly();
}
