import { computed, DestroyRef, inject } from '@angular/core';
import { patchState, signalStore, withComputed, withHooks, withMethods, withState } from '@ngrx/signals';
import type { RecordingDetail } from '@zeitpunkt/contract';
import type { PreparedLesson, Step } from '@zeitpunkt/core/lesson/prepare';
import { sameStep } from '@zeitpunkt/core/lesson/step-ref';
import type { Take } from '@zeitpunkt/core/voice/take';
import { ApiProblem, ask, sentenceOf } from '../../shared/api';
import { whenLeft } from '../../shared/when-left';
import { fetchCutter, finishTake, type WholeTake } from './finish-take';
import { Leavings } from './leavings';
import { MICROPHONE_OFF, OpenMicrophone, type MicrophoneState } from './open-microphone';
import { RecordingLock } from './recording-lock';
import { newTake, TakeAtHand } from './take-at-hand';
import { RECORD_WORDS } from './words';
import { TakeKeeper, type Safety } from './take-keeper';
import type { KeptTake } from './take-store';

type CutOff = RecordingDetail['cutOff'][number];

interface RecordState extends MicrophoneState {
  readonly lessonId: string | null;
  /** What the server holds; null until it has said so. */
  readonly detail: RecordingDetail | null;
  /** Takes that are whole and still on their way to the server. */
  readonly onTheWay: readonly WholeTake[];
  readonly safety: Safety;
  /** The take at hand: none, being recorded, waiting in a pause, or being ended. */
  readonly taking: 'none' | 'recording' | 'paused' | 'ending';
  /** When it began, or went on after a pause, on this window's clock; and how long it was before that, in milliseconds. */
  readonly sinceMs: number;
  readonly tookMs: number;
  /** Takes whose silence is being cut off just now. */
  readonly finishing: number;
  readonly problem: string | null;
  /** What was done by itself and should be known: a take that was cut off was kept. */
  readonly word: string | null;
  /** Another window of this browser records. */
  readonly elsewhere: boolean;
  /** Takes that were taken away a moment ago: that can still be undone. */
  readonly leaving: readonly string[];
}

const ALL_SAFE: Safety = { waiting: 0, deviceKeeps: true, lineLost: false, problem: null };

/** The recording of a lesson as it is made: the microphone, the take at hand, and where what was said is safe. */
export const RecordStore = signalStore(
  withState<RecordState>({
    lessonId: null,
    detail: null,
    onTheWay: [],
    safety: ALL_SAFE,
    ...MICROPHONE_OFF,
    taking: 'none',
    sinceMs: 0,
    tookMs: 0,
    finishing: 0,
    problem: null,
    word: null,
    elsewhere: false,
    leaving: [],
  }),
  withComputed(({ detail, onTheWay, taking, leaving }) => ({
    /** Takes that were cut off on another device; while one is recorded here it is among them and is none of them. */
    cutOff: computed(() => (taking() === 'none' ? (detail()?.cutOff ?? []) : [])),
    /** Each step's take, those on the way too. */
    takes: computed((): readonly Take[] =>
      [...(detail()?.takes ?? []), ...onTheWay().map(({ take }) => take)].filter(({ id }) => !leaving().includes(id)),
    ),
  })),
  withMethods((store) => {
    const tell = (problem: string | null) => patchState(store, { problem });
    /** Does something with the recording on the server, and shows what it holds then. */
    const _change = async (work: () => Promise<RecordingDetail>): Promise<boolean> => {
      try {
        patchState(store, { detail: await work(), problem: null });
        return true;
      } catch (error) {
        tell(sentenceOf(error));
        return false;
      }
    };
    const _pathOf = (path: string) => `/api/lessons/${store.lessonId()}/${path}`;

    return { tell, _change, _pathOf };
  }),
  withMethods((store) => {
    const leavings = new Leavings((leaving) => patchState(store, { leaving }));
    return {
      writeCues: ({ id }: Take, cues: Take['cues'], cuesEdited: boolean) =>
        store._change(() => ask('POST', store._pathOf(`takes/${id}/cues`), { cues, cuesEdited })),
      bringBack: ({ id }: Take) => store._change(() => ask('POST', store._pathOf(`takes/${id}/before`))),
      deleteTake: ({ id }: Pick<Take, 'id'>) => store._change(() => ask('POST', store._pathOf(`takes/${id}/delete`))),
      /** Takes a take away: for a while that can be undone, then it is deleted for good. @returns what undoes it */
      throwAway: ({ id }: Pick<Take, 'id'>): (() => void) =>
        leavings.takeAway(id, () => store._change(() => ask('POST', store._pathOf(`takes/${id}/delete`)))),
      /** The page is left: what was taken away is deleted now. */
      leaveNow: () => leavings.goNow(),
      deleteAll: () => store._change(() => ask('POST', store._pathOf('recording/delete'))),
      keepFor: (keepDays: number) => store._change(() => ask('POST', store._pathOf('recording/keep'), { keepDays })),
    };
  }),
  withMethods((store) => {
    let keeper: TakeKeeper | null = null;
    const lock = new RecordingLock();
    const showOnTheWay = () => patchState(store, { onTheWay: keeper?.whole ?? [] });

    /** A take becomes whole: its silence is cut off, and captions are laid along it. */
    const _finish = async (kept: KeptTake, cutOff: boolean): Promise<void> => {
      if (!keeper) return;
      patchState(store, ({ finishing }) => ({ finishing: finishing + 1 }));
      try {
        const whole = await finishTake(kept, keeper.piecesOf(kept.id));
        if (whole) await keeper.finish(kept.id, whole);
        else await keeper.drop(kept.id);
        showOnTheWay();
        if (cutOff && whole) patchState(store, { word: RECORD_WORDS().keptCutOff });
        if (!whole && !cutOff) patchState(store, { word: RECORD_WORDS().nothingHeard });
      } catch (error) {
        store.tell(RECORD_WORDS().notReady(sentenceOf(error)));
      } finally {
        patchState(store, ({ finishing }) => ({ finishing: finishing - 1 }));
      }
    };

    return {
      _finish,
      /** Where takes are kept; null before the recording is here, and where another window records. */
      _keeper: () => keeper,
      async load(lessonId: string): Promise<void> {
        patchState(store, { lessonId });
        await store._change(() => ask('GET', store._pathOf('recording')));
        // What cuts takes is here before the server may be gone.
        fetchCutter().catch(() => undefined); // tried again when a take is made ready
        if (!(await lock.take())) return patchState(store, { elsewhere: true });
        patchState(store, { elsewhere: false });
        keeper = new TakeKeeper(lessonId, {
          safety: (safety) => patchState(store, { safety }),
          kept: (detail) => {
            patchState(store, { detail });
            showOnTheWay();
          },
        });
        for (const kept of await keeper.fromBefore()) await _finish(kept, true);
        showOnTheWay();
      },

      /** A take that was cut off on another device is made whole here, as far as it had come to the server. */
      async rescue(prepared: PreparedLesson, { id, at, mime }: CutOff): Promise<void> {
        if (!keeper || !prepared.steps.some(({ ref }) => sameStep(ref, at))) return store.tell(RECORD_WORDS().noStep);
        const reply = await fetch(store._pathOf(`takes/${id}/pieces`)).catch(() => null);
        if (!reply?.ok) return store.tell(RECORD_WORDS().notFetched);
        const kept = newTake(store.lessonId()!, prepared, id, at, mime);
        await keeper.begin(kept);
        await keeper.addPiece(id, await reply.arrayBuffer());
        await _finish(kept, true);
        await store._change(() => ask('GET', store._pathOf('recording')));
      },

      /** Another window may record now. */
      _letGo(): void {
        keeper?.stop();
        lock.letGo();
      },
    };
  }),
  withMethods((store) => ({
    /** The sound of a take, from here or from the server. */
    async soundOf(take: Take): Promise<Blob> {
      const own = store._keeper()?.whole.find((one) => one.take.id === take.id);
      if (own) return new Blob([own.sound], { type: take.mime });
      const reply = await fetch(store._pathOf(`takes/${take.id}/sound`));
      if (!reply.ok) throw new ApiProblem('SOUND_NOT_FETCHED', RECORD_WORDS().notFetched);
      return reply.blob();
    },
  })),
  withMethods((store) => {
    /** Takes that are being made ready: another window may record once they are. */
    let settled: Promise<unknown> = Promise.resolve();
    /** Ends the take at hand and goes on at once: it is made ready meanwhile. */
    const endTake = async (): Promise<void> => {
      const ended = atHand.end();
      if (!ended) return;
      patchState(store, { taking: 'ending' });
      await ended.stopped;
      patchState(store, { taking: 'none', tookMs: 0 });
      settled = Promise.all([settled, store._finish(ended.kept, false)]);
    };

    const beginTake = (prepared: PreparedLesson, { ref }: Step): boolean => {
      const [{ stream }, keeper] = [microphone, store._keeper()];
      if (!keeper || !stream) return false;
      if (!atHand.begin({ lessonId: store.lessonId()!, prepared, at: ref, stream, keeper })) {
        store.tell(RECORD_WORDS().cannotRecord);
        return false;
      }
      patchState(store, { taking: 'recording', sinceMs: Date.now(), tookMs: 0, problem: null, word: null });
      return true;
    };

    const forgotten = async () => {
      await endTake();
      patchState(store, { word: RECORD_WORDS().forgotten });
    };

    const microphoneGone = async () => {
      const wasTaking = atHand.isThere;
      await endTake();
      microphone.close();
      store.tell(RECORD_WORDS().pulledOut(wasTaking));
    };

    const microphone = new OpenMicrophone({ state: (state) => patchState(store, state), gone: () => void microphoneGone() });
    const atHand = new TakeAtHand({ gone: () => void microphoneGone(), forgotten: () => void forgotten() });

    return {
      /** Opens a microphone: the one that is named, or the one that was used last. @returns whether one is heard */
      listen: (id?: string | null): Promise<boolean> => microphone.listen(id),

      beginTake,
      endTake,

      pause(): void {
        if (store.taking() !== 'recording') return;
        atHand.pause();
        patchState(store, { taking: 'paused', tookMs: store.tookMs() + Date.now() - store.sinceMs() });
      },
      resume(): void {
        if (store.taking() !== 'paused') return;
        atHand.resume();
        patchState(store, { taking: 'recording', sinceMs: Date.now() });
      },

      close(): void {
        store.leaveNow();
        void endTake()
          .then(() => settled)
          .finally(() => {
            microphone.close();
            store._letGo();
          });
      },
    };
  }),
  withHooks({
    onInit(store) {
      whenLeft(() => store.leaveNow());
      inject(DestroyRef).onDestroy(() => store.close());
    },
  }),
);
