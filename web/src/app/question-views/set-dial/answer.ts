import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output } from '@angular/core';
import type { Response, ViewOf } from '@zeitpunkt/core';
import { nearestTime } from '@zeitpunkt/core/dial/nearest-time';
import { gearedPose } from '@zeitpunkt/core/dial/pose';
import { toSecondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { poseOf, type Turning } from '../../ui/dial-gesture';
import { TurningDial } from '../../ui/turning-dial';
import type { AnswerView } from '../answer-view';

/** Setting a dial: turn the hands, then say so. */
@Component({
  selector: 'zp-set-dial-answer',
  imports: [TurningDial],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <zp-turning-dial class="dial" [(turning)]="turning" [layers]="view().layers" />
    <div class="beside">
      <p>{{ view().hands === 'geared' ? 'Turn a hand: the other one goes along.' : 'Each hand moves by itself. Turn both.' }}</p>
      <button class="button filled next big" type="button" [disabled]="!turned()" (click)="send()">This is my answer</button>
    </div>
  `,
  styleUrl: './answer.scss',
})
export class SetDialAnswer implements AnswerView<ViewOf<'set-dial'>> {
  readonly view = input.required<ViewOf<'set-dial'>>();
  readonly given = input.required<Response | null>();
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
    const given = this.given();
    if (given?.kind !== 'set-dial') return null;
    const { hands } = this.view();
    const { hourDeg, minuteDeg } = given;
    return hands === 'geared' ? { hands, at: nearestTime({ hourDeg, minuteDeg }) } : { hands, pose: { hourDeg, minuteDeg } };
  }
  private readonly itemId = computed(() => this.view().itemId);
  protected readonly turning = linkedSignal<string, Turning>({ source: this.itemId, computation: () => this.before() ?? this.start() });
  protected readonly turned = computed(() => this.turning() !== this.start());

  protected send(): void {
    this.answered.emit({ kind: 'set-dial', ...poseOf(this.turning()) });
  }
}
