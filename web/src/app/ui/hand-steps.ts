import { ChangeDetectionStrategy, Component, model } from '@angular/core';
import type { HandId } from '@zeitpunkt/core/dial/pose';
import { turn, type Turning } from './dial-gesture';
import { HAND_WORDS } from './hand-words';

type StepName = keyof ReturnType<typeof HAND_WORDS>['steps'];

interface Row {
  readonly hand: HandId;
  readonly steps: readonly { readonly text: string; readonly says: StepName; readonly minuteDeg: number; readonly hourDeg: number }[];
}

const step = (text: string, says: StepName, minuteDeg: number, hourDeg: number) => ({ text, says, minuteDeg, hourDeg });

/** Each hand with its steps, back and on. */
const ROWS: readonly Row[] = [
  {
    hand: 'hour',
    steps: [step('«', 'hourBack', 0, -30), step('‹', 'hourBackLittle', 0, -5), step('›', 'hourOnLittle', 0, 5), step('»', 'hourOn', 0, 30)],
  },
  {
    hand: 'minute',
    steps: [
      step('«', 'minuteBackFive', -30, 0),
      step('‹', 'minuteBack', -6, 0),
      step('›', 'minuteOn', 6, 0),
      step('»', 'minuteOnFive', 30, 0),
    ],
  },
];

/**
 * Buttons beside a dial that turn its hands: on the smallest screens a finger covers the hand that it turns. A geared hour
 * hand goes from hour to hour; a free one also by five degrees.
 */
@Component({
  selector: 'zp-hand-steps',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (row of rows; track row.hand) {
      <div role="group" [attr.aria-label]="words().short[row.hand]">
        <span aria-hidden="true">
          <svg viewBox="0 0 12 26" width="12" height="26"><path [attr.d]="pictures[row.hand]" /></svg>{{ words().short[row.hand] }}
        </span>
        @for (one of row.steps; track one.says) {
          <button type="button" [attr.aria-label]="words().steps[one.says]" (click)="go(row.hand, one.minuteDeg, one.hourDeg)">
            {{ one.text }}
          </button>
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
      display: inline-flex;
      gap: 6px;
      align-items: center;
      font-size: 0.95rem;
    }
  `,
})
export class HandSteps {
  readonly turning = model.required<Turning>();
  protected readonly rows = ROWS;
  protected readonly words = HAND_WORDS;
  /** The two hands as they are on the dial: a leaf, and an arrow. */
  protected readonly pictures: Readonly<Record<HandId, string>> = {
    hour: 'M6 1C1 9 1 13 5 17V25H7V17C11 13 11 9 6 1Z',
    minute: 'M6 0L2 8H5V26H7V8H10Z',
  };

  protected go(hand: HandId, minuteDeg: number, hourDeg: number): void {
    const turning = this.turning();
    const byDeg = hand === 'minute' ? minuteDeg : hourDeg;
    this.turning.set(turn(turning, hand, byDeg, hand === 'minute' ? 1 : turning.hands === 'geared' ? 1 : 5));
  }
}
