import { computed, effect, signal, untracked, type Signal, type Type } from '@angular/core';
import type { QuestionKindId } from '@zeitpunkt/core';

/** How questions of one kind are answered and responses to them shown. */
export interface KindViews {
  /** An {@link AnswerView}. */
  readonly answer: Type<unknown>;
  /** Shows a response as it was given, from the inputs `response` and `view`. */
  readonly response: Type<unknown>;
  /** Whether what came over the line is a view of this kind. */
  readonly isView: (data: unknown) => boolean;
}

/** The views of every kind, each loaded when it is first asked for. A missing kind does not compile. */
const LOADERS: Record<QuestionKindId, () => Promise<{ readonly views: KindViews }>> = {
  'read-dial': () => import('./read-dial/views'),
  'set-dial': () => import('./set-dial/views'),
  'choose-all': () => import('./choose-all/views'),
};

const loaded = signal<ReadonlyMap<QuestionKindId, KindViews>>(new Map());

/** Loads the views of a kind, once. Rejects while they cannot be fetched; the next call tries again. */
export async function loadKind(id: QuestionKindId): Promise<KindViews> {
  const known = untracked(loaded).get(id);
  if (known) return known;
  const load = Object.hasOwn(LOADERS, id) ? LOADERS[id] : null;
  if (!load) throw new Error(`This page knows no questions of the kind ${id}.`);
  const { views } = await load();
  loaded.update((all) => new Map(all).set(id, views));
  return views;
}

/** The views of a kind as soon as they are there; null until then. Call it where a component is made. */
export function kindViews(id: () => QuestionKindId): Signal<KindViews | null> {
  effect(() => void loadKind(id()).catch(() => undefined)); // not to be fetched just now: the words beside it say what is given
  return computed(() => loaded().get(id()) ?? null);
}
