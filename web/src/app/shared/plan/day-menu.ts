import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import type { DayChoice } from './day-choices';

/** A press that opens the next school days, with what stands on each: a lesson is put on the one that is chosen. */
@Component({
  selector: 'zp-day-menu',
  imports: [MatButton, MatMenu, MatMenuItem, MatMenuTrigger],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button mat-button type="button" [matMenuTriggerFor]="menu" (menuOpened)="opened.emit()">
      <ng-content />
    </button>
    <mat-menu #menu="matMenu">
      @for (one of days(); track $index) {
        <button mat-menu-item type="button" (click)="chosen.emit(one)">
          {{ one.day }}
          @if (one.beside) {
            <span class="beside">, {{ one.beside }}</span>
          }
        </button>
      } @empty {
        <button mat-menu-item type="button" disabled>{{ waiting() }}</button>
      }
    </mat-menu>
  `,
  styles: `
    .beside {
      color: var(--soft);
    }
  `,
})
export class DayMenu {
  readonly days = input.required<readonly DayChoice[]>();
  /** What is said while there are no days. */
  readonly waiting = input('Fetching the plan …');
  readonly opened = output();
  readonly chosen = output<DayChoice>();
}
