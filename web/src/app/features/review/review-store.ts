import { computed } from '@angular/core';
import { patchState, signalStore, withComputed, withMethods, withState } from '@ngrx/signals';
import type { SessionDetail } from '@zeitpunkt/contract';
import { ask, sentenceOf } from '../../shared/api';
import { withCounted } from '../../shared/late';
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
    /** Lets a late answer count, or not. */
    async count(responseId: string, counted: boolean): Promise<void> {
      const detail = store.detail();
      if (!detail) return;
      try {
        await ask('POST', `/api/sessions/${detail.id}/responses/${responseId}/count`, { counted });
        const responses = detail.live.responses.map((one) => withCounted(one, { responseId, counted }));
        patchState(store, { detail: { ...detail, live: { ...detail.live, responses } }, problem: null });
      } catch (error) {
        patchState(store, { problem: sentenceOf(error) });
      }
    },
    close(): void {
      patchState(store, { opened: null });
    },
  })),
);
