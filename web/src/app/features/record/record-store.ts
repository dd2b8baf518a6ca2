import { computed, DestroyRef, inject } from '@angular/core';
import { patchState, signalStore, withComputed, withHooks, withMethods, withState } from '@ngrx/signals';
import type { RecordingDetail } from '@zeitpunkt/contract';
import type { PreparedLesson, Step } from '@zeitpunkt/core/lesson/prepare';
import { sameStep, type StepRef } from '@zeitpunkt/core/lesson/step-ref';
import { motionMs, narrationAt } from '@zeitpunkt/core/stage/player';
import type { LevelFault } from '@zeitpunkt/core/voice/level-watch';
import { type Take, LONGEST_TAKE_MS } from '@zeitpunkt/core/voice/take';
import { fingerprintOf } from '@zeitpunkt/core/voice/fingerprint';
import { v4 as uuid } from 'uuid';
import { ApiProblem, ask, sentenceOf } from '../../shared/api';
import { fetchCutter, finishTake, type WholeTake } from './finish-take';
import { Microphone, type MicrophoneChoice } from './microphone';
import type { TakeEncoder } from './encoder';
import { encoderOfBrowser } from './take-encoder';
import { TakeKeeper, type Safety } from './take-keeper';
import type { KeptTake } from './take-store';
import { deviceStore } from '../../shared/device-store';

type CutOff = RecordingDetail['cutOff'][number];

interface RecordState {
  readonly lessonId: string | null;
  /** What the server holds; null until it has said so. */
  readonly detail: RecordingDetail | null;
  /** Takes that are whole and still on their way to the server. */
  readonly onTheWay: readonly WholeTake[];
  readonly safety: Safety;
  /** The microphone: not asked for, being opened, or heard. */
  readonly microphone: 'off' | 'opening' | 'on';
  readonly microphones: readonly MicrophoneChoice[];
  readonly microphoneId: string | null;
  /** How loud it is now, in dB, and what is wrong with it. */
  readonly db: number;
  readonly fault: LevelFault | null;
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

const LOCK = 'zeitpunkt-recording';
const CHOSEN = 'zeitpunkt-microphone';
const device = deviceStore();
const ALL_SAFE: Safety = { waiting: 0, deviceKeeps: true, lineLost: false, problem: null };

/** So long a take that was taken away can be brought back, in milliseconds. */
export const UNDO_MS = 10_000;

/** The recording of a lesson as it is made: the microphone, the take at hand, and where what was said is safe. */
export const RecordStore = signalStore(
  withState<RecordState>({
    lessonId: null,
    detail: null,
    onTheWay: [],
    safety: ALL_SAFE,
    microphone: 'off',
    microphones: [],
    microphoneId: null,
    db: -100,
    fault: null,
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
    let keeper: TakeKeeper | null = null;
    let microphone: Microphone | null = null;
    let encoder: TakeEncoder | null = null;
    let taken: KeptTake | null = null;
    let tooLong = 0;
    /** Takes that were taken away a moment ago, each with what deletes it for good. */
    const leavings = new Map<string, () => void>();
    let letGo: () => void = () => undefined;
    /** Takes that are being made ready: another window may record once they are. */
    let settled: Promise<unknown> = Promise.resolve();

    const tell = (problem: string | null) => patchState(store, { problem });
    const showOnTheWay = () => patchState(store, { onTheWay: keeper?.whole ?? [] });

    /** A take becomes whole: its silence is cut off, and captions are laid along it. */
    const finish = async (kept: KeptTake, cutOff: boolean): Promise<void> => {
      if (!keeper) return;
      patchState(store, ({ finishing }) => ({ finishing: finishing + 1 }));
      try {
        const whole = await finishTake(kept, keeper.piecesOf(kept.id));
        if (whole) await keeper.finish(kept.id, whole);
        else await keeper.drop(kept.id);
        showOnTheWay();
        if (cutOff && whole)
          patchState(store, { word: 'A take that was cut off was kept as far as it had come. Listen to it, or retake it.' });
        if (!whole && !cutOff) patchState(store, { word: 'Nothing was heard, so no take was kept.' });
      } catch (error) {
        tell(`This take could not be made ready; it is kept on this device. ${sentenceOf(error)}`);
      } finally {
        patchState(store, ({ finishing }) => ({ finishing: finishing - 1 }));
      }
    };

    /** Ends the take at hand and goes on at once: it is made ready meanwhile. */
    const endTake = async (): Promise<void> => {
      const [ending, kept] = [encoder, taken];
      if (!ending || !kept) return;
      [encoder, taken] = [null, null];
      clearTimeout(tooLong);
      patchState(store, { taking: 'ending' });
      await ending.stop();
      patchState(store, { taking: 'none', tookMs: 0 });
      settled = Promise.all([settled, finish(kept, false)]);
    };

    const newTake = (prepared: PreparedLesson, id: string, at: StepRef, mime: string): KeptTake => ({
      id,
      lessonId: store.lessonId()!,
      at,
      mime,
      said: narrationAt(prepared, at),
      fingerprint: fingerprintOf(prepared, at),
      madeAtMs: Date.now(),
      moves: motionMs(prepared, at) > 0,
      whole: null,
    });

    const beginTake = (prepared: PreparedLesson, { ref }: Step): boolean => {
      const start = encoderOfBrowser();
      if (!keeper || !microphone) return false;
      if (!start) {
        tell('This browser cannot record sound. A newer one can.');
        return false;
      }
      const id = uuid();
      const own = keeper;
      // The first piece may come before the device has begun to keep the take: pieces wait for that.
      let kept: Promise<void> = Promise.resolve();
      encoder = start(microphone.stream, (bytes) => void (kept = kept.then(() => own.addPiece(id, bytes))), microphoneGone);
      taken = newTake(prepared, id, ref, encoder.mime);
      kept = own.begin(taken);
      const stop = encoder.stop;
      encoder = { ...encoder, stop: () => stop().then(() => kept) };
      tooLong = window.setTimeout(() => void forgotten(), LONGEST_TAKE_MS);
      patchState(store, { taking: 'recording', sinceMs: Date.now(), tookMs: 0, problem: null, word: null });
      return true;
    };

    const forgotten = async () => {
      await endTake();
      patchState(store, { word: 'Half an hour at one step: the recording has stopped by itself. What was said is kept.' });
    };

    const microphoneGone = () => {
      const wasTaking = encoder !== null;
      void endTake().then(() => {
        closeMicrophone();
        tell(
          wasTaking
            ? 'The microphone was pulled out. What was said up to then is kept; choose a microphone and retake this step.'
            : 'The microphone was pulled out. Choose another one.',
        );
      });
    };

    const closeMicrophone = () => {
      microphone?.close();
      microphone = null;
      patchState(store, { microphone: 'off', db: -100, fault: null });
    };

    const openMicrophone = async (id: string | null): Promise<boolean> => {
      closeMicrophone();
      patchState(store, { microphone: 'opening', problem: null });
      try {
        const opened = await Microphone.open(id);
        microphone = opened;
        opened.onGone(microphoneGone);
        opened.listen((db, { fault }) => patchState(store, { db, fault }));
        const chosen = opened.id;
        if (chosen) device.set(CHOSEN, chosen);
        patchState(store, { microphone: 'on', microphoneId: chosen, microphones: await Microphone.all() });
        return true;
      } catch (error) {
        if (!(error instanceof ApiProblem)) throw error;
        patchState(store, { microphone: 'off', problem: sentenceOf(error) });
        return false;
      }
    };

    /** Does something with the recording on the server, and shows what it holds then. */
    const change = async (work: () => Promise<RecordingDetail>): Promise<boolean> => {
      try {
        patchState(store, { detail: await work(), problem: null });
        return true;
      } catch (error) {
        tell(sentenceOf(error));
        return false;
      }
    };
    const pathOf = (path: string) => `/api/lessons/${store.lessonId()}/${path}`;

    /** One window of a browser records at a time; the lock goes with the page, however it ends. */
    const takeLock = (): Promise<boolean> =>
      new Promise((resolve) => {
        if (!('locks' in navigator)) return resolve(true);
        void navigator.locks.request(LOCK, { ifAvailable: true }, (lock) => {
          resolve(lock !== null);
          return lock && new Promise<void>((release) => (letGo = release));
        });
      });

    return {
      tell,

      async load(lessonId: string): Promise<void> {
        patchState(store, { lessonId });
        await change(() => ask('GET', pathOf('recording')));
        // What cuts takes is here before the server may be gone.
        fetchCutter().catch(() => undefined); // tried again when a take is made ready
        if (!(await takeLock())) return patchState(store, { elsewhere: true });
        patchState(store, { elsewhere: false });
        keeper = new TakeKeeper(lessonId, {
          safety: (safety) => patchState(store, { safety }),
          kept: (detail) => {
            patchState(store, { detail });
            showOnTheWay();
          },
        });
        for (const kept of await keeper.fromBefore()) await finish(kept, true);
        showOnTheWay();
      },

      /** Opens the microphone that was used last, where there is one. */
      async listen(id: string | null = device.get(CHOSEN)): Promise<boolean> {
        if (await openMicrophone(id)) return true;
        // The one of last time is not plugged in today: any other will do.
        if (id === null || id !== device.get(CHOSEN)) return false;
        device.remove(CHOSEN);
        return openMicrophone(null);
      },

      beginTake,
      endTake,

      pause(): void {
        if (store.taking() !== 'recording') return;
        encoder?.pause();
        patchState(store, { taking: 'paused', tookMs: store.tookMs() + Date.now() - store.sinceMs() });
      },
      resume(): void {
        if (store.taking() !== 'paused') return;
        encoder?.resume();
        patchState(store, { taking: 'recording', sinceMs: Date.now() });
      },

      /** A take that was cut off on another device is made whole here, as far as it had come to the server. */
      async rescue(prepared: PreparedLesson, { id, at, mime }: CutOff): Promise<void> {
        if (!keeper || !prepared.steps.some(({ ref }) => sameStep(ref, at))) return tell('The script does not have this step any more.');
        const reply = await fetch(pathOf(`takes/${id}/pieces`)).catch(() => null);
        if (!reply?.ok) return tell('This take cannot be fetched just now.');
        const kept = newTake(prepared, id, at, mime);
        await keeper.begin(kept);
        await keeper.addPiece(id, await reply.arrayBuffer());
        await finish(kept, true);
        await change(() => ask('GET', pathOf('recording')));
      },

      /** The sound of a take, from here or from the server. */
      async soundOf(take: Take): Promise<Blob> {
        const own = keeper?.whole.find((one) => one.take.id === take.id);
        if (own) return new Blob([own.sound], { type: take.mime });
        const reply = await fetch(pathOf(`takes/${take.id}/sound`));
        if (!reply.ok) throw new ApiProblem('SOUND_NOT_FETCHED', 'The sound of this take cannot be fetched just now.');
        return reply.blob();
      },

      writeCues: ({ id }: Take, cues: Take['cues'], cuesEdited: boolean) =>
        change(() => ask('POST', pathOf(`takes/${id}/cues`), { cues, cuesEdited })),
      bringBack: ({ id }: Take) => change(() => ask('POST', pathOf(`takes/${id}/before`))),
      deleteTake: ({ id }: Pick<Take, 'id'>) => change(() => ask('POST', pathOf(`takes/${id}/delete`))),
      /** Takes a take away: for a while that can be undone, then it is deleted for good. @returns what undoes it */
      throwAway({ id }: Pick<Take, 'id'>): () => void {
        const leave = () => {
          clearTimeout(timer);
          leavings.delete(id);
          void change(() => ask('POST', pathOf(`takes/${id}/delete`))).then(() => stay());
        };
        const stay = () => patchState(store, ({ leaving }) => ({ leaving: leaving.filter((one) => one !== id) }));
        const timer = setTimeout(leave, UNDO_MS);
        leavings.set(id, leave);
        patchState(store, ({ leaving }) => ({ leaving: [...leaving, id] }));
        return () => {
          clearTimeout(timer);
          leavings.delete(id);
          stay();
        };
      },
      /** The page is left: what was taken away is deleted now. */
      leaveNow: () => [...leavings.values()].forEach((leave) => leave()),
      deleteAll: () => change(() => ask('POST', pathOf('recording/delete'))),
      keepFor: (keepDays: number) => change(() => ask('POST', pathOf('recording/keep'), { keepDays })),

      close(): void {
        for (const leave of [...leavings.values()]) leave();
        void endTake()
          .then(() => settled)
          .finally(() => {
            closeMicrophone();
            keeper?.stop();
            letGo();
          });
      },
    };
  }),
  withHooks({
    onInit(store) {
      const leaving = () => store.leaveNow();
      window.addEventListener('pagehide', leaving);
      inject(DestroyRef).onDestroy(() => {
        window.removeEventListener('pagehide', leaving);
        store.close();
      });
    },
  }),
);
