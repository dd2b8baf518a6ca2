import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, model, output } from '@angular/core';
import type { DialMark } from '@zeitpunkt/core';
import { Choice } from './choice';
import { ARC_BY, type ArcBy, type PointerTool } from './pointer-tools';

const NUMERALS = Array.from({ length: 12 }, (_, index) => index + 1);

/** Points at a place on the dial by its number: for the keyboard, and for whoever would rather not drag. */
@Component({
  selector: 'zp-point-at',
  imports: [Choice],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @switch (tool()) {
      @case ('ring') {
        <form (submit)="ring($event, numeral.value)">
          <label
            >at
            <select #numeral>
              @for (one of numerals; track one) {
                <option>{{ one }}</option>
              }
            </select></label
          >
          <button type="submit">Ring it</button>
        </form>
      }
      @case ('gap') {
        <form (submit)="gap($event, numeral.value)">
          <label
            >at
            <select #numeral>
              @for (one of numerals; track one) {
                <option>{{ one }}</option>
              }
            </select></label
          >
          <button type="submit">Leave it out</button>
        </form>
      }
      @case ('ray') {
        <form (submit)="ray($event, minute.value)">
          <label
            >to minute
            <select #minute>
              @for (one of minutes(); track one) {
                <option>{{ one }}</option>
              }
            </select></label
          >
          <button type="submit">Draw it</button>
        </form>
      }
      @case ('arc') {
        <zp-choice label="in" [options]="arcOptions" [value]="arcBy()" (chosen)="arcBy.set($event)" />
        <form (submit)="arc($event)">
          <label>
            from minute
            <select #from (change)="start.set(from.value)">
              @for (one of minutes(); track one) {
                <option [selected]="one === +start()">{{ one }}</option>
              }
            </select>
          </label>
          <label>
            to
            <select #to (change)="end.set(to.value)">
              @for (one of minutes(); track one) {
                <option [selected]="one === +end()">{{ one }}</option>
              }
            </select>
          </label>
          <button type="submit" [disabled]="start() === end()">Draw it</button>
        </form>
      }
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
    select,
    form button {
      min-height: 32px;
      padding: 0 0.5rem;
      border: 1px solid var(--line);
      border-radius: 4px;
      background: var(--sheet);
      color: var(--ink);
      font: inherit;
      font-size: 0.95rem;
    }
    form button {
      cursor: pointer;
    }
    form button:disabled {
      color: var(--soft);
      cursor: default;
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
  protected readonly numerals = NUMERALS;
  protected readonly arcOptions = ARC_BY;
  /** The places that can be pointed at, in minutes round the rim. */
  protected readonly minutes = computed(() => {
    const step = this.tool() === 'arc' ? this.arcBy() : 1;
    return Array.from({ length: 60 / step }, (_, index) => index * step);
  });
  protected readonly start = linkedSignal({ source: this.arcBy, computation: () => '0' });
  protected readonly end = linkedSignal({ source: this.arcBy, computation: () => '15' });

  protected ring(event: Event, numeral: string): void {
    event.preventDefault();
    this.marked.emit({ type: 'numeral', numeral: Number(numeral) });
  }

  protected gap(event: Event, numeral: string): void {
    event.preventDefault();
    this.gapped.emit(Number(numeral));
  }

  protected ray(event: Event, minute: string): void {
    event.preventDefault();
    this.marked.emit({ type: 'ray', deg: Number(minute) * 6 });
  }

  protected arc(event: Event): void {
    event.preventDefault();
    this.marked.emit({ type: 'arc', fromMinute: Number(this.start()), toMinute: Number(this.end()), by: this.arcBy() });
  }
}
