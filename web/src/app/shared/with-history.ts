import { computed } from '@angular/core';
import { patchState, signalStoreFeature, withComputed, withMethods, withState } from '@ngrx/signals';
import { begin, during, type History, redo, step, undo } from './history';

/**
 * A document with its steps: what was, what is, what was undone; a drag of many moves is one step. Whoever wants to hear of
 * steps, to save them for one, listens with `onStep`.
 */
export function withHistory<T extends object>(initial: T) {
  return signalStoreFeature(
    withState<{ history: History<T>; began: T | null }>({ history: begin(initial), began: null }),
    withComputed(({ history }) => ({
      canUndo: computed(() => history().past.length > 0),
      canRedo: computed(() => history().future.length > 0),
    })),
    withMethods((store) => {
      const listeners: (() => void)[] = [];
      const toHistory = (change: (history: History<T>) => History<T>) => {
        const before = store.history();
        patchState(store, { history: change(before) });
        if (store.history() !== before) for (const heard of listeners) heard();
      };
      return {
        /** Hears of every step from now on, also of those undone and redone. */
        onStep: (listener: () => void) => void listeners.push(listener),
        /** Begins anew with another document: its steps are its own. */
        beginWith: (now: T) => patchState(store, { history: begin(now), began: null }),
        /** One step that can be undone. */
        change: (change: (now: T) => T) => toHistory((history) => step(change(history.now))(history)),
        /** Changes that are one step together: begin, any number of moves, then done or cancelled. */
        beginStep: () => patchState(store, ({ history }) => ({ began: history.now })),
        move: (change: (began: T) => T) => {
          const began = store.began();
          if (began !== null) patchState(store, ({ history }) => ({ history: during(change(began))(history) }));
        },
        endStep(): void {
          const { now, past, future } = store.history();
          const began = store.began();
          patchState(store, { began: null });
          if (began === null || began === now) return;
          patchState(store, { history: { past, now: began, future } });
          toHistory(step(now));
        },
        cancelStep: () =>
          patchState(store, ({ history, began }) => ({ began: null, history: began === null ? history : during(began)(history) })),
        undo: () => toHistory(undo),
        redo: () => toHistory(redo),
      };
    }),
  );
}
