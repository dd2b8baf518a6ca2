import { NgComponentOutlet } from '@angular/common';
import {
  ChangeDetectionStrategy,
  Component,
  computed,
  effect,
  inject,
  input,
  linkedSignal,
  type OutputRef,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import type { DeskView } from '@zeitpunkt/contract';
import { describeDial, dialScene, type Response } from '@zeitpunkt/core';
import { ANSWER_VIEWS } from '../../question-views/answer-views';
import { ResponseView } from '../../question-views/response-view';
import { SceneView } from '../../ui/scene-view';
import { Countdown } from './countdown';
import { DeskStore } from './desk-store';

type Question = NonNullable<DeskView['question']>;

/** A question on the desk: answering it, knowing it is kept, and after the reveal one kind sentence and a look at the dial. */
@Component({
  selector: 'zp-desk-question',
  imports: [Countdown, NgComponentOutlet, ResponseView, SceneView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './desk-question.html',
  styleUrl: './desk-question.scss',
})
export class DeskQuestion {
  readonly question = input.required<Question>();
  protected readonly store = inject(DeskStore);
  private readonly itemId = computed(() => this.question().view.itemId);
  /** Answering (the first time or again), or looking at what was given. */
  protected readonly answering = linkedSignal<string, boolean>({
    source: this.itemId,
    computation: () => untracked(() => this.store.safety() === 'none'),
  });
  protected readonly answerView = computed(() => ANSWER_VIEWS[this.question().view.kind]);
  protected readonly inputs = computed(() => ({ view: this.question().view, given: this.store.given() }));
  protected readonly revealScene = computed(() => {
    const dial = this.question().reveal?.stage.dial;
    return dial ? { scene: dialScene(dial), label: describeDial(dial) } : null;
  });
  private readonly outlet = viewChild(NgComponentOutlet);
  private readonly shownAt = signal(performance.now());

  constructor() {
    effect(() => {
      this.itemId();
      this.shownAt.set(performance.now());
    });
    // The views are chosen by kind, so their output is listened to here and not in the template.
    effect((onCleanup) => {
      const view = this.outlet()?.componentInstance as { answered: OutputRef<Response> } | null | undefined;
      const heard = view?.answered.subscribe((response) => void this.send(response));
      onCleanup(() => heard?.unsubscribe());
    });
  }

  private async send(response: Response): Promise<void> {
    this.answering.set(false);
    await this.store.answer(response, performance.now() - this.shownAt());
  }
}
