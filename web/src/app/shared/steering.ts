import { computed, effect, inject, Injectable, signal, untracked } from '@angular/core';
import { Store } from '@ngrx/store';
import { anotherLike, seededRng, stepIndex, type Aside, type Asking, type Item, type RoomCommand } from '@zeitpunkt/core';
import { v4 as uuid } from 'uuid';
import { liveActions, liveFeature } from '../state/live';
import type { Shortcut } from './shortcuts';

/** While hands are dragged their place goes out at most this often; windows and desks glide from one to the next. */
const SEND_EVERY_MS = 120;

/** Moves the lesson on and back. Console and audience window steer alike: a clicker's keys reach whichever is in front. */
@Injectable({ providedIn: 'root' })
export class Steering {
  private readonly store = inject(Store);
  private readonly detail = this.store.selectSignal(liveFeature.selectDetail);
  private readonly prepared = this.store.selectSignal(liveFeature.selectPrepared);
  private readonly pending = this.store.selectSignal(liveFeature.selectPending);
  private readonly resting = signal(false);
  private readonly unsent = signal<Aside | undefined>(undefined);

  /** The keys that steer. */
  readonly shortcuts: readonly Shortcut[] = [
    { left: ['Space'], right: ['PageDown'], text: 'Go on', act: () => this.next() },
    { left: ['Shift+Space'], right: ['PageUp'], text: 'Go back', act: () => this.back() },
  ];
  /** What this window shows beside the script and has not told yet; undefined where the server knows all. */
  readonly ahead = this.unsent.asReadonly();
  /** What is shown beside the script, told or not; null while the stage follows the script. */
  readonly aside = computed(() => this.unsent() ?? this.detail()?.live.room.aside ?? null);
  /** Whether the hands stand elsewhere than the script has them. */
  readonly handsAside = computed(() => (this.aside()?.timeSec ?? null) !== null);

  /** The question put beside the script; null while the script goes on. */
  readonly besideAsking = computed((): Asking | null => {
    const run = this.detail()?.live.room.run;
    return run?.askings.find(({ id }) => id === run.besideId) ?? null;
  });

  constructor() {
    // One at a time and the latest only: on a slow line nothing queues up behind a drag.
    effect(() => {
      const aside = this.unsent();
      if (aside === undefined || this.resting() || this.pending() > 0) return;
      untracked(() => {
        this.unsent.set(undefined);
        this.resting.set(true);
        window.setTimeout(() => this.resting.set(false), SEND_EVERY_MS);
        this.tell({ type: 'aside', aside });
      });
    });
  }

  /** Shows something beside the script: here at once, everywhere else as fast as the line takes it. */
  showAside(aside: Aside): void {
    this.unsent.set(aside);
  }

  /** Brings the script back, at the step where it was left. */
  backToScript(): void {
    this.unsent.set(undefined);
    this.tell({ type: 'aside', aside: null });
  }

  /**
   * One step on; in the lobby the lesson begins. Hands turned beside the script bring the script back first, and a question
   * beside it is answered before the script goes on.
   */
  next(): void {
    if (this.handsAside()) return this.backToScript();
    const live = this.detail()?.live;
    const beside = this.besideAsking();
    if (live?.room.phase === 'lobby') this.tell({ type: 'begin' });
    else if (beside && beside.phase !== 'revealed') this.tell({ type: 'reveal', askingId: beside.id });
    else this.goBy(1);
  }

  back(): void {
    if (this.handsAside() || this.besideAsking()) return this.backToScript();
    this.goBy(-1);
  }

  /** Asks a question once more, of pupils who have seen its answer. */
  askAgain(item: Item): void {
    this.tell({ type: 'ask', item });
  }

  /** Asks another question of the same kind on the same rung, about other times than were asked. */
  askAnother(item: Item): void {
    const lesson = this.prepared()?.lesson;
    if (!lesson) return;
    const asked = [...lesson.items, ...(this.detail()?.live.room.run.askings.map((one) => one.item) ?? [])];
    const seed = Math.floor(Math.random() * 2 ** 32);
    this.tell({ type: 'ask', item: anotherLike(item, asked, `more-${uuid().slice(0, 8)}`, lesson.settings, seededRng(seed)) });
  }

  /** A tap on a touch screen goes on, wherever there is nothing to press, turn or type; a click only brings a window to the front. */
  tap(event: Event): void {
    const { target, pointerType } = event as PointerEvent;
    const used = (target as Element).closest('button, a, input, label, select, details, dialog, form, header, zp-pointing-stage, zp-wall');
    if (pointerType === 'touch' && !used && this.detail()?.live.room.phase === 'running') this.next();
  }

  tell(command: RoomCommand): void {
    const sessionId = this.detail()?.id;
    if (sessionId) this.store.dispatch(liveActions.command({ sessionId, commandId: uuid(), command, atMs: Date.now() }));
  }

  private goBy(steps: number): void {
    this.unsent.set(undefined);
    const [room, prepared] = [this.detail()?.live.room, this.prepared()];
    if (room?.phase !== 'running' || !prepared) return;
    const to = prepared.steps[stepIndex(prepared, room.run.at) + steps];
    if (to) this.tell({ type: 'go', to: to.ref });
  }
}
