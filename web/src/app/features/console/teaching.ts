import { ChangeDetectionStrategy, Component, computed, inject, input, output, viewChild } from '@angular/core';
import { Store } from '@ngrx/store';
import { stepIndex } from '@zeitpunkt/core/lesson/prepare';
import { lengthText } from '@zeitpunkt/core/time/length-text';
import { phasesOf } from '@zeitpunkt/core/lesson/phases';
import { everySecond } from '../../shared/every-second';
import { RimBand } from '../../shared/rim/rim-band';
import { liveFeature, type RoomAct } from '../../state/live';
import { AnswersPanel } from './answers-panel';
import { ScriptPanel } from './script-panel';
import { CONSOLE_WORDS } from './words';

const MS_PER_MINUTE = 60_000;

/** A lesson that is taught: where it stands on its rim, what to say and press now, and beside it the class. */
@Component({
  selector: 'zp-teaching',
  imports: [AnswersPanel, RimBand, ScriptPanel],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (prepared(); as prepared) {
      <div class="rim">
        <div class="band" aria-hidden="true">
          <zp-rim-band
            [phases]="phases()"
            [totalMs]="prepared.totalMs"
            [targetMs]="MS * prepared.lesson.targetMinutes"
            [atMs]="atMs()"
            [goneMs]="elapsedMs()"
          />
        </div>
        <p class="clock">
          <strong>{{ timeWords() }}</strong>
          <span>{{ words().clock.left(clock(elapsedMs()), clock(leftMs())) }}</span>
        </p>
      </div>
    }
    <div class="columns">
      <zp-script-panel class="script" role="region" [attr.aria-label]="words().script" [begin]="begin()" (end)="end.emit()" />
      <section class="wall" [attr.aria-label]="words().wall">
        <zp-answers-panel (act)="act.emit($event)" />
        <ng-content />
      </section>
    </div>
  `,
  styleUrl: './teaching.scss',
})
export class Teaching {
  /** What the large press says before the lesson has begun. */
  readonly begin = input('');
  /** The script is at its end, and the lesson may end too. */
  readonly end = output();
  readonly act = output<RoomAct>();
  private readonly store = inject(Store);
  protected readonly words = CONSOLE_WORDS;
  protected readonly MS = MS_PER_MINUTE;
  protected readonly clock = lengthText;
  protected readonly prepared = this.store.selectSignal(liveFeature.selectPrepared);
  private readonly detail = this.store.selectSignal(liveFeature.selectDetail);
  private readonly skewMs = this.store.selectSignal(liveFeature.selectClockSkewMs);
  private readonly now = everySecond();
  readonly panel = viewChild(ScriptPanel);
  private readonly answers = viewChild(AnswersPanel);
  readonly wall = computed(() => this.answers()?.wall());

  protected readonly phases = computed(() => {
    const prepared = this.prepared();
    return prepared ? phasesOf(prepared) : [];
  });
  /** Where the script stands, in milliseconds of the plan. */
  protected readonly atMs = computed(() => {
    const [prepared, detail] = [this.prepared(), this.detail()];
    return prepared && detail ? (prepared.steps[stepIndex(prepared, detail.live.room.run.at)]?.startMs ?? 0) : 0;
  });
  protected readonly elapsedMs = computed(() => {
    const begun = this.detail()?.live.room.begunAtMs;
    return begun === undefined || begun === null ? 0 : Math.max(0, 1000 * Math.floor((this.now() - this.skewMs() - begun) / 1000));
  });
  protected readonly leftMs = computed(() => Math.max(0, (this.prepared()?.totalMs ?? 0) - this.atMs()));
  protected readonly timeWords = computed(() => {
    const { clock } = this.words();
    const behind = Math.round((this.elapsedMs() - this.atMs()) / MS_PER_MINUTE);
    return behind > 0 ? clock.behind(behind) : behind < 0 ? clock.ahead(-behind) : clock.onTime;
  });
}
