import { computed, effect, signal, untracked, type Signal } from '@angular/core';
import type { ShapeViews } from './views-of-shape';
import type { ShapeId } from '@zeitpunkt/core/question-kinds/shapes/shape';

/** The views of every shape, each loaded when a question of it is first asked. A missing shape does not compile. */
const LOADERS: Record<ShapeId, () => Promise<{ readonly views: ShapeViews }>> = {
  time: () => import('./time/views'),
  pose: () => import('./pose/views'),
  choices: () => import('./choices/views'),
  numbers: () => import('./numbers/views'),
  times: () => import('./times/views'),
  words: () => import('./words/views'),
  pairs: () => import('./pairs/views'),
  order: () => import('./order/views'),
  line: () => import('./line/views'),
};

const loaded = signal<ReadonlyMap<ShapeId, ShapeViews>>(new Map());

/** A wait before what could not be fetched is tried again, in milliseconds. */
const AGAIN_MS = 2000;
const missing = signal(false);
/** Whether something could not be fetched twice: a browser may not ask for it again before the page is loaded anew. */
export const shapesAreMissing = missing.asReadonly();

/** Loads the views of a shape, once. Rejects while they cannot be fetched; the next call tries again. */
export async function loadShape(id: ShapeId): Promise<ShapeViews> {
  const known = untracked(loaded).get(id);
  if (known) return known;
  const load = Object.hasOwn(LOADERS, id) ? LOADERS[id] : null;
  if (!load) throw new Error(`This page knows no questions that are answered with ${id}.`);
  const { views } = await load();
  loaded.update((all) => new Map(all).set(id, views));
  return views;
}

/** The views of a shape as soon as they are there; null until then. Call it where a component is made. */
export function shapeViews(id: () => ShapeId): Signal<ShapeViews | null> {
  keepShapesReady(() => [id()]);
  return computed(() => loaded().get(id()) ?? null);
}

/** Fetches the views of some shapes before they are needed, and again where the line was lost. Call it where a component is made. */
export function keepShapesReady(ids: () => readonly ShapeId[]): void {
  effect((onCleanup) => {
    let timer = 0;
    const fetchAll = (isAgain: boolean) =>
      void Promise.all(ids().map(loadShape)).then(
        () => missing.set(false),
        () => {
          if (isAgain) missing.set(true);
          timer = window.setTimeout(() => fetchAll(true), AGAIN_MS);
        },
      );
    fetchAll(false);
    onCleanup(() => window.clearTimeout(timer));
  });
}
