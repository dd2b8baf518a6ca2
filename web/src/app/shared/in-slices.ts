import { DestroyRef, effect, inject, type Signal, signal, untracked } from '@angular/core';

/**
 * How much of something long is drawn: some at once, and some more with every frame, so that none takes long. What is drawn stays
 * drawn when there is more or less of it. Called where something is injected.
 * @param total how much there is; nothing as long as it has not come, so that the frames are counted from then on
 * @param atOnce how much a frame draws
 * @param atFirst how much the first one draws, which has all the rest of a place to draw
 */
export function inSlices(total: () => number, atOnce: number, atFirst = atOnce): Signal<number> {
  const drawn = signal(atFirst);
  let frame = 0;
  const more = () => {
    frame = 0;
    drawn.update((before) => before + atOnce);
    goOn();
  };
  const goOn = () => {
    if (frame === 0 && drawn() < total()) frame = requestAnimationFrame(more);
  };
  effect(() => {
    total();
    untracked(goOn);
  });
  inject(DestroyRef).onDestroy(() => cancelAnimationFrame(frame));
  return drawn.asReadonly();
}
