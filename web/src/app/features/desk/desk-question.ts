import { NgComponentOutlet } from '@angular/common';
import {
  afterNextRender,
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  type ElementRef,
  inject,
  Injector,
  input,
  output,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import type { DeskView } from '@zeitpunkt/contract';
import type { ItemView, Response } from '@zeitpunkt/core/question-kinds/registry';
import type { ShapeId } from '@zeitpunkt/core/question-kinds/shapes/shape';
import { type StageState, CLEAR_STAGE, dialsInOrder } from '@zeitpunkt/core/scene/stage-state';
import { isNotSure, NOT_SURE } from '@zeitpunkt/core/question-kinds/not-sure';
import { isRightVerdict } from '@zeitpunkt/core/question-kinds/verdict';
import { describeStage } from '@zeitpunkt/core/scene/describe-stage';
import { dialScene } from '@zeitpunkt/core/scene/dial-scene';
import { stageScene } from '@zeitpunkt/core/scene/stage-scene';
import type { AnswerView } from '../../question-views/answer-view';
import { anewWith } from '../../shared/anew-with';
import { PictureView } from '../../question-views/picture-view';
import { shapeViews } from '../../question-views/shape-views';
import { ResponseView } from '../../question-views/response-view';
import { SceneView } from '../../ui/scene-view';
import { Sign } from '../../ui/sign';
import { heldUpright } from '../../ui/held-upright';
import { dialOfAnswer } from './dial-of-answer';
import { heardOf } from './heard-of';
import { draftOf, dropDraft, keepDraft } from './answer-drafts';
import { DeskStore } from './desk-store';
import { ReadAloud } from '../../ui/read-aloud';
import { DESK_WORDS } from './words';
import { deskTongue } from '../../shared/words/spoken';

/** Whoever waits longer is told what for, in milliseconds. */
const SLOW_MS = 1000;

type Question = NonNullable<DeskView['question']>;

/** What is put together of cards, gaps or a place is shown put together rightly: no dial says that. */
const KEY_AS_GIVEN: ReadonlySet<ShapeId> = new Set<ShapeId>(['pairs', 'order', 'line', 'times']);

/** A question on the desk: answering it, knowing it is kept, and after the reveal one kind sentence and a look at the dial. */
@Component({
  selector: 'zp-desk-question',
  imports: [NgComponentOutlet, PictureView, ReadAloud, ResponseView, SceneView, Sign],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './desk-question.html',
  // What is laid out anew for small and large screens stands in the second, for both.
  styleUrls: ['./desk-reveal.scss', './desk-question.scss'],
})
export class DeskQuestion {
  readonly question = input.required<Question>();
  /** Whether there is a clock of one's own to go on with. */
  readonly hasClock = input(false);
  /** What was right is to be tried on that clock. */
  readonly tried = output();
  protected readonly words = DESK_WORDS;
  protected readonly isRight = isRightVerdict;
  protected readonly store = inject(DeskStore);
  private readonly tall = heldUpright();
  private readonly askingId = computed(() => this.question().askingId);
  /** Whose question it is and which: where two share the device, each begins anew. */
  protected readonly turn = computed(() => `${this.participantId()} ${this.askingId()}`);
  /** Answering (the first time or again), or looking at what was given. */
  protected readonly answering = anewWith(this.turn, () => this.store.safety() === 'none');
  protected readonly views = shapeViews(() => this.question().view.shape);
  /** What the answer starts from: what was given, or what was put together before the page was loaded again. */
  private readonly start = anewWith<Response | null>(this.turn, () => draftOf(this.participantId(), this.askingId()));
  protected readonly inputs = computed(() => ({ view: this.question().view, given: this.store.given() ?? this.start() }));
  protected readonly hasPicture = computed(() => {
    const { dial, display, lines, band } = this.question().view.picture;
    return Boolean(dial ?? display ?? band) || lines.length > 0;
  });
  /** All that a child who does not read yet needs to hear. */
  protected readonly heard = computed(() => heardOf(this.question(), this.words().wentBy));
  /** What is right, as the pupil would have given it, where the dial that was shown does not say it. */
  protected readonly showsKey = computed(() => this.revealScene() === null);
  /** What was answered, but for “not sure”, of which there is nothing to look at. */
  protected readonly answered = computed(() => {
    const given = this.store.given();
    return given && !isNotSure(given) ? given : null;
  });
  /** What was written of a dial, as a dial beside the right one. */
  protected readonly answeredDial = computed(() => {
    const given = this.answered();
    return given && this.revealScene()?.several === false ? dialOfAnswer(given) : null;
  });
  protected readonly isKeyAsGiven = computed(() => KEY_AS_GIVEN.has(this.question().view.shape));
  /** Cards that are shown put together need no list of their letters. */
  protected readonly isListed = computed(() => ['pairs', 'order'].includes(this.question().view.shape));
  /** A line needs the whole width to be read. */
  protected readonly isWide = computed(() => this.question().view.shape === 'line');
  protected readonly language = computed(() => this.store.view()?.language ?? '');
  /** The dials of the answer, one or several with the right ones ticked; what is written about them stands beside. */
  protected readonly revealScene = computed(() => {
    const stage = this.question().reveal?.stage;
    if (!stage?.dial || this.isKeyAsGiven()) return null;
    const { dial, dials, dialPlace } = stage;
    const pictures: StageState = { ...CLEAR_STAGE, dial, dials, dialPlace };
    const several = dialsInOrder(stage).length > 1;
    return {
      scene: several ? stageScene(pictures, this.tall() ? 'tall' : 'wide') : dialScene(dial),
      label: describeStage(pictures, deskTongue()),
      several,
    };
  });
  /** An answer is on its way for so long that the line is to blame; most are there before anybody could read that. */
  protected readonly isSlow = signal(false);
  private readonly injector = inject(Injector);
  private readonly stem = viewChild.required<ElementRef<HTMLElement>>('stem');
  private readonly kept = viewChild<ElementRef<HTMLElement>>('kept');
  private readonly sentence = viewChild<ElementRef<HTMLElement>>('sentence');
  private readonly outlet = viewChild(NgComponentOutlet);
  private readonly shownAt = signal(performance.now());
  /** The part that takes the answer. */
  private readonly view = signal<AnswerView<ItemView> | null>(null);
  protected readonly ready = computed(() => this.view()?.ready() ?? false);

  constructor() {
    effect(() => {
      this.turn();
      this.shownAt.set(performance.now());
    });
    effect((onCleanup) => {
      const waits = this.store.safety() === 'waiting';
      untracked(() => this.isSlow.set(false));
      const timer = waits ? window.setTimeout(() => this.isSlow.set(true), SLOW_MS) : 0;
      onCleanup(() => clearTimeout(timer));
    });
    // A new question, and what is right, have the focus: they are read out, and a keyboard goes on from there.
    const revealed = computed(() => this.question().phase === 'revealed');
    effect(() => {
      this.turn();
      const isRevealed = revealed(); // and nothing else of the question: a nudge takes the focus from nobody
      afterNextRender(() => (isRevealed ? this.sentence() : this.stem())?.nativeElement.focus({ preventScroll: true }), {
        injector: this.injector,
      });
    });
    // An outlet makes its part while it is drawn.
    afterRenderEffect(() => this.view.set((this.outlet()?.componentInstance ?? null) as AnswerView<ItemView> | null));
    // The views are chosen by kind, so their output is listened to here and not in the template.
    effect((onCleanup) => {
      const view = this.view();
      const heard = [
        view?.answered.subscribe((response) => void this.send(response)),
        view?.drafted.subscribe((draft) => untracked(() => keepDraft(this.participantId(), this.askingId(), draft))),
      ];
      onCleanup(() => heard.forEach((one) => one?.unsubscribe()));
    });
  }

  protected change(): void {
    this.answering.set(true);
    this.stem().nativeElement.focus(); // the button that had the focus goes
  }

  protected give(): void {
    const view = this.view();
    if (view && this.ready()) void this.send(view.response());
  }

  protected notSure(): void {
    void this.send(NOT_SURE);
  }

  private participantId(): string {
    return this.store.view()?.participantId ?? '';
  }

  private async send(response: Response): Promise<void> {
    this.answering.set(false);
    dropDraft(this.participantId(), this.askingId());
    this.start.set(null);
    // The button that had the focus goes with the question: what became of the answer takes it, and is read out.
    afterNextRender(() => this.kept()?.nativeElement.focus(), { injector: this.injector });
    await this.store.answer(response, performance.now() - this.shownAt());
  }
}
