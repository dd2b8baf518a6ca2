import type { Signal } from '@angular/core';
import { patchState, signalStoreFeature, type, withHooks, withMethods, withState } from '@ngrx/signals';
import { ApiProblem, sentenceOf } from './api';
import { whenLeft } from './when-left';

/** How long after the last change a document is saved. */
const SAVE_AFTER_MS = 700;
const RETRY_AFTER_MS = 4000;

/**
 * Where saving stands; `failed` when it is tried again by itself, `refused` when it is not taken as it is and waits for the next
 * change, `overtaken` when the document was changed or deleted elsewhere: nothing is sent any more.
 */
export type Saving = 'saved' | 'changed' | 'saving' | 'failed' | 'refused' | 'overtaken';

export interface Autosave<Doc> {
  /** Sends a document with the version it was made from; resolves with its next version. */
  readonly send: (doc: Doc) => Promise<number>;
  /** Codes of refusals that say it was overtaken. */
  readonly overtakenBy: readonly string[];
}

/**
 * Saves a document by itself: after a pause in the changes, at once when the page is left, again when it failed. One save is
 * on its way at a time and carries the version it changes, so that an older one never lands on a newer one; one that was
 * overtaken, by another window for one, is told and overwrites nothing.
 */
export function withAutosave<Doc>({ send, overtakenBy }: Autosave<Doc>) {
  return signalStoreFeature(
    type<{
      props: { toSave: Signal<Doc | null> };
      /** Takes note of the version that a document has got. */
      methods: { noteVersion(doc: Doc, version: number): void };
    }>(),
    withState<{ saving: Saving; saveProblem: string | null }>({ saving: 'saved', saveProblem: null }),
    withMethods((store) => ({
      /** Sends the document as it is. Resolves with whether it may be tried again by itself. */
      async _sendNow(): Promise<boolean> {
        const doc = store.toSave();
        if (doc === null || store.saving() === 'saved' || store.saving() === 'overtaken') return false;
        patchState(store, { saving: 'saving' });
        try {
          store.noteVersion(doc, await send(doc));
          // Changed again while it was on its way: the next save has the newer one.
          patchState(store, ({ saving }) => ({ saving: saving === 'saving' ? 'saved' : saving, saveProblem: null }));
          return false;
        } catch (error) {
          const [isOvertaken, mayPass] = [
            error instanceof ApiProblem && overtakenBy.includes(error.code),
            error instanceof ApiProblem && error.mayPass,
          ];
          patchState(store, { saving: isOvertaken ? 'overtaken' : mayPass ? 'failed' : 'refused', saveProblem: sentenceOf(error) });
          return mayPass;
        }
      },
    })),
    withMethods((store) => {
      let timer = 0;
      let underWay: Promise<void> | null = null;
      const saveOnce = async (): Promise<void> => {
        // What is refused as it is would be refused again: the next change is tried.
        if (await store._sendNow()) later(RETRY_AFTER_MS);
      };
      /** Saves now, after the save that is on its way. Resolves with whether everything is saved. */
      const save = async (): Promise<boolean> => {
        clearTimeout(timer);
        // Without another one on its way it is sent at once: a page that is being left has no next turn.
        const own = underWay ? underWay.then(saveOnce) : saveOnce();
        underWay = own;
        await own;
        if (underWay === own) underWay = null;
        return store.saving() === 'saved';
      };
      const later = (ms: number) => {
        clearTimeout(timer);
        timer = window.setTimeout(() => void save(), ms);
      };
      return {
        save,
        /** The document has changed: it is saved after a pause. */
        changed(): void {
          if (store.saving() === 'overtaken') return;
          patchState(store, { saving: 'changed' });
          later(SAVE_AFTER_MS);
        },
        /** Another document is at hand, as it is saved: nothing of the one before goes out any more. */
        startSaved(): void {
          clearTimeout(timer);
          patchState(store, { saving: 'saved', saveProblem: null });
        },
      };
    }),
    withHooks({ onInit: (store) => whenLeft(() => void store.save()) }),
  );
}
