import { computed } from '@angular/core';
import { patchState, signalStore, withComputed, withMethods, withState } from '@ngrx/signals';
import type { SessionDetail } from '@zeitpunkt/contract';
import { ask, sentenceOf } from '../../shared/api';
import { reviewTable } from './review-table';

interface ReviewState {
  readonly detail: SessionDetail | null;
  readonly problem: string | null;
  /** The cell that is open, by pupil and question. */
  readonly opened: { readonly pupilId: string; readonly askingId: string } | null;
}

/** One taught lesson under review. */
export const ReviewStore = signalStore(
  withState<ReviewState>({ detail: null, problem: null, opened: null }),
  withComputed(({ detail }) => ({
    table: computed(() => {
      const loaded = detail();
      return loaded && reviewTable(loaded);
    }),
  })),
  withComputed(({ table, opened }) => ({
    cell: computed(() => {
      const at = opened();
      const row = at && table()?.rows.find(({ pupil }) => pupil.id === at.pupilId);
      return (row && row.cells.find(({ question }) => question.askingId === at.askingId)) ?? null;
    }),
  })),
  withMethods((store) => ({
    async load(sessionId: string): Promise<void> {
      patchState(store, { detail: null, problem: null, opened: null });
      try {
        patchState(store, { detail: await ask<SessionDetail>('GET', `/api/sessions/${sessionId}`) });
      } catch (error) {
        patchState(store, { problem: sentenceOf(error) });
      }
    },
    open(pupilId: string, askingId: string): void {
      patchState(store, { opened: { pupilId, askingId } });
    },
    close(): void {
      patchState(store, { opened: null });
    },
  })),
);
