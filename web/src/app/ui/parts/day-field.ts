import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatDatepicker, MatDatepickerInput, MatDatepickerToggle, MatDatepickerToggleIcon } from '@angular/material/datepicker';
import { MatFormField, MatLabel, MatSuffix } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import type { IsoDate } from '@zeitpunkt/core/series/plan';
import { DateTime } from 'luxon';
import { Icon } from '../icons/icon';
import { DAYS_IN_FIELDS } from './days-in-fields';

/** A field for a day, typed or chosen from a calendar. */
@Component({
  selector: 'zp-day-field',
  imports: [
    Icon,
    MatDatepicker,
    MatDatepickerInput,
    MatDatepickerToggle,
    MatDatepickerToggleIcon,
    MatFormField,
    MatInput,
    MatLabel,
    MatSuffix,
  ],
  providers: [...DAYS_IN_FIELDS],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-form-field appearance="outline" subscriptSizing="dynamic">
      <mat-label>{{ label() }}</mat-label>
      <input matInput [matDatepicker]="picker" [min]="first()" [value]="at()" (dateChange)="choose($event.value)" />
      <mat-datepicker-toggle matIconSuffix [for]="picker"
        ><mat-icon matDatepickerToggleIcon svgIcon="calendar-month"
      /></mat-datepicker-toggle>
      <mat-datepicker #picker />
    </mat-form-field>
  `,
  styles: `
    :host,
    mat-form-field {
      display: block;
      width: 100%;
      min-width: 0;
    }
  `,
})
export class DayField {
  readonly label = input.required<string>();
  readonly day = input.required<string>();
  /** Days before it cannot be chosen. */
  readonly from = input<string | null>(null);
  readonly chosen = output<IsoDate>();
  protected readonly at = computed(() => DateTime.fromISO(this.day()));
  protected readonly first = computed(() => {
    const from = this.from();
    return from === null ? null : DateTime.fromISO(from);
  });

  protected choose(at: DateTime | null): void {
    const day = at?.toISODate();
    if (day) this.chosen.emit(day as IsoDate);
  }
}
