import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatTooltip } from '@angular/material/tooltip';
import type { NamedFinding } from '@zeitpunkt/core/checker-rules/check';
import { Icon } from '../../../ui/icons/icon';
import { SCRIPT_WORDS } from '../words';

/** What the checker finds about a lesson as a whole, why it matters, and the change that mends it. */
@Component({
  selector: 'zp-findings',
  imports: [Icon, MatButton, MatTooltip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ul [attr.aria-label]="words().found">
      @for (one of findings(); track $index) {
        <li [class]="one.severity">
          <mat-icon svgIcon="error" />
          <p [matTooltip]="one.why">
            <span class="heard-only">{{ one.severity === 'error' ? settings().error : settings().warning }}</span> {{ one.what }}
            <span class="heard-only">{{ one.why }}</span>
          </p>
          <button mat-stroked-button type="button" (click)="mend.emit(one)">{{ one.mend.label }}</button>
        </li>
      }
    </ul>
  `,
  styles: `
    ul {
      margin: 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 8px;
      align-items: center;
      padding: 6px 0;
    }
    li + li {
      border-top: 1px solid var(--faint);
    }
    mat-icon {
      flex: none;
      width: 20px;
      height: 20px;
      color: var(--soft);
    }
    p {
      flex: 1 1 10rem;
      font-size: 14px;
      line-height: 20px;
    }
    .error mat-icon {
      color: var(--wrong);
    }
  `,
})
export class Findings {
  private readonly all = SCRIPT_WORDS;
  protected readonly words = computed(() => this.all().column.ofLesson);
  protected readonly settings = computed(() => this.all().settings);
  readonly findings = input.required<readonly NamedFinding[]>();
  readonly mend = output<NamedFinding>();
}
