import type { Inks } from '@zeitpunkt/core/scene/scene-node';

const NAMES = ['ink', 'soft', 'faint', 'face', 'paper', 'hour', 'minute', 'red', 'blue', 'accent', 'zone'] as const;

/** The colours that the page's theme has now, for outlets that draw pixels or files. */
export function inksOf(element: Element): Inks {
  const style = getComputedStyle(element);
  return Object.fromEntries(NAMES.map((name) => [name, style.getPropertyValue(`--${name}`).trim()])) as unknown as Inks;
}
