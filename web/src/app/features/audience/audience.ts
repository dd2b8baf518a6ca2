import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, input, signal } from '@angular/core';
import { Store } from '@ngrx/store';
import { liveActions, liveFeature } from '../../state/live';
import { playOf } from '../../state/stage-play';
import { Steering } from '../../shared/steering';
import { StageView } from '../../ui/stage-view';
import { KeyShow } from '../console/key-show';

/** Hides the mouse pointer after this long without moving. */
const POINTER_MS = 3000;

/** What pupils see in the video call: the stage and nothing else. */
@Component({
  selector: 'zp-audience',
  imports: [KeyShow, StageView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:keydown)': 'key($event)', '(document:pointermove)': 'moved()', '[class.no-pointer]': 'still()' },
  template: `
    <main>
      @if (live.detail(); as detail) {
        @if (detail.live.room.phase === 'lobby') {
          <section class="words">
            <h1>{{ detail.lesson.title }}</h1>
            <zp-key-show [roomKey]="detail.roomKey" />
          </section>
        } @else if (detail.live.room.phase === 'ended') {
          <section class="words"><h1>The lesson is over. See you next time!</h1></section>
        } @else if (play(); as play) {
          <h1 class="heard-only">{{ detail.lesson.title }}</h1>
          <zp-stage class="stage" [play]="play" />
        }
      } @else if (live.problem(); as problem) {
        <section class="words">
          <p class="problem" role="alert">{{ problem }}</p>
        </section>
      }
    </main>
  `,
  styles: `
    :host {
      display: grid;
      place-items: center;
      width: 100vw;
      height: 100dvh;
      overflow: hidden;
      background: var(--paper);
    }
    :host(.no-pointer) {
      cursor: none;
    }
    .stage {
      width: min(100vw, calc(100dvh * 16 / 9));
      aspect-ratio: 16 / 9;
    }
    .words {
      padding: 2rem;
      text-align: center;
      font-size: clamp(1rem, 2.2vw, 2.4rem);
    }
    h1 {
      margin-bottom: 1em;
      font-size: 2em;
    }
  `,
})
export class Audience {
  readonly id = input.required<string>();
  private readonly store = inject(Store);
  private readonly steering = inject(Steering);
  protected readonly live = {
    detail: this.store.selectSignal(liveFeature.selectDetail),
    problem: this.store.selectSignal(liveFeature.selectProblem),
  };
  protected readonly play = playOf(this.store);
  protected readonly still = signal(false);
  private pointerTimer = 0;

  constructor() {
    effect(() => this.store.dispatch(liveActions.open({ sessionId: this.id(), window: 'audience' })));
    const running = computed(() => this.live.detail()?.live.room.phase === 'running');
    effect(() => {
      if (running()) void keepAwake();
    });
    inject(DestroyRef).onDestroy(() => this.store.dispatch(liveActions.close()));
    this.moved();
  }

  protected key(event: KeyboardEvent): void {
    if (this.steering.key(event)) return;
    if (event.key === 'f') void (document.fullscreenElement ? document.exitFullscreen() : document.documentElement.requestFullscreen());
  }

  protected moved(): void {
    this.still.set(false);
    clearTimeout(this.pointerTimer);
    this.pointerTimer = window.setTimeout(() => this.still.set(true), POINTER_MS);
  }
}

/** Asks the browser not to dim the screen; where it cannot or may not, the lesson goes on all the same. */
async function keepAwake(): Promise<void> {
  try {
    await (navigator as Partial<Navigator>).wakeLock?.request('screen');
  } catch {
    return; // refused, on a low battery for one: nothing that the teacher could do here
  }
}
