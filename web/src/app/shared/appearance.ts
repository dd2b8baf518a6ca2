import { signal } from '@angular/core';
import { deviceStore } from './device-store';

export const APPEARANCES = ['light', 'dark', 'machine'] as const;
export type Appearance = (typeof APPEARANCES)[number];

const KEPT = 'zp-appearance';
const device = deviceStore();
const isAppearance = (text: string | null): text is Appearance => APPEARANCES.some((one) => one === text);

const start = device.get(KEPT);
const chosen = signal<Appearance>(isAppearance(start) ? start : 'machine');

/** How the teacher's side looks: light, dark, or as the machine is set. */
export const appearance = chosen.asReadonly();

/** Puts the look that was chosen on the page; a window that pupils see has a key of its own for it. */
export function showAppearance(): void {
  const { dataset } = document.documentElement;
  if (chosen() === 'machine') delete dataset['theme'];
  else dataset['theme'] = chosen();
}

/** Chooses a look, for every window of this browser that is opened from now on, and for this one at once. */
export function lookLike(next: Appearance): void {
  device.set(KEPT, next);
  chosen.set(next);
  showAppearance();
}
