import { ChangeDetectionStrategy, Component, computed, DestroyRef, effect, inject, input } from '@angular/core';
import { Store } from '@ngrx/store';
import { liveActions, liveFeature } from '../../state/live';
import { playOf } from '../../state/stage-play';
import { Steering } from '../../shared/steering';
import { AudienceWindow } from '../../ui/audience-window';
import { useShortcuts } from '../../shared/shortcuts';
import { StageView } from '../../ui/stage-view';
import { KeyShow } from '../../shared/room-key/key-show';
import { AUDIENCE_WORDS } from './words';

/** What pupils see in the video call: the stage and nothing else. */
@Component({
  selector: 'zp-audience',
  imports: [KeyShow, StageView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  hostDirectives: [AudienceWindow],
  host: { '(click)': 'steering.tap($event)' },
  template: `
    <main>
      @if (live.detail(); as detail) {
        @if (detail.live.room.phase === 'lobby') {
          <section class="words">
            <h1>{{ detail.lesson.title }}</h1>
            @if (detail.roomKey; as roomKey) {
              <zp-key-show [roomKey]="roomKey" />
            }
          </section>
        } @else if (detail.live.room.phase === 'ended') {
          <section class="words">
            <h1>{{ words().over }}</h1>
          </section>
        } @else if (play(); as play) {
          <h1 class="heard-only">{{ detail.lesson.title }}</h1>
          <zp-stage class="stage" [play]="play" [layout]="layout()" />
        }
      } @else if (live.problem(); as problem) {
        <section class="words">
          <p class="problem" role="alert">{{ problem }}</p>
        </section>
      }
    </main>
  `,
})
export class Audience {
  readonly id = input.required<string>();
  private readonly store = inject(Store);
  protected readonly words = AUDIENCE_WORDS;
  private readonly window = inject(AudienceWindow);
  protected readonly steering = inject(Steering);
  protected readonly live = {
    detail: this.store.selectSignal(liveFeature.selectDetail),
    problem: this.store.selectSignal(liveFeature.selectProblem),
  };
  protected readonly play = playOf(this.store, this.steering.ahead);
  protected readonly layout = computed(() => (this.window.large() ? 'large' : 'wide'));

  constructor() {
    useShortcuts(this.steering.shortcuts);
    effect(() => this.store.dispatch(liveActions.open({ sessionId: this.id(), window: 'audience' })));
    inject(DestroyRef).onDestroy(() => this.store.dispatch(liveActions.close()));
  }
}
