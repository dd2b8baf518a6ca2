import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { shareOf } from '../../shared/course/course';
import { LESSONS_WORDS } from './words';

/** Below such a share of right answers a question stands out. */
const LOW = 0.5;

/** Which part of the answers was right, question by question, and of all together. */
@Component({
  selector: 'zp-right-bars',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <span class="bars" role="img" [attr.aria-label]="heard()">
      @for (one of shares(); track $index) {
        <i [style.height.px]="one === null ? 1 : 2 + 22 * one" [class.low]="one !== null && one < low"></i>
      }
    </span>
    <strong aria-hidden="true">{{ words().share(all()) }}</strong>
  `,
  styles: `
    :host {
      display: flex;
      gap: 12px;
      align-items: center;
    }
    .bars {
      display: flex;
      flex: none;
      width: 104px;
      gap: 2px;
      align-items: flex-end;
      height: 26px;
      border-bottom: 1px solid var(--line);
    }
    i {
      flex: 0 1 6px;
      min-width: 1px;
      background: var(--ink);
    }
    .low {
      background: var(--wrong);
    }
    strong {
      min-width: 3em;
      text-align: right;
      font-variant-numeric: tabular-nums;
    }
  `,
})
export class RightBars {
  readonly questions = input.required<readonly { readonly right: number; readonly answers: number }[]>();
  protected readonly words = LESSONS_WORDS;
  protected readonly low = LOW;
  protected readonly shares = computed(() => this.questions().map(({ right, answers }) => (answers === 0 ? null : right / answers)));
  protected readonly all = computed(() => Math.round(100 * (shareOf(this.questions()) ?? 0)));
  protected readonly heard = computed(() =>
    this.words().rightHeard(
      this.all(),
      this.shares().flatMap((one) => (one === null ? [] : [Math.round(100 * one)])),
    ),
  );
}
