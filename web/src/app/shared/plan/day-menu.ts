import { ChangeDetectionStrategy, Component, input, output, viewChild } from '@angular/core';
import { MatMenu, MatMenuContent, MatMenuItem } from '@angular/material/menu';
import type { DayChoice } from './day-choices';
import { PLAN_WORDS } from './words';

/**
 * The next school days as a menu, with what stands on each. Whatever opens it, `[matMenuTriggerFor]="days.menu()"`, says with
 * `{ of }` for what a day is chosen: it comes back with the day.
 */
@Component({
  selector: 'zp-day-menu',
  imports: [MatMenu, MatMenuContent, MatMenuItem],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-menu>
      <ng-template matMenuContent let-of="of">
        @for (one of days(); track $index) {
          <button mat-menu-item type="button" (click)="chosen.emit({ day: one, of })">
            {{ one.day }}
            @if (one.beside) {
              <span class="aside">{{ one.beside }}</span>
            }
          </button>
        } @empty {
          <button mat-menu-item type="button" disabled>{{ waiting() || words().waiting }}</button>
        }
      </ng-template>
    </mat-menu>
  `,
})
export class DayMenu {
  readonly days = input.required<readonly DayChoice[]>();
  /** What is said while there are no days, other than that they are fetched. */
  readonly waiting = input('');
  readonly chosen = output<{ readonly day: DayChoice; readonly of: string }>();
  readonly menu = viewChild.required(MatMenu);
  protected readonly words = PLAN_WORDS;
}
