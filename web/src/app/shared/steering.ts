import { computed, effect, inject, Injectable, signal, untracked } from '@angular/core';
import { Store } from '@ngrx/store';
import { stepIndex } from '@zeitpunkt/core/lesson/prepare';
import type { RoomCommand } from '@zeitpunkt/core/live/room';
import type { Item } from '@zeitpunkt/core/question-kinds/registry';
import type { Asking } from '@zeitpunkt/core/run/asking';
import { exampleSteps, leavesScript, NEW_ASIDE, type Aside } from '@zeitpunkt/core/stage/aside';
import type { ExplainStep } from '@zeitpunkt/core/stage/explain';
import type { SecondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { seededRng } from '@zeitpunkt/core/random/rng';
import { anotherLike } from '@zeitpunkt/core/run/another';
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
  /** Whether something else has the stage than the script: hands turned elsewhere, an example, the chart. */
  readonly isAside = computed(() => leavesScript(this.aside() ?? NEW_ASIDE));
  /** The example that is given beside the script with the step it stands at, from 0; null where none is. */
  readonly example = computed((): { readonly steps: readonly ExplainStep[]; readonly index: number } | null => {
    const [aside, lesson] = [this.aside(), this.prepared()?.lesson];
    const shows = aside?.shows;
    if (shows?.kind !== 'example' || !aside || aside.timeSec === null || !lesson) return null;
    const steps = exampleSteps(aside.timeSec, lesson.settings);
    const index = steps.findIndex(({ step }) => step === shows.step);
    return { steps, index: index < 0 ? steps.length - 1 : index };
  });

  /** The question put beside the script; null while the script goes on. */
  readonly besideAsking = computed((): Asking | null => {
    const run = this.detail()?.live.room.run;
    return run?.askings.find(({ id }) => id === run.besideId) ?? null;
  });

  /** Whether the question beside the script can still be taken back: it is open and nobody has answered it. */
  readonly canTakeBack = computed((): boolean => {
    const beside = this.besideAsking();
    return beside?.phase === 'open' && !this.detail()!.live.responses.some(({ askingId }) => askingId === beside.id);
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

  /** Explains a time beside the script, step by step. */
  showExample(timeSec: SecondOfDay): void {
    const lesson = this.prepared()?.lesson;
    if (lesson) this.showAside({ timeSec, marks: [], shows: { kind: 'example', step: exampleSteps(timeSec, lesson.settings)[0]!.step } });
  }

  /** Puts the reference chart on the stage, or takes it away again. */
  toggleChart(): void {
    if (this.aside()?.shows?.kind === 'chart') return this.backToScript();
    this.showAside({ timeSec: null, marks: [], shows: { kind: 'chart' } });
  }

  /** Brings the script back, at the step where it was left. */
  backToScript(): void {
    this.unsent.set(undefined);
    this.tell({ type: 'aside', aside: null });
  }

  /**
   * One step on; in the lobby the lesson begins. An example beside the script goes on to its end; then, as with hands turned
   * beside it, the script comes back first, and a question beside it is answered before the script goes on.
   */
  next(): void {
    if (this.goInExample(1)) return;
    if (this.isAside()) return this.backToScript();
    const live = this.detail()?.live;
    const beside = this.besideAsking();
    if (live?.room.phase === 'lobby') this.tell({ type: 'begin' });
    else if (beside && beside.phase !== 'revealed') this.tell({ type: 'reveal', askingId: beside.id });
    else this.goBy(1);
  }

  back(): void {
    if (this.goInExample(-1)) return;
    if (this.isAside() || this.besideAsking()) return this.backToScript();
    this.goBy(-1);
  }

  /** Leaves out what is left of the beat at hand. */
  skipBeat(): void {
    const [room, prepared] = [this.detail()?.live.room, this.prepared()];
    if (!room || !prepared) return;
    const here = prepared.steps[stepIndex(prepared, room.run.at)]!;
    const next = prepared.lesson.beats[here.beatIndex + 1];
    if (next) this.leap(next.id);
  }

  /** The beat that asks next after where the lesson stands; null where nothing more is asked. */
  readonly nextAskId = computed((): string | null => {
    const [at, prepared] = [this.detail()?.live.room.run.at, this.prepared()];
    if (!at || !prepared) return null;
    const here = stepIndex(prepared, at);
    return prepared.steps.slice(here + 1).find(({ beat }) => beat.kind === 'ask')?.ref.beatId ?? null;
  });

  /** Goes to the next question at once, over whatever comes before it. */
  leapToAsk(): void {
    const beatId = this.nextAskId();
    if (beatId !== null) this.leap(beatId);
  }

  /** Goes to the beginning of a beat, wherever it stands. */
  leap(beatId: string): void {
    this.unsent.set(undefined);
    const to = this.prepared()?.steps.find(({ ref }) => ref.beatId === beatId);
    if (to && this.detail()?.live.room.phase === 'running') this.tell({ type: 'go', to: to.ref });
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

  /** Takes the question beside the script back, as if it had not been asked. */
  takeBack(): void {
    const beside = this.besideAsking();
    if (beside && this.canTakeBack()) this.tell({ type: 'take-back', askingId: beside.id });
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

  /** Goes on or back within an example; false where none is given or it is at that end. */
  private goInExample(by: 1 | -1): boolean {
    const [aside, example] = [this.aside(), this.example()];
    const to = example?.steps[example.index + by];
    if (aside && to) this.showAside({ ...aside, shows: { kind: 'example', step: to.step } });
    return to !== undefined;
  }

  private goBy(steps: number): void {
    this.unsent.set(undefined);
    const [room, prepared] = [this.detail()?.live.room, this.prepared()];
    if (room?.phase !== 'running' || !prepared) return;
    const to = prepared.steps[stepIndex(prepared, room.run.at) + steps];
    if (to) this.tell({ type: 'go', to: to.ref });
  }
}
