import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { Response } from '@zeitpunkt/core/question-kinds/registry';

import { nearestTime } from '@zeitpunkt/core/dial/nearest-time';
import { gearedPose } from '@zeitpunkt/core/dial/pose';
import { toSecondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { poseOf, type Turning } from '../../ui/dial-gesture';
import { HandSteps } from '../../ui/hand-steps';
import { TurningDial } from '../../ui/turning-dial';
import { type AnswerView, givenTo, responseTo, type ViewOfShape } from '../answer-view';
import { anewWith } from '../../shared/anew-with';
import { ANSWER_WORDS } from '../words';

/** Setting a dial: turn the hands, on the dial or with the buttons beside it, then say so. */
@Component({
  selector: 'zp-pose-answer',
  imports: [HandSteps, TurningDial],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <zp-turning-dial class="dial" speaks="places" [turning]="turning()" (turningChange)="turn($event)" [layers]="view().layers" />
    <div class="beside">
      <p>{{ view().hands === 'geared' ? words().geared : words().free }}</p>
      <zp-hand-steps [turning]="turning()" (turningChange)="turn($event)" />
    </div>
  `,
  styleUrl: './answer.scss',
})
export class PoseAnswerView implements AnswerView<ViewOfShape<'pose'>> {
  protected readonly words = ANSWER_WORDS;
  readonly view = input.required<ViewOfShape<'pose'>>();
  readonly given = input.required<Response | null>();
  readonly drafted = output<Response>();
  readonly answered = output<Response>();
  /** One object for each question, so that a new view of the same question leaves the hands alone. */
  private readonly start = computed(
    (): Turning => {
      const { hands, startSec } = this.view();
      const at = toSecondOfDay(startSec);
      return hands === 'geared' ? { hands, at } : { hands, pose: gearedPose(at) };
    },
    { equal: (a, b) => JSON.stringify(a) === JSON.stringify(b) },
  );
  /** The hands as the pupil left them, where the answer is being changed. */
  private before(): Turning | null {
    const given = givenTo<{ hourDeg: number; minuteDeg: number }>(this.view(), this.given());
    if (!given) return null;
    const { hands } = this.view();
    const { hourDeg, minuteDeg } = given;
    return hands === 'geared' ? { hands, at: nearestTime({ hourDeg, minuteDeg }) } : { hands, pose: { hourDeg, minuteDeg } };
  }
  protected readonly turning = anewWith<Turning>(
    () => this.view().itemId,
    () => this.before() ?? this.start(),
  );
  readonly ready = computed(() => this.turning() !== this.start());

  protected turn(turning: Turning): void {
    this.turning.set(turning);
    this.drafted.emit(this.response());
  }

  response(): Response {
    return responseTo(this.view(), { ...poseOf(this.turning()) });
  }
}
