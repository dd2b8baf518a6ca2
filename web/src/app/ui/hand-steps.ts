import { ChangeDetectionStrategy, Component, model } from '@angular/core';
import type { HandId } from '@zeitpunkt/core';
import { turn, type Turning } from './dial-gesture';

interface Row {
  readonly hand: HandId;
  readonly name: string;
  readonly steps: readonly { readonly text: string; readonly says: string; readonly minuteDeg: number; readonly hourDeg: number }[];
}

const step = (text: string, says: string, minuteDeg: number, hourDeg: number) => ({ text, says, minuteDeg, hourDeg });

/**
 * Buttons beside a dial that turn its hands: on the smallest screens a finger covers the hand that it turns. A geared hour
 * hand goes from hour to hour; a free one also by five degrees.
 */
@Component({
  selector: 'zp-hand-steps',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (row of rows; track row.hand) {
      <div role="group" [attr.aria-label]="row.name">
        <span aria-hidden="true">{{ row.name }}</span>
        @for (one of row.steps; track one.says) {
          <button type="button" [attr.aria-label]="one.says" (click)="go(row.hand, one.minuteDeg, one.hourDeg)">{{ one.text }}</button>
        }
      </div>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 6px;
    }
    div {
      display: grid;
      grid-template-columns: 1fr repeat(4, minmax(48px, 1fr));
      gap: 6px;
      align-items: center;
    }
    button {
      min-height: 48px;
      padding: 0;
      border: 2px solid var(--line);
      border-radius: 5px;
      background: var(--sheet);
      color: var(--ink);
      font: inherit;
      font-weight: 700;
      font-size: 1.2rem;
      cursor: pointer;
      touch-action: manipulation;
    }
    span {
      font-size: 0.95rem;
    }
  `,
})
export class HandSteps {
  readonly turning = model.required<Turning>();
  protected readonly rows: readonly Row[] = [
    {
      hand: 'hour',
      name: 'short',
      steps: [
        step('«', 'Short hand back to the numeral before', 0, -30),
        step('‹', 'Short hand back a little', 0, -5),
        step('›', 'Short hand on a little', 0, 5),
        step('»', 'Short hand on to the next numeral', 0, 30),
      ],
    },
    {
      hand: 'minute',
      name: 'long',
      steps: [
        step('«', 'Long hand back five minutes', -30, 0),
        step('‹', 'Long hand back one minute', -6, 0),
        step('›', 'Long hand on one minute', 6, 0),
        step('»', 'Long hand on five minutes', 30, 0),
      ],
    },
  ];

  protected go(hand: HandId, minuteDeg: number, hourDeg: number): void {
    const turning = this.turning();
    const byDeg = hand === 'minute' ? minuteDeg : hourDeg;
    this.turning.set(turn(turning, hand, byDeg, hand === 'minute' ? 1 : turning.hands === 'geared' ? 1 : 5));
  }
}
