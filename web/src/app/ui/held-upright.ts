import { DestroyRef, inject, signal, type Signal } from '@angular/core';

/** Whether the screen is much higher than wide, a phone in the hand for one; it follows when the device is turned. */
export function heldUpright(): Signal<boolean> {
  const query = matchMedia('(max-aspect-ratio: 4/5)');
  const upright = signal(query.matches);
  const turned = () => upright.set(query.matches);
  query.addEventListener('change', turned);
  inject(DestroyRef).onDestroy(() => query.removeEventListener('change', turned));
  return upright.asReadonly();
}
