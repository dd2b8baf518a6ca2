import { ChangeDetectionStrategy, Component, computed, output, signal } from '@angular/core';
import { type Pose, gearedPose } from '@zeitpunkt/core/dial/pose';
import { PLAIN_LAYERS, TEACHING_LAYERS } from '@zeitpunkt/core/scene/dial-state';
import { displayText } from '@zeitpunkt/core/time/display';
import { toSecondOfDay } from '@zeitpunkt/core/time/second-of-day';
import type { Turning } from '../../ui/dial-gesture';
import { HandSteps } from '../../ui/hand-steps';
import { TurningDial } from '../../ui/turning-dial';
import { DESK_WORDS } from './words';

/** A dial of one's own to turn, while the lesson waits. What time it shows is told when it is asked for, and hidden again when a hand moves. */
@Component({
  selector: 'zp-practice-dial',
  imports: [HandSteps, TurningDial],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <zp-turning-dial class="dial" speaks="places" [turning]="turning()" (turningChange)="turn($event)" [layers]="layers()" />
    <div class="beside">
      <p class="reading" role="status">{{ told() ? reading() : '?' }}</p>
      <button type="button" class="button outlined big" [attr.aria-pressed]="told()" (click)="told.set(!told())">
        {{ told() ? words().clock.hide : words().clock.what }}
      </button>
      <zp-hand-steps [turning]="turning()" (turningChange)="turn($event)" />
      <button type="button" class="button quiet" [attr.aria-pressed]="ring()" (click)="ring.set(!ring())">{{ words().clock.ring }}</button>
    </div>
  `,
  styleUrl: './practice-dial.scss',
})
export class PracticeDial {
  protected readonly words = DESK_WORDS;
  /** Where the hands stand, each time they are turned. */
  readonly turned = output<Pose>();
  protected readonly turning = signal<Turning>({ hands: 'geared', at: toSecondOfDay(36_600) });
  protected readonly told = signal(false);
  protected readonly ring = signal(false);
  protected readonly layers = computed(() => (this.ring() ? TEACHING_LAYERS : PLAIN_LAYERS));
  protected readonly reading = computed(() => {
    const turning = this.turning();
    return turning.hands === 'geared' ? displayText(turning.at) : '';
  });

  protected turn(turning: Turning): void {
    this.turning.set(turning);
    this.told.set(false);
    if (turning.hands === 'geared') this.turned.emit(gearedPose(turning.at));
  }
}
