import { computed, DestroyRef, inject } from '@angular/core';
import { patchState, signalStore, withComputed, withHooks, withMethods, withState } from '@ngrx/signals';
import type { BeatKept, LessonSummary, SavedDial } from '@zeitpunkt/contract';
import { NEW_BUILD, stageOfBuild, type DialBuild } from '@zeitpunkt/core';
import { v4 as uuid } from 'uuid';
import { ask, sentenceOf } from '../../shared/api';
import { begin, during, type History, redo, step, undo } from './history';

/** How long after the last change a dial is saved. */
const SAVE_AFTER_MS = 700;

interface DialsState {
  /** Nothing can be built before the saved dials are here: it would be lost, or take their place. */
  readonly loading: 'under way' | 'done' | 'failed';
  readonly dials: readonly SavedDial[];
  readonly lessons: readonly LessonSummary[];
  readonly currentId: string | null;
  readonly history: History<DialBuild>;
  /** Where a step began that is under way, a drag or a sweep; null between steps. */
  readonly began: DialBuild | null;
  readonly saving: 'saved' | 'changed' | 'saving' | 'failed';
  readonly problem: string | null;
  /** What was just done, with the dial that can be brought back. */
  readonly word: { readonly text: string; readonly deleted: SavedDial | null } | null;
}

/** The place where demonstration dials are built: the saved dials, the one at hand, and its steps. */
export const DialsStore = signalStore(
  withState<DialsState>({
    loading: 'under way',
    dials: [],
    lessons: [],
    currentId: null,
    history: begin(NEW_BUILD),
    began: null,
    saving: 'saved',
    problem: null,
    word: null,
  }),
  withComputed(({ history, dials, currentId }) => {
    const build = computed(() => history().now);
    return {
      build,
      stage: computed(() => stageOfBuild(build())),
      current: computed(() => dials().find((dial) => dial.id === currentId()) ?? null),
      canUndo: computed(() => history().past.length > 0),
      canRedo: computed(() => history().future.length > 0),
    };
  }),
  withMethods((store) => {
    let timer = 0;

    /** Does something that may fail with a sentence; says whether it went well. */
    const tryTo = async (work: () => Promise<unknown>): Promise<boolean> => {
      try {
        await work();
        patchState(store, { problem: null });
        return true;
      } catch (error) {
        patchState(store, { problem: sentenceOf(error) });
        return false;
      }
    };

    const save = async (): Promise<void> => {
      clearTimeout(timer);
      const current = store.current();
      const build = store.build();
      if (!current || store.saving() === 'saved') return;
      patchState(store, { saving: 'saving' });
      const well = await tryTo(() => ask('POST', '/api/dials', { id: current.id, name: current.name, build }));
      patchState(store, ({ dials, saving }) => ({
        // Changed again while it was on its way: the next save has the newer one.
        saving: saving !== 'saving' ? saving : well ? 'saved' : 'failed',
        dials: well ? dials.map((dial) => (dial.id === current.id ? { ...dial, build: build as SavedDial['build'] } : dial)) : dials,
      }));
      if (!well) timer = window.setTimeout(() => void save(), 4000);
    };

    const changed = () => {
      patchState(store, { saving: 'changed' });
      clearTimeout(timer);
      timer = window.setTimeout(() => void save(), SAVE_AFTER_MS);
    };

    const toHistory = (change: (history: History<DialBuild>) => History<DialBuild>) => {
      patchState(store, ({ history }) => ({ history: change(history), word: null }));
      changed();
    };

    const open = (dial: SavedDial) => {
      patchState(
        store,
        dial.build ? { currentId: dial.id, history: begin<DialBuild>(dial.build), began: null, problem: null } : { problem: dial.problem },
      );
    };

    const add = async (name: string, build: DialBuild): Promise<void> => {
      await save();
      const dial: SavedDial = { id: uuid(), name, build: build as SavedDial['build'], problem: null };
      if (!(await tryTo(() => ask('POST', '/api/dials', { id: dial.id, name, build })))) return;
      patchState(store, ({ dials }) => ({ dials: [...dials, dial] }));
      open(dial);
    };

    const reorder = async (dials: readonly SavedDial[]): Promise<void> => {
      const before = store.dials();
      patchState(store, { dials });
      if (!(await tryTo(() => ask('POST', '/api/dials/order', { ids: dials.map(({ id }) => id) })))) patchState(store, { dials: before });
    };

    return {
      async load(): Promise<void> {
        patchState(store, { loading: 'under way' });
        const well = await tryTo(async () => {
          const [dials, lessons] = await Promise.all([ask<SavedDial[]>('GET', '/api/dials'), ask<LessonSummary[]>('GET', '/api/lessons')]);
          patchState(store, { dials, lessons });
        });
        const first = store.dials().find(({ build }) => build);
        if (first) open(first);
        else if (well) await add('My first dial', NEW_BUILD);
        patchState(store, { loading: well && store.current() ? 'done' : 'failed' });
      },

      /** One step that can be undone. */
      change: (change: (build: DialBuild) => DialBuild) => toHistory((history) => step(change(history.now))(history)),

      /** Changes that are one step together: begin, any number of moves, then done or cancelled. */
      beginStep: () => patchState(store, ({ history }) => ({ began: history.now })),
      move: (change: (began: DialBuild) => DialBuild) => {
        const began = store.began();
        if (began) patchState(store, ({ history }) => ({ history: during(change(began))(history) }));
      },
      endStep(): void {
        const { now, past, future } = store.history();
        const began = store.began();
        patchState(store, { began: null });
        if (began && began !== now) {
          patchState(store, { history: { past, now: began, future } });
          toHistory(step(now));
        }
      },
      cancelStep: () => patchState(store, ({ history, began }) => ({ began: null, history: began ? during(began)(history) : history })),

      undo: () => toHistory(undo),
      redo: () => toHistory(redo),
      save,

      async open(dial: SavedDial): Promise<void> {
        await save();
        open(dial);
      },
      add: () => add(freeName('New dial', store.dials()), NEW_BUILD),
      duplicate: () => add(freeName(store.current()?.name ?? 'Dial', store.dials()), store.build()),

      async rename(name: string): Promise<void> {
        const kept = name.trim().slice(0, 80);
        if (!kept) return patchState(store, { problem: 'A dial needs a name.' });
        patchState(store, ({ dials, currentId }) => ({
          dials: dials.map((dial) => (dial.id === currentId ? { ...dial, name: kept } : dial)),
        }));
        changed();
      },

      /** Moves a dial up (−1) or down (+1) in the list. */
      async shift(id: string, by: -1 | 1): Promise<void> {
        const dials = [...store.dials()];
        const from = dials.findIndex((dial) => dial.id === id);
        const to = from + by;
        if (from < 0 || to < 0 || to >= dials.length) return;
        [dials[from], dials[to]] = [dials[to]!, dials[from]!];
        await reorder(dials);
      },

      async remove(dial: SavedDial): Promise<void> {
        await save();
        if (!(await tryTo(() => ask('POST', `/api/dials/${dial.id}/delete`)))) return;
        const dials = store.dials().filter((one) => one.id !== dial.id);
        patchState(store, { dials, word: { text: `“${dial.name}” is deleted.`, deleted: dial } });
        const next = dials.find(({ build }) => build);
        if (dial.id !== store.currentId()) return;
        if (next) open(next);
        else await add('New dial', NEW_BUILD);
        patchState(store, { word: { text: `“${dial.name}” is deleted.`, deleted: dial } });
      },

      async bringBack(dial: SavedDial): Promise<void> {
        if (!(await tryTo(() => ask('POST', `/api/dials/${dial.id}/restore`)))) return;
        patchState(store, { dials: await ask<SavedDial[]>('GET', '/api/dials'), word: null });
        open(dial);
      },

      /** Keeps the demonstration as the last beat of a lesson. */
      async keepIn(lesson: LessonSummary, text: string): Promise<void> {
        await tryTo(async () => {
          const kept = await ask<BeatKept>('POST', `/api/lessons/${lesson.id}/beats`, {
            version: lesson.version,
            build: store.build(),
            text,
          });
          patchState(store, ({ lessons }) => ({
            lessons: lessons.map((one) => (one.id === lesson.id ? { ...one, version: kept.version, beatCount: kept.beatCount } : one)),
            word: { text: `Kept as beat ${kept.beatCount} of “${lesson.title}”.`, deleted: null },
          }));
        });
      },

      tell: (problem: string | null) => patchState(store, { problem }),
    };
  }),
  withHooks({
    onInit(store) {
      void store.load();
      const leaving = () => void store.save();
      window.addEventListener('pagehide', leaving);
      inject(DestroyRef).onDestroy(() => {
        window.removeEventListener('pagehide', leaving);
        leaving();
      });
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
