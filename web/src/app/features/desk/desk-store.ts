import { computed, DestroyRef, inject } from '@angular/core';
import { patchState, signalStore, withComputed, withHooks, withMethods, withState } from '@ngrx/signals';
import type { DeskMessage, DeskView, ResponseKept, Waiting } from '@zeitpunkt/contract';
import type { Response } from '@zeitpunkt/core';
import { v4 as uuid } from 'uuid';
import { loadShape } from '../../question-views/shape-views';
import { ApiProblem, ask, sentenceOf } from '../../shared/api';
import { deviceStore } from '../../shared/device-store';
import { type Line, openLine } from '../../shared/line';
import { loadAgainIfReachable } from '../../shared/load-again';
import { speakAs } from '../../shared/words/spoken';
import { cardInAddress, cardUsed, tokenInAddress } from './card-in-address';
import { loadMessageCheck } from './in-room';
import { sendOnceThereIsALine } from './offline/keep-desk';
import { waitedMs } from './offline/send-kept';
import { Outbox } from './outbox';
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

/** A pupil who shares the device with another. */
interface Beside {
  readonly participantId: string;
  readonly pupilName: string;
}

const BESIDE = 'zp-beside';
const device = deviceStore();

/** Keeps on this device which two pupils share it, or that none do. */
function keepBeside(both: readonly Pick<DeskView, 'participantId' | 'pupilName'>[] | null): void {
  if (!both) device.remove(BESIDE);
  else device.set(BESIDE, JSON.stringify(both.map(({ participantId, pupilName }) => ({ participantId, pupilName }))));
}

/** The two who share this device, as it keeps them; whatever else stands there is nobody. */
function kept(): readonly Beside[] {
  try {
    const both: unknown = JSON.parse(device.get(BESIDE) ?? '[]');
    return Array.isArray(both) ? (both as readonly Beside[]) : [];
  } catch {
    return [];
  }
}

/** The other one of the two who share this device, if the one at it is one of them. */
function besideOf(participantId: string): Beside | null {
  const both = kept();
  const isOne = both.some((one) => one.participantId === participantId);
  return (isOne && both.find((one) => one.participantId !== participantId)) || null;
}

/** Whether an answer that waits belongs to what the pupil at the device sees. */
const isFor =
  (view: DeskView | null) =>
  ({ participantId, post }: Waiting) =>
    participantId === view?.participantId && post.askingId === view.question?.askingId;

/** Pause before what waits is sent again; it doubles while nothing arrives. */
const RETRY_MS = 1500;
const LONGEST_RETRY_MS = 24_000;

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
  withMethods((store) => {
    const outbox = new Outbox();
    let line: Line | null = null;
    let stopped = false;
    let sending = false;
    let timer = 0;
    let pauseMs = RETRY_MS;

    let newest: DeskView | null = null;

    const show = (view: DeskView, viewAtMs: number) => {
      speakAs(view.language);
      patchState(store, { phase: 'in', view, viewAtMs, problem: null });
      if (view.phase === 'ended') line?.close(); // nothing more will be told
      for (const shape of view.shapes) void loadShape(shape).catch(() => undefined); // ready before it is asked; tried again then
    };
    /** Shows a view once the part of the page is there that its question needs, unless a newer one has come meanwhile. */
    const take = async (view: DeskView): Promise<void> => {
      newest = view;
      const viewAtMs = Date.now();
      if (view.question) {
        try {
          const { isView } = await loadShape(view.question.view.shape);
          if (!isView(view.question.view)) return line?.refuse();
        } catch {
          void loadAgainIfReachable();
          return line?.refuse(); // not to be fetched just now, or of a build that this page is not: asked for again
        }
      }
      if (newest === view) show(view, viewAtMs);
    };

    const goOut = (problem: string | null, card: string | null = null) => {
      line?.close();
      line = null;
      newest = null;
      patchState(store, { phase: card ? 'card' : 'joining', card, view: null, beside: null, waiting: [], problem });
    };

    const receive = (message: DeskMessage) => {
      if (message.type === 'view') void take(message.view);
      else if (message.type === 'released') goOut(DESK_WORDS().out.freed);
      else if (message.type === 'moved') goOut(DESK_WORDS().out.moved, tokenInAddress());
      else if (message.type === 'problem') patchState(store, { problem: message.detail });
    };

    /**
     * Sends what waits, oldest first, until the server has it or has refused it for good. Trouble at the server loses nothing:
     * what it could not take waits, and so do later answers to the same question, but others go on.
     */
    const send = async (): Promise<void> => {
      if (sending) return;
      sending = true;
      clearTimeout(timer);
      const stuck = new Set<string>();
      const isLeft = ({ post }: Waiting) => !stuck.has(post.askingId);
      try {
        for (let next = store.waiting().find(isLeft); next; next = store.waiting().find(isLeft)) {
          if (await sendOne(next)) pauseMs = RETRY_MS;
          else stuck.add(next.post.askingId);
        }
      } finally {
        sending = false;
      }
      if (stuck.size === 0) return;
      void sendOnceThereIsALine();
      timer = window.setTimeout(() => void send(), pauseMs);
      pauseMs = Math.min(pauseMs * 2, LONGEST_RETRY_MS);
    };

    /** @returns whether the response is settled: taken, or refused for good; otherwise it stays in the outbox */
    const sendOne = async ({ post, putAtMs, participantId }: Waiting): Promise<boolean> => {
      let problem: string | null = null;
      let isLate = false;
      try {
        // Where two share the device, an answer may go out in the other one's turn.
        const of = store.beside() ? `?of=${participantId}` : '';
        const kept = await ask<ResponseKept>('POST', `/api/desk/responses${of}`, { ...post, waitedMs: waitedMs(putAtMs) });
        isLate = kept.late;
        const view = store.view();
        if (view?.participantId === participantId && view.question?.askingId === post.askingId) {
          patchState(store, {
            view: { ...view, question: { ...view.question, given: { attempt: kept.attempt, response: post.response, late: kept.late } } },
          });
        }
      } catch (error) {
        if (!(error instanceof ApiProblem) || error.mayPass) return false;
        problem = sentenceOf(error); // refused for good: keeping it would block what comes after
      }
      // What is shown may be old by now: a dead line is noticed here at once, and what came late shows that it is.
      if (store.lineOpen()) line?.check();
      if (problem !== null || isLate || (store.view()?.own && !store.lineOpen())) void look();
      await outbox.remove(post.id);
      patchState(store, ({ waiting }) => ({ waiting: waiting.filter((one) => one.post.id !== post.id), ...(problem ? { problem } : {}) }));
      return true;
    };

    const enter = async (view: DeskView) => {
      // What waits is known before the question is shown: an answer given before a reload is shown as given.
      const beside = besideOf(view.participantId);
      const others = beside ? await outbox.waitingFor(beside.participantId) : [];
      patchState(store, { beside, waiting: [...others, ...(await outbox.waitingFor(view.participantId))] });
      await take(view);
      if (!line) await open();
    };

    const open = async () => {
      const isDeskMessage = await loadMessageCheck().catch(() => null);
      if (stopped || !newest) return; // the page is gone, or the place was given up meanwhile
      if (!isDeskMessage) {
        void loadAgainIfReachable();
        timer = window.setTimeout(() => void look(), RETRY_MS);
        return;
      }
      line ??= openLine<DeskMessage>('/ws/desk', isDeskMessage, {
        message: receive,
        open: (lineOpen) => {
          patchState(store, { lineOpen });
          pauseMs = RETRY_MS;
          if (lineOpen) void send();
          else void look(); // perhaps not the line but the place is gone
        },
        outdated: () => patchState(store, { outdated: true }),
      });
    };

    /** Asks where this device stands: in a room, or not. */
    const look = async (): Promise<void> => {
      try {
        const view = await ask<DeskView>('GET', '/api/desk');
        if (store.phase() === 'in' && line) await take(view);
        else await enter(view);
      } catch (error) {
        if (!(error instanceof ApiProblem)) throw error;
        if (error.code === 'DESK_NOT_JOINED') return goOut(null);
        if (store.phase() !== 'asking') return; // the line tries again by itself
        patchState(store, { problem: sentenceOf(error), unsent: error.lineLost ? (await outbox.all()).length : null });
        timer = window.setTimeout(() => void look(), RETRY_MS);
      }
    };

    /** Does something that is not kept for later: where it fails, that is said. */
    const tryTo = async (work: () => Promise<unknown>): Promise<void> => {
      try {
        await work();
      } catch (error) {
        patchState(store, { problem: sentenceOf(error) });
      }
    };

    return {
      look,
      enter,
      take,

      /** Shows the card in the address, if there is one that this tab has not come in with. */
      begin(): void {
        const card = cardInAddress();
        if (card) patchState(store, { phase: 'card', card });
        else void look();
      },

      /** Goes on without the card: back to where this device stands, or to the pictures. */
      withoutCard(): void {
        if (store.card()) cardUsed(store.card()!);
        patchState(store, { phase: 'asking', card: null, problem: null, unsent: null });
        void look();
      },

      async answer(response: Response, responseTimeMs: number): Promise<void> {
        const view = store.view();
        if (!view?.question) return;
        const id = uuid();
        const post = { id, askingId: view.question.askingId, response, responseTimeMs: Math.round(responseTimeMs) };
        const waiting: Waiting = { id, participantId: view.participantId, putAtMs: Date.now(), post };
        const deviceKeeps = await outbox.put(waiting);
        patchState(store, (state) => ({ waiting: [...state.waiting, waiting], deviceKeeps, problem: null }));
        await send();
      },

      tryTo,

      leave: () =>
        tryTo(async () => {
          await ask('POST', '/api/desk/leave');
          const stays = store.beside();
          keepBeside(null);
          goOut(null);
          if (stays) await look(); // whoever shared the device
        }),

      /** It is another pupil's turn on this device: the one who was at it is beside it now. */
      async turnTo(view: DeskView): Promise<void> {
        const before = store.view();
        if (before) keepBeside([before, view]);
        line?.close();
        line = null;
        await enter(view);
        await send();
      },

      stop(): void {
        stopped = true;
        clearTimeout(timer);
        line?.close();
      },
    };
  }),
  withHooks({
    onInit(store) {
      store.begin();
      inject(DestroyRef).onDestroy(() => store.stop());
    },
  }),
);
