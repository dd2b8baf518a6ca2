import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import type { Pose } from '@zeitpunkt/core';
import { ask } from '../../shared/api';
import { latestEvery } from '../../shared/latest-every';
import { DeskStore } from './desk-store';
import { PracticeDial } from './practice-dial';

/** While a hand is dragged its place goes out at most so often, in milliseconds. */
const SHOW_EVERY_MS = 250;

/** What the teacher asks of the class in passing: "Ready?", and the clock that everybody shows. Loaded when it is asked for. */
@Component({
  selector: 'zp-desk-calls',
  imports: [PracticeDial],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (calls(); as calls) {
      @if (calls.pulse; as pulse) {
        <div class="ready" role="group" aria-label="Ready?">
          <strong>Ready?</strong>
          <button type="button" class="press large" [attr.aria-pressed]="pulse.ready === true" (click)="say(pulse.id, true)">Ready</button>
          <button type="button" class="press large" [attr.aria-pressed]="pulse.ready === false" (click)="say(pulse.id, false)">
            Not yet
          </button>
        </div>
      }
      @if (calls.showMe) {
        @if (waiting(); as waiting) {
          <h1>You are in, {{ waiting.pupilName }}.</h1>
          <p>{{ waiting.lessonTitle }} begins soon. Turn your clock: your teacher sees it.</p>
        } @else {
          <h1>Show your clock.</h1>
          <p>Your teacher sees it.</p>
        }
        <zp-practice-dial (turned)="shown($event)" />
      }
    }
  `,
  styles: `
    .ready {
      display: flex;
      flex-wrap: wrap;
      gap: 0.75rem;
      align-items: center;
      justify-content: center;
      padding: 0.5rem;
      font-size: 1.3rem;
    }
    h1,
    p {
      text-align: center;
    }
  `,
})
export class DeskCalls {
  private readonly store = inject(DeskStore);
  /** The lesson has not begun: everybody has a clock until it does. */
  protected readonly waiting = computed(() => {
    const view = this.store.view();
    return view?.phase === 'lobby' ? view : null;
  });
  protected readonly calls = computed(() => this.store.view()?.calls ?? null);
  /** Nothing of it is kept, so that nothing is sent again: the next turn of a hand goes out by itself. */
  protected readonly shown = latestEvery(
    SHOW_EVERY_MS,
    (pose: Pose) => void ask('POST', '/api/desk/shown', { pose }).catch(() => undefined),
  );

  protected async say(pulse: number, ready: boolean): Promise<void> {
    await this.store.tryTo(() => ask('POST', '/api/desk/ready', { pulse, ready }));
  }
}
