import { computed, effect, untracked } from '@angular/core';
import { patchState, signalStore, withComputed, withHooks, withMethods, withState } from '@ngrx/signals';
import type { LessonDetail, LessonSaved } from '@zeitpunkt/contract';
import { edited, type ScriptEdit } from '@zeitpunkt/core/edit/edit';
import { CoreError } from '@zeitpunkt/core/errors';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { DEFAULT_SETTINGS, type LessonSettings } from '@zeitpunkt/core/lesson/settings';
import { withSettings } from '@zeitpunkt/core/edit/with-settings';
import { ApiProblem, ask } from '../../shared/api';
import { whenLeft } from '../../shared/when-left';
import { withAutosave } from '../../shared/with-autosave';
import { withHistory } from '../../shared/with-history';
import { withProblem } from '../../shared/with-problem';
import { deviceStore } from '../../shared/device-store';
import { SCRIPT_WORDS } from './words';

interface LessonState {
  /** The lesson at hand with the revision it is saved in; null until it is here. */
  readonly at: { readonly id: string; readonly revision: number } | null;
}

/** Stands there until a lesson has come; it is never shown. */
const NO_LESSON: Lesson = {
  format: 'zeitpunkt-lesson',
  formatVersion: 3,
  title: '',
  goal: '',
  successCriteria: [],
  targetMinutes: 1,
  settings: DEFAULT_SETTINGS,
  items: [],
  beats: [],
};

/** So long without a letter, and what was typed is a step. */
const TYPING_PAUSE_MS = 600;

/** So long without a letter, and what was typed is kept on the device, too. */
const KEEP_PAUSE_MS = 200;

const device = deviceStore();
const keptAs = (id: string) => `zeitpunkt-unsaved-${id}`;

/**
 * Sends what was left unsaved here. What cannot be sent just now stays for the next time.
 * @returns what the server does not take any more with its sentence, because the lesson was changed elsewhere; else null
 */
async function bringBack(id: string): Promise<{ readonly lesson: Lesson; readonly why: string } | null> {
  const kept = readKept(id);
  if (kept === null) return null;
  try {
    await send(kept);
  } catch (error) {
    if (!(error instanceof ApiProblem) || error.mayPass) throw error;
    if (error.code === 'LESSON_CHANGED') return { lesson: kept.lesson, why: error.message };
  }
  device.remove(keptAs(id));
  return null;
}

/** What was left unsaved here, or null; a text that is no JSON is thrown away. */
function readKept(id: string): LessonDetail | null {
  const kept = device.get(keptAs(id));
  try {
    return kept === null ? null : (JSON.parse(kept) as LessonDetail);
  } catch {
    device.remove(keptAs(id));
    return null;
  }
}

const send = async ({ id, ...body }: LessonDetail): Promise<number> =>
  (await ask<LessonSaved>('POST', `/api/lessons/${id}/draft`, body)).revision;

/** The draft of a lesson: rooms that are open keep what they teach, the next one takes what is here. */
export const LessonStore = signalStore(
  withState<LessonState>({ at: null }),
  withProblem(),
  withHistory<Lesson>(NO_LESSON),
  withComputed(({ at, history }) => ({
    lesson: computed(() => (at() ? history().now : null)),
    toSave: computed((): LessonDetail | null => {
      const place = at();
      return place && { ...place, lesson: history().now };
    }),
  })),
  withMethods((store) => ({
    noteVersion: ({ id }: LessonDetail, revision: number) => patchState(store, { at: { id, revision } }),
  })),
  withAutosave({ send, overtakenBy: ['LESSON_CHANGED', 'NOT_FOUND'] }),
  withMethods((store) => {
    const fetchLesson = (id: string) => ask<LessonDetail>('GET', `/api/lessons/${id}`);
    const load = (id: string) =>
      store.attempt(async () => {
        const refused = await bringBack(id);
        const { revision, lesson } = await fetchLesson(id);
        store.beginWith(lesson);
        store.startSaved();
        patchState(store, { at: { id, revision } });
        if (!refused) return;
        // Both are there: the teacher chooses, and until then nothing is sent.
        patchState(store, { saving: 'overtaken' as const, saveProblem: refused.why });
        store.change(() => refused.lesson);
      });
    return {
      load,
      /** The lesson was changed elsewhere: what was written here takes its place, knowingly. */
      keepMine: () =>
        store.attempt(async () => {
          const at = store.at();
          if (!at) return;
          patchState(store, { at: { id: at.id, revision: (await fetchLesson(at.id)).revision } });
          store.startSaved();
          store.changed();
          await store.save();
        }),
      /** The lesson was changed elsewhere: what was written here is given up for what is there. */
      async takeOther(): Promise<void> {
        const at = store.at();
        if (!at) return;
        device.remove(keptAs(at.id));
        await load(at.id);
      },
    };
  }),
  withMethods((store) => {
    let pause = 0;
    /** What is being typed is one step with all its letters. */
    const endTyping = () => {
      clearTimeout(pause);
      if (store.began() !== null) store.endStep();
    };
    /** Changes words as they are typed: seen at once, a step and saved after a pause. */
    const type = (change: ScriptEdit) => {
      if (store.began() === null) store.beginStep();
      store.move(change);
      store.changed(); // a page that is left in the midst of a word sends it, too
      clearTimeout(pause);
      pause = window.setTimeout(endTyping, TYPING_PAUSE_MS);
    };
    return {
      type,
      endTyping,
      /** Changes the script; what would not be a lesson any more is refused with a sentence. */
      edit(change: ScriptEdit): void {
        endTyping();
        const now = store.lesson();
        if (!now) return;
        try {
          edited(now, change);
        } catch (error) {
          if (!(error instanceof CoreError)) throw error;
          return patchState(store, { problem: error.message });
        }
        patchState(store, { problem: null });
        store.change(change);
      },
      setSetting<Key extends keyof LessonSettings>(key: Key, value: LessonSettings[Key]): void {
        store.change((lesson) => withSettings(lesson, { [key]: value }));
      },
    };
  }),
  withMethods((store) => ({
    /** Changes something that must not be empty. */
    write<Key extends 'title' | 'goal'>(key: Key, text: string): void {
      const kept = text.trim();
      if (!kept) return patchState(store, { problem: SCRIPT_WORDS().needed[key] });
      patchState(store, { problem: null });
      store.change((lesson) => (lesson[key] === kept ? lesson : { ...lesson, [key]: kept }));
    },
    /** One sentence a line, up to eight. */
    setCriteria(text: string): void {
      const successCriteria = text
        .split('\n')
        .map((line) => line.trim().slice(0, 200))
        .filter(Boolean)
        .slice(0, 8);
      store.change((lesson) => ({ ...lesson, successCriteria }));
    },
    setMinutes(minutes: number): void {
      if (!(minutes >= 1)) return patchState(store, { problem: SCRIPT_WORDS().minuteAtLeast });
      patchState(store, { problem: null });
      const targetMinutes = Math.min(120, Math.round(minutes));
      store.change((lesson) => (lesson.targetMinutes === targetMinutes ? lesson : { ...lesson, targetMinutes }));
    },
  })),
  withHooks({
    onInit(store) {
      store.onStep(() => store.changed());
      // What is not saved yet stands on the device, so that a reload without a line loses nothing.
      let timer = 0;
      const keep = () => {
        clearTimeout(timer);
        const [doc, saving] = [store.toSave(), store.saving()];
        if (!doc) return;
        if (saving === 'saved') device.remove(keptAs(doc.id));
        else if (saving !== 'overtaken') device.set(keptAs(doc.id), JSON.stringify(doc));
      };
      effect(() => {
        store.toSave();
        const isTyped = store.began() !== null && store.saving() !== 'saved';
        clearTimeout(timer);
        // Not at every letter: a whole lesson is written out.
        if (isTyped) timer = window.setTimeout(keep, KEEP_PAUSE_MS);
        else untracked(keep);
      });
      whenLeft(keep); // what was typed a moment ago, too
    },
  }),
);
