import { computed, DestroyRef, inject } from '@angular/core';
import { patchState, signalStore, withComputed, withHooks, withMethods, withProps, withState } from '@ngrx/signals';
import type { DeskMessage, DeskView, Waiting } from '@zeitpunkt/contract';
import type { Response } from '@zeitpunkt/core/question-kinds/registry';
import { v4 as uuid } from 'uuid';
import { loadShape } from '../../question-views/shape-views';
import { ApiProblem, ask, sentenceOf } from '../../shared/api';
import { deviceStore } from '../../shared/device-store';
import { type Line, openLine } from '../../shared/line';
import { loadAgainIfReachable } from '../../shared/load-again';
import { speakAs } from '../../shared/words/spoken';
import { cardInAddress, cardUsed, tokenInAddress } from './card-in-address';
import { loadMessageCheck } from './message-check';
import { Outbox } from './outbox';
import type { Settled } from './send-waiting';
import { Sending } from './sending';
import { type Beside, besideOf, keepBeside } from './two-at-one-device';
import { DESK_WORDS } from './words';

interface DeskState {
  /** Asking whether this device is in a room, entering one by card or by key, or in it. */
  readonly phase: 'asking' | 'card' | 'joining' | 'in';
  /** The token of the card that is shown. */
  readonly card: string | null;
  readonly view: DeskView | null;
  /** The other pupil, where two share this device. */
  readonly beside: Beside | null;
  /** When the view came, on this device's clock. */
  readonly viewAtMs: number;
  readonly lineOpen: boolean;
  /** Responses that the server does not have yet. */
  readonly waiting: readonly Waiting[];
  /** Whether this device keeps what waits, should the page be closed. */
  readonly deviceKeeps: boolean;
  readonly problem: string | null;
  /** The desk was opened without a line: how many answers wait on this device; null where it is not so. */
  readonly unsent: number | null;
  /** The server serves another build than this page is of. */
  readonly outdated: boolean;
}

/** Says that this device is in a room, as far as it knows: no other shows the pictures before the server was asked. */
const IN_A_ROOM = 'zp-in-a-room';
const device = deviceStore();

/** Whether an answer that waits belongs to what the pupil at the device sees. */
const isFor =
  (view: DeskView | null) =>
  ({ participantId, post }: Waiting) =>
    participantId === view?.participantId && post.askingId === view.question?.askingId;

/** Pause before it is asked anew where this device stands, in milliseconds. */
const RETRY_MS = 1500;

/** The pupil's place in a live lesson: what the teacher shows, and the answers on their way. */
export const DeskStore = signalStore(
  withState<DeskState>({
    phase: 'asking',
    card: null,
    view: null,
    beside: null,
    viewAtMs: 0,
    lineOpen: false,
    waiting: [],
    deviceKeeps: true,
    problem: null,
    unsent: null,
    outdated: false,
  }),
  withComputed(({ view, waiting }) => ({
    /** The pupil's latest response to the current question, whether it has arrived or not. */
    given: computed<Response | null>(() => {
      const question = view()?.question;
      const own = waiting().filter(isFor(view()));
      return own.at(-1)?.post.response ?? question?.given?.response ?? null;
    }),
    /** Whether that response is certain to be kept by the server, or still waits for the line. */
    safety: computed<'none' | 'waiting' | 'kept' | 'late'>(() => {
      const question = view()?.question;
      if (waiting().some(isFor(view()))) return 'waiting';
      if (!question?.given) return 'none';
      return question.given.late ? 'late' : 'kept';
    }),
  })),
  withProps(() => ({
    _outbox: new Outbox(),
    /** Where this device stands with the server. */
    _at: { line: null as Line | null, newest: null as DeskView | null, stopped: false, timer: 0, lineTurned: (_open: boolean) => {} },
  })),
  withMethods((store) => {
    const at = store._at;

    const show = (view: DeskView, viewAtMs: number) => {
      speakAs(view.language);
      if (store.phase() !== 'in') device.set(IN_A_ROOM, 'yes');
      patchState(store, { phase: 'in', view, viewAtMs, problem: null });
      if (view.phase === 'ended') at.line?.close(); // nothing more will be told
      for (const shape of view.shapes) void loadShape(shape).catch(() => undefined); // ready before it is asked; tried again then
    };
    /** Shows a view once the part of the page is there that its question needs, unless a newer one has come meanwhile. */
    const take = async (view: DeskView): Promise<void> => {
      at.newest = view;
      const viewAtMs = Date.now();
      if (view.question) {
        try {
          const { isView } = await loadShape(view.question.view.shape);
          if (!isView(view.question.view)) return at.line?.refuse();
        } catch {
          void loadAgainIfReachable();
          return at.line?.refuse(); // not to be fetched just now, or of a build that this page is not: asked for again
        }
      }
      if (at.newest === view) show(view, viewAtMs);
    };

    const _goOut = (problem: string | null, card: string | null = null) => {
      at.line?.close();
      at.line = null;
      at.newest = null;
      device.remove(IN_A_ROOM);
      patchState(store, { phase: card ? 'card' : 'joining', card, view: null, beside: null, waiting: [], problem });
    };

    const _receive = (message: DeskMessage) => {
      if (message.type === 'view') void take(message.view);
      else if (message.type === 'released') _goOut(DESK_WORDS().out.freed);
      else if (message.type === 'moved') _goOut(DESK_WORDS().out.moved, tokenInAddress());
      else if (message.type === 'problem') patchState(store, { problem: message.detail });
    };

    return { take, _goOut, _receive };
  }),
  withMethods((store) => {
    const at = store._at;

    const enter = async (view: DeskView) => {
      // What waits is known before the question is shown: an answer given before a reload is shown as given.
      const beside = besideOf(view.participantId);
      const others = beside ? await store._outbox.waitingFor(beside.participantId) : [];
      patchState(store, { beside, waiting: [...others, ...(await store._outbox.waitingFor(view.participantId))] });
      await store.take(view);
      if (!at.line) await open();
    };

    const open = async () => {
      const isDeskMessage = await loadMessageCheck().catch(() => null);
      if (at.stopped || !at.newest) return; // the page is gone, or the place was given up meanwhile
      if (!isDeskMessage) {
        void loadAgainIfReachable();
        at.timer = window.setTimeout(() => void look(), RETRY_MS);
        return;
      }
      at.line ??= openLine<DeskMessage>('/ws/desk', isDeskMessage, {
        message: store._receive,
        open: (lineOpen) => {
          patchState(store, { lineOpen });
          at.lineTurned(lineOpen);
          if (!lineOpen) void look(); // perhaps not the line but the place is gone
        },
        outdated: () => patchState(store, { outdated: true }),
      });
    };

    /** Asks where this device stands: in a room, or not. */
    const look = async (): Promise<void> => {
      try {
        const view = await ask<DeskView>('GET', '/api/desk');
        if (store.phase() === 'in' && at.line) await store.take(view);
        else await enter(view);
      } catch (error) {
        if (!(error instanceof ApiProblem)) throw error;
        if (error.code === 'DESK_NOT_JOINED') return store._goOut(null);
        if (store.phase() === 'in' || store.phase() === 'card') return; // the line tries again by itself, and so does the card
        patchState(store, { problem: sentenceOf(error), unsent: error.lineLost ? (await store._outbox.all()).length : null });
        at.timer = window.setTimeout(() => void look(), RETRY_MS);
      }
    };

    return {
      look,
      enter,

      /**
       * Shows the card in the address, if there is one that this tab has not come in with. A device that is in no room shows the
       * pictures at once: on a slow line the server's word for it takes another half a second.
       */
      begin(): void {
        const card = cardInAddress();
        if (card) return patchState(store, { phase: 'card', card });
        if (device.get(IN_A_ROOM) === null) patchState(store, { phase: 'joining' });
        void look();
      },

      /** Goes on without the card: back to where this device stands, or to the pictures. */
      withoutCard(): void {
        if (store.card()) cardUsed(store.card()!);
        patchState(store, { phase: 'asking', card: null, problem: null, unsent: null });
        void look();
      },
    };
  }),
  withMethods((store) => {
    const at = store._at;

    /** An answer has arrived, or was refused for good: keeping it would block what comes after. */
    const settled = async ({ post, participantId }: Waiting, how: Settled): Promise<void> => {
      const view = store.view();
      const kept = 'kept' in how ? how.kept : null;
      const problem = 'refused' in how ? { problem: sentenceOf(how.refused) } : {};
      if (kept && view?.participantId === participantId && view.question?.askingId === post.askingId) {
        const given = { attempt: kept.attempt, response: post.response, late: kept.late };
        patchState(store, { view: { ...view, question: { ...view.question, given } } });
      }
      // What is shown may be old by now: a dead line is noticed here at once, and what came late shows that it is.
      if (store.lineOpen()) at.line?.check();
      if (!kept || kept.late || (store.view()?.own && !store.lineOpen())) void store.look();
      await store._outbox.remove(post.id);
      patchState(store, ({ waiting }) => ({ waiting: waiting.filter((one) => one.post.id !== post.id), ...problem }));
    };
    const sending = new Sending({ waiting: store.waiting, isShared: () => store.beside() !== null, settled });

    at.lineTurned = (open) => {
      sending.lineChanged();
      if (open) void sending.send();
    };

    return {
      async answer(response: Response, responseTimeMs: number): Promise<void> {
        const view = store.view();
        if (!view?.question) return;
        const id = uuid();
        const post = { id, askingId: view.question.askingId, response, responseTimeMs: Math.round(responseTimeMs) };
        const waiting: Waiting = { id, participantId: view.participantId, putAtMs: Date.now(), post };
        const deviceKeeps = await store._outbox.put(waiting);
        patchState(store, (state) => ({ waiting: [...state.waiting, waiting], deviceKeeps, problem: null }));
        await sending.send();
      },

      /** It is another pupil's turn on this device: the one who was at it is beside it now. */
      async turnTo(view: DeskView): Promise<void> {
        const before = store.view();
        if (before) keepBeside([before, view]);
        at.line?.close();
        at.line = null;
        await store.enter(view);
        await sending.send();
      },

      stop(): void {
        at.stopped = true;
        clearTimeout(at.timer);
        sending.stop();
        at.line?.close();
      },
    };
  }),
  withMethods((store) => {
    /** Does something that is not kept for later: where it fails, that is said. */
    const tryTo = async (work: () => Promise<unknown>): Promise<void> => {
      try {
        await work();
      } catch (error) {
        patchState(store, { problem: sentenceOf(error) });
      }
    };

    return {
      tryTo,

      leave: () =>
        tryTo(async () => {
          await ask('POST', '/api/desk/leave');
          const stays = store.beside();
          keepBeside(null);
          store._goOut(null);
          if (stays) await store.look(); // whoever shared the device
        }),
    };
  }),
  withHooks({
    onInit(store) {
      store.begin();
      inject(DestroyRef).onDestroy(() => store.stop());
    },
  }),
);
