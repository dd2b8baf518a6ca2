import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { Response } from '@zeitpunkt/core';

import { displayText } from '@zeitpunkt/core/time/display';
import { minuteOfHour, toSecondOfDay, wrapSecondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { heldUpright } from '../../ui/held-upright';
import { SceneView } from '../../ui/scene-view';
import { type AnswerView, givenTo, responseTo, startingFrom, type ViewOfShape } from '../answer-view';
import { SendAnswer } from '../parts/send';
import { bandScene } from '../picture-view';

const NOON_SEC = 43_200;

/** Putting a marker on a line: by dragging or a tap anywhere, or with the arrow keys. */
@Component({
  selector: 'zp-line-answer',
  imports: [SceneView, SendAnswer],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="line" [class.narrow]="tall()">
      <zp-scene aria-hidden="true" [scene]="scene()" label="" />
      <input
        type="range"
        aria-label="Marker"
        [min]="view().fromSec"
        [max]="view().toSec"
        [step]="view().stepSec"
        [value]="atSec()"
        [attr.aria-valuetext]="spoken()"
        (input)="put($any($event.target).valueAsNumber)"
      />
    </div>
    <zp-send-answer [ready]="moved()" (sent)="answered.emit(response())" />
  `,
  styleUrl: './answer.scss',
})
export class LineAnswerView implements AnswerView<ViewOfShape<'line'>> {
  readonly view = input.required<ViewOfShape<'line'>>();
  readonly given = input.required<Response | null>();
  readonly drafted = output<Response>();
  readonly answered = output<Response>();
  private readonly itemId = computed(() => this.view().itemId);
  protected readonly tall = heldUpright();
  private readonly before = computed(() => givenTo<{ atSec: number }>(this.view(), this.given())?.atSec ?? null);
  protected readonly atSec = startingFrom<number>(this.itemId, () => this.before() ?? this.view().fromSec);
  protected readonly moved = startingFrom<boolean>(this.itemId, () => this.before() !== null);
  protected readonly scene = computed(() => {
    const { line, fromSec } = this.view();
    const atSec = this.atSec();
    const marked = line.type === 'day-line' ? { ...line, atSec: Math.min(86_399, atSec) } : { ...line, at: (atSec - fromSec) / 60 };
    return bandScene(marked, this.tall());
  });
  /** Where the marker is, by what is written on the line. */
  protected readonly spoken = computed(() => {
    const { line, fromSec } = this.view();
    const atSec = this.atSec();
    if (line.type === 'hour-line') return `${(atSec - fromSec) / 60} minutes from the left end`;
    if (atSec % NOON_SEC === 0) return atSec === NOON_SEC ? 'noon' : 'midnight';
    const at = wrapSecondOfDay(atSec);
    const past = minuteOfHour(at) === 0 ? 'at' : 'after';
    return `${past} ${displayText(toSecondOfDay(at - (at % 3600))).split(':')[0]}, ${atSec < NOON_SEC ? 'left' : 'right'} of noon`;
  });

  protected put(atSec: number): void {
    this.atSec.set(atSec);
    this.moved.set(true);
    this.drafted.emit(this.response());
  }

  protected response(): Response {
    return responseTo(this.view(), { atSec: this.atSec() });
  }
}
