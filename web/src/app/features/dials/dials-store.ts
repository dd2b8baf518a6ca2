import { computed } from '@angular/core';
import { patchState, signalStore, withComputed, withHooks, withMethods, withState } from '@ngrx/signals';
import type { BeatKept, DialRead, DialSave, DialSaved, LessonSummary, SavedDial } from '@zeitpunkt/contract';
import { NEW_BUILD, stageOfBuild, type DialBuild } from '@zeitpunkt/core/stage/dial-build';
import { v4 as uuid } from 'uuid';
import { ask } from '../../shared/api';
import { readJsonFile } from '../../shared/json-file';
import { withAutosave } from '../../shared/with-autosave';
import { withHistory } from '../../shared/with-history';
import { withProblem } from '../../shared/with-problem';

interface DialsState {
  /** Nothing can be built before the saved dials are here: it would be lost, or take their place. */
  readonly loading: 'under way' | 'done' | 'failed';
  readonly dials: readonly SavedDial[];
  readonly lessons: readonly LessonSummary[];
  readonly currentId: string | null;
  /** What was just done, with the dial that can be brought back. */
  readonly word: { readonly text: string; readonly deleted: SavedDial | null } | null;
}

/** In bytes; a dial full of ink is smaller. */
const LARGEST_FILE = 2 ** 20;

const send = async (dial: DialSave): Promise<number> => (await ask<DialSaved>('POST', '/api/dials', dial)).version;

/** The place where demonstration dials are built: the saved dials, the one at hand, and its steps. */
export const DialsStore = signalStore(
  withState<DialsState>({ loading: 'under way', dials: [], lessons: [], currentId: null, word: null }),
  withProblem(),
  withHistory<DialBuild>(NEW_BUILD),
  withComputed(({ history, dials, currentId }) => {
    const build = computed(() => history().now);
    const current = computed(() => dials().find((dial) => dial.id === currentId()) ?? null);
    return {
      build,
      current,
      stage: computed(() => stageOfBuild(build())),
      toSave: computed((): DialSave | null => {
        const dial = current();
        return dial && { id: dial.id, name: dial.name, version: dial.version, build: build() };
      }),
    };
  }),
  withMethods((store) => ({
    noteVersion({ id, build }: DialSave, version: number): void {
      patchState(store, ({ dials }) => ({ dials: dials.map((dial) => (dial.id === id ? { ...dial, build, version } : dial)) }));
    },
  })),
  withAutosave({ send, overtakenBy: ['DIAL_CHANGED', 'NOT_FOUND'] }),
  withMethods((store) => {
    /** The dial at hand is left only when it is safe. */
    const _mayLeave = async (): Promise<boolean> => {
      if (await store.save()) return true;
      patchState(store, { problem: `“${store.current()?.name}” is not saved yet: ${store.saveProblem() ?? 'please try again.'}` });
      return false;
    };
    const _open = (dial: SavedDial) => {
      if (!dial.build) return patchState(store, { problem: dial.problem });
      store.beginWith(dial.build);
      store.startSaved();
      patchState(store, { currentId: dial.id, problem: null });
    };
    const _add = async (name: string, build: DialBuild): Promise<boolean> => {
      const id = uuid();
      return store.attempt(async () => {
        const version = await send({ id, name, build, version: 0 });
        const dial: SavedDial = { id, name, version, build, problem: null };
        patchState(store, ({ dials }) => ({ dials: [...dials, dial] }));
        _open(dial);
      });
    };
    const _reorder = async (dials: readonly SavedDial[]): Promise<void> => {
      const before = store.dials();
      patchState(store, { dials });
      if (!(await store.attempt(() => ask('POST', '/api/dials/order', { ids: dials.map(({ id }) => id) }))))
        patchState(store, { dials: before });
    };
    const _fetchDials = async () => patchState(store, { dials: await ask<readonly SavedDial[]>('GET', '/api/dials') });
    const _openFirst = async (): Promise<void> => {
      const first = store.dials().find(({ build }) => build);
      if (first) _open(first);
      else await _add('My first dial', NEW_BUILD);
    };
    return { _mayLeave, _open, _add, _reorder, _fetchDials, _openFirst };
  }),
  withMethods((store) => ({
    async load(): Promise<void> {
      patchState(store, { loading: 'under way' });
      const well = await store.attempt(async () => {
        const [lessons] = await Promise.all([ask<readonly LessonSummary[]>('GET', '/api/lessons'), store._fetchDials()]);
        patchState(store, { lessons: lessons.filter(({ facts, archivedAtMs }) => facts !== null && archivedAtMs === null) });
      });
      if (well) await store._openFirst();
      patchState(store, { loading: well && store.current() ? 'done' : 'failed' });
    },
    async open(dial: SavedDial): Promise<void> {
      if (await store._mayLeave()) store._open(store.dials().find(({ id }) => id === dial.id) ?? dial);
    },
    async add(): Promise<void> {
      if (await store._mayLeave()) await store._add(freeName('New dial', store.dials()), NEW_BUILD);
    },
    async duplicate(): Promise<void> {
      if (await store._mayLeave()) await store._add(freeName(store.current()?.name ?? 'Dial', store.dials()), store.build());
    },
    /** A dial file becomes a dial of its own. */
    async openFile(file: File): Promise<void> {
      const read = await readJsonFile(file, 'dial', LARGEST_FILE);
      if ('problem' in read) return patchState(store, { problem: read.problem });
      if (!(await store._mayLeave())) return;
      await store.attempt(async () => {
        const { name, build } = await ask<DialRead>('POST', '/api/dials/read', { file: read.data });
        await store._add(freeName(name, store.dials()), build);
      });
    },
    rename(name: string): void {
      const kept = name.trim().slice(0, 80);
      if (!kept) return patchState(store, { problem: 'A dial needs a name.' });
      patchState(store, ({ dials, currentId }) => ({
        dials: dials.map((dial) => (dial.id === currentId ? { ...dial, name: kept } : dial)),
        problem: null,
      }));
      store.changed();
    },
  })),
  withMethods((store) => ({
    /** The dial was changed or deleted elsewhere: what was built here is kept beside it, as a dial of its own. */
    async keepBoth(): Promise<void> {
      const [name, build] = [store.current()?.name ?? 'Dial', store.build()];
      await store.attempt(store._fetchDials);
      await store._add(freeName(name, store.dials()), build);
    },
    /** The dial was changed or deleted elsewhere: what was built here is given up for what is there. */
    async takeOther(): Promise<void> {
      const id = store.currentId();
      if (!(await store.attempt(store._fetchDials))) return;
      const other = store.dials().find((dial) => dial.id === id);
      if (other) store._open(other);
      else await store._openFirst();
    },
    /** Moves a dial up (below 0) or down in the list, by so many places. */
    async shift(id: string, by: number): Promise<void> {
      const dials = [...store.dials()];
      const from = dials.findIndex((dial) => dial.id === id);
      const to = from + by;
      if (from < 0 || to < 0 || to >= dials.length) return;
      dials.splice(to, 0, ...dials.splice(from, 1));
      await store._reorder(dials);
    },
    async remove({ id }: SavedDial): Promise<void> {
      if (id === store.currentId() && !(await store._mayLeave())) return;
      const dial = store.dials().find((one) => one.id === id);
      if (!dial || !(await store.attempt(() => ask('POST', `/api/dials/${id}/delete`)))) return;
      const word = { text: `“${dial.name}” is deleted.`, deleted: dial };
      const dials = store.dials().filter((one) => one.id !== id);
      patchState(store, { dials, word });
      if (id !== store.currentId()) return;
      const next = dials.find(({ build }) => build);
      if (next) store._open(next);
      else await store._add('New dial', NEW_BUILD);
      patchState(store, { word });
    },
    async bringBack(dial: SavedDial): Promise<void> {
      if (!(await store._mayLeave())) return;
      const well = await store.attempt(async () => {
        await ask('POST', `/api/dials/${dial.id}/restore`);
        await store._fetchDials();
      });
      if (!well) return;
      patchState(store, { word: null });
      store._open(store.dials().find(({ id }) => id === dial.id) ?? dial);
    },
    /** Keeps the demonstration as the last beat of a lesson. */
    async keepIn(lesson: LessonSummary, text: string): Promise<void> {
      const beatId = `kept-${uuid().slice(0, 8)}`;
      await store.attempt(async () => {
        const { beatCount } = await ask<BeatKept>('POST', `/api/lessons/${lesson.id}/beats`, { beatId, build: store.build(), text });
        patchState(store, { word: { text: `Kept as beat ${beatCount} of “${lesson.title}”.`, deleted: null } });
      });
    },
  })),
  withHooks({
    onInit(store) {
      store.onStep(() => {
        patchState(store, { word: null });
        store.changed();
      });
      void store.load();
    },
  }),
);

/** A name that no dial has yet: "Lamp", then "Lamp 2", "Lamp 3". */
function freeName(wish: string, dials: readonly SavedDial[]): string {
  const base = wish.replace(/ \d+$/, '').slice(0, 70);
  const taken = new Set(dials.map(({ name }) => name));
  if (!taken.has(base)) return base;
  let number = 2;
  while (taken.has(`${base} ${number}`)) number += 1;
  return `${base} ${number}`;
}
