import { computed } from '@angular/core';
import { patchState, signalStore, withComputed, withMethods, withState } from '@ngrx/signals';
import type { ClassSummary } from '@zeitpunkt/contract';
import { v4 as uuid } from 'uuid';
import { ask, sentenceOf } from './api';
import { deviceStore } from './device-store';

const KEPT = 'zp-class';
const device = deviceStore();

interface CurrentClassState {
  /** The teacher's classes; null until they are here. */
  readonly classes: readonly ClassSummary[] | null;
  readonly chosen: string | null;
  readonly problem: string | null;
}

/** The class that all places are about: chosen once, in the frame or by an address, and kept on the device. */
export const CurrentClass = signalStore(
  { providedIn: 'root' },
  withState<CurrentClassState>({ classes: null, chosen: device.get(KEPT), problem: null }),
  withComputed(({ classes, chosen }) => ({
    /** The chosen class, or else the first; null while none is there. */
    now: computed((): ClassSummary | null => classes()?.find(({ id }) => id === chosen()) ?? classes()?.[0] ?? null),
  })),
  withComputed(({ now }) => ({ id: computed(() => now()?.id ?? null) })),
  withMethods((store) => {
    const choose = (id: string): void => {
      if (id === store.chosen()) return;
      device.set(KEPT, id);
      patchState(store, { chosen: id });
    };
    const load = async (): Promise<void> => {
      try {
        patchState(store, { classes: await ask<ClassSummary[]>('GET', '/api/classes'), problem: null });
      } catch (error) {
        patchState(store, { problem: sentenceOf(error) });
      }
    };
    return {
      /** @param id of one of the teacher's classes; another one is passed over */
      choose,
      /** Fetches the classes, anew where a name or a number may have changed. */
      load,
      /** Adds a class without pupils and chooses it; resolves with its id, or null with the reason in `problem`. */
      async add(name: string): Promise<string | null> {
        const id = uuid();
        try {
          await ask('POST', '/api/classes', { id, name });
          choose(id);
          await load();
          return id;
        } catch (error) {
          patchState(store, { problem: sentenceOf(error) });
          return null;
        }
      },
    };
  }),
);
