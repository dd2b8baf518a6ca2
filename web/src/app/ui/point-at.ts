import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, model, output } from '@angular/core';
import type { DialMark } from '@zeitpunkt/core';
import { Choice } from './choice';
import { ARC_BY, type ArcBy, type PointerTool } from './pointer-tools';

const NUMERALS = Array.from({ length: 12 }, (_, index) => index + 1);
const MINUTES = Array.from({ length: 60 }, (_, index) => index);

/** The tools that need one place, with what is asked for and what the button says. */
const SINGLE: Partial<Record<PointerTool, { readonly label: string; readonly places: readonly number[]; readonly act: string }>> = {
  ring: { label: 'at', places: NUMERALS, act: 'Ring it' },
  gap: { label: 'at', places: NUMERALS, act: 'Leave it out' },
  ray: { label: 'to minute', places: MINUTES, act: 'Draw it' },
};

/** Points at a place on the dial by its number: for the keyboard, and for whoever would rather not drag. */
@Component({
  selector: 'zp-point-at',
  imports: [Choice],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (tool() === 'arc') {
      <zp-choice label="in" [options]="arcOptions" [value]="arcBy()" (chosen)="arcBy.set($event)" />
      <form (submit)="arc($event)">
        <label>
          from minute
          <select class="field" #from (change)="start.set(+from.value)">
            @for (one of arcMinutes(); track one) {
              <option [selected]="one === start()">{{ one }}</option>
            }
          </select>
        </label>
        <label>
          to
          <select class="field" #to (change)="end.set(+to.value)">
            @for (one of arcMinutes(); track one) {
              <option [selected]="one === end()">{{ one }}</option>
            }
          </select>
        </label>
        <button type="submit" class="press" [disabled]="start() === end()">Draw it</button>
      </form>
    } @else if (single(); as single) {
      <form (submit)="point($event, +place.value)">
        <label>
          {{ single.label }}
          <select class="field" #place>
            @for (one of single.places; track one) {
              <option>{{ one }}</option>
            }
          </select>
        </label>
        <button type="submit" class="press">{{ single.act }}</button>
      </form>
    }
  `,
  styles: `
    :host,
    form,
    label {
      display: flex;
      flex-wrap: wrap;
      gap: 0.4rem;
      align-items: center;
    }
    select {
      min-height: 32px;
      font-size: 0.95rem;
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
  protected readonly arcOptions = ARC_BY;
  protected readonly single = computed(() => SINGLE[this.tool()]);
  /** Where an arc may begin and end, in minutes round the rim. */
  protected readonly arcMinutes = computed(() => MINUTES.filter((minute) => minute % this.arcBy() === 0));
  protected readonly start = linkedSignal({ source: this.arcBy, computation: () => 0 });
  protected readonly end = linkedSignal({ source: this.arcBy, computation: () => 15 });

  /** Points at one place: a numeral, or a minute for a ray. */
  protected point(event: Event, place: number): void {
    event.preventDefault();
    if (this.tool() === 'gap') this.gapped.emit(place);
    else this.marked.emit(this.tool() === 'ray' ? { type: 'ray', deg: place * 6 } : { type: 'numeral', numeral: place });
  }

  protected arc(event: Event): void {
    event.preventDefault();
    this.marked.emit({ type: 'arc', fromMinute: this.start(), toMinute: this.end(), by: this.arcBy() });
  }
}
