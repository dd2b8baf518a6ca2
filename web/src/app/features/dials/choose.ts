import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatOption, MatSelect } from '@angular/material/select';

/** A field that chooses one of a few, whose words stand in a catalogue. */
@Component({
  selector: 'zp-choose',
  imports: [MatFormField, MatLabel, MatOption, MatSelect],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-form-field appearance="outline" subscriptSizing="dynamic">
      <mat-label>{{ of().label }}</mat-label>
      <mat-select [value]="value()" (selectionChange)="chosen.emit($event.value)">
        @for (one of options(); track one[0]) {
          <mat-option [value]="one[0]">{{ one[1] }}</mat-option>
        }
      </mat-select>
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
export class Choose<Value extends string> {
  /** What is chosen, with a word for each value. */
  readonly of = input.required<{ readonly label: string; readonly values: Readonly<Record<Value, string>> }>();
  readonly value = input.required<Value>();
  readonly chosen = output<Value>();
  protected readonly options = computed(() => Object.entries(this.of().values) as [Value, string][]);
}
