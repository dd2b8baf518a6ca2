import { keptChoice } from './kept-choice';

export const APPEARANCES = ['light', 'dark', 'machine'] as const;
export type Appearance = (typeof APPEARANCES)[number];

const kept = keptChoice<Appearance>('zp-appearance', APPEARANCES, 'machine');

/** How the teacher's side looks: light, dark, or as the machine is set. */
export const appearance = kept.now;

/** Puts the look that was chosen on the page; a window that pupils see has a key of its own for it. */
export function showAppearance(): void {
  const { dataset } = document.documentElement;
  if (appearance() === 'machine') delete dataset['theme'];
  else dataset['theme'] = appearance();
}

/** Chooses a look, for every window of this browser that is opened from now on, and for this one at once. */
export function lookLike(next: Appearance): void {
  kept.choose(next);
  showAppearance();
}
