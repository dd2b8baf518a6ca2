import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, model, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatOption, MatSelect } from '@angular/material/select';
import type { DialMark } from '@zeitpunkt/core/scene/dial-state';
import { ARC_BY, type ArcBy, type PointerTool } from './pointer-tools';
import { POINTER_WORDS } from './pointer-words';

const NUMERALS = Array.from({ length: 12 }, (_, index) => index + 1);
const MINUTES = Array.from({ length: 60 }, (_, index) => index);

/** The tools that need one place, with what is asked for and what the press says. */
const SINGLE = {
  ring: { label: 'at', places: NUMERALS, act: 'ringIt' },
  gap: { label: 'at', places: NUMERALS, act: 'leaveOut' },
  ray: { label: 'toMinute', places: MINUTES, act: 'draw' },
} as const;

/** Points at a place on the dial by its number: for the keyboard, and for whoever would rather not drag. */
@Component({
  selector: 'zp-point-at',
  imports: [MatButton, MatButtonToggle, MatButtonToggleGroup, MatFormField, MatLabel, MatOption, MatSelect],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (tool() === 'arc') {
      <mat-button-toggle-group
        hideSingleSelectionIndicator
        [attr.aria-label]="words().count"
        [value]="arcBy()"
        (change)="arcBy.set($event.value)"
      >
        @for (by of steps; track by) {
          <mat-button-toggle [value]="by">{{ words().by[by] }}</mat-button-toggle>
        }
      </mat-button-toggle-group>
      <mat-form-field appearance="outline" subscriptSizing="dynamic">
        <mat-label>{{ words().from }}</mat-label>
        <mat-select [value]="start()" (selectionChange)="start.set($event.value)">
          @for (one of arcMinutes(); track one) {
            <mat-option [value]="one">{{ one }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
      <mat-form-field appearance="outline" subscriptSizing="dynamic">
        <mat-label>{{ words().to }}</mat-label>
        <mat-select [value]="end()" (selectionChange)="end.set($event.value)">
          @for (one of arcMinutes(); track one) {
            <mat-option [value]="one">{{ one }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
      <button mat-stroked-button type="button" [disabled]="start() === end()" (click)="arc()">{{ words().draw }}</button>
    } @else if (single(); as single) {
      <mat-form-field appearance="outline" subscriptSizing="dynamic">
        <mat-label>{{ words()[single.label] }}</mat-label>
        <mat-select [value]="place()" (selectionChange)="place.set($event.value)">
          @for (one of single.places; track one) {
            <mat-option [value]="one">{{ one }}</mat-option>
          }
        </mat-select>
      </mat-form-field>
      <button mat-stroked-button type="button" (click)="point()">{{ words()[single.act] }}</button>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      align-items: center;
    }
    mat-form-field {
      width: 124px;
    }
  `,
})
export class PointAt {
  readonly tool = input.required<PointerTool>();
  readonly arcBy = model.required<ArcBy>();
  /** What was pointed at. */
  readonly marked = output<DialMark>();
  /** A numeral to be left out, or put back. */
  readonly gapped = output<number>();
  protected readonly words = POINTER_WORDS;
  protected readonly steps = ARC_BY;
  protected readonly single = computed(() => {
    const tool = this.tool();
    return tool in SINGLE ? SINGLE[tool as keyof typeof SINGLE] : null;
  });
  protected readonly place = linkedSignal({ source: this.single, computation: (single) => single?.places[0] ?? 0 });
  /** Where an arc may begin and end, in minutes round the rim. */
  protected readonly arcMinutes = computed(() => MINUTES.filter((minute) => minute % this.arcBy() === 0));
  protected readonly start = linkedSignal({ source: this.arcBy, computation: () => 0 });
  protected readonly end = linkedSignal({ source: this.arcBy, computation: () => 15 });

  /** Points at one place: a numeral, or a minute for a ray. */
  protected point(): void {
    const place = this.place();
    if (this.tool() === 'gap') this.gapped.emit(place);
    else this.marked.emit(this.tool() === 'ray' ? { type: 'ray', deg: place * 6 } : { type: 'numeral', numeral: place });
  }

  protected arc(): void {
    this.marked.emit({ type: 'arc', fromMinute: this.start(), toMinute: this.end(), by: this.arcBy() });
  }
}
