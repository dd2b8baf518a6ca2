import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatTooltip } from '@angular/material/tooltip';
import type { PointerTool } from './pointer-tools';
import { POINTER_WORDS } from './pointer-words';

const PICTURES: Readonly<Record<PointerTool | 'wipe', string>> = {
  turn: 'M12 3a9 9 0 1 0 .01 0M12 12V6M12 12l4 2M17 3l3 3 -4 1',
  ring: 'M11 5a8 8 0 1 0 .01 0M19 3a3 3 0 1 0 .01 0',
  ray: 'M12 3a9 9 0 1 0 .01 0M12 12l6 -6',
  arc: 'M4 12a8 8 0 0 0 8 8M12 3a9 9 0 0 1 9 9l-3 -2M21 12l2 -3',
  ink: 'M3 17c3 -12 5 -12 6 -5s3 7 5 1 3 -6 7 -3',
  gap: 'M12 3a9 9 0 1 0 .01 0M12 9h.01M15 12h.01M9 12h.01',
  wipe: 'M4 15l9 -10 7 6 -8 9H8zM8 10l7 7M12 20h9',
};

/** The tools with which a dial is pointed at, as pictures; one is in hand. */
@Component({
  selector: 'zp-pointer-tiles',
  imports: [MatTooltip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div role="group" [attr.aria-label]="words().pointers">
      @for (one of tools(); track one) {
        <button type="button" class="tile" [attr.aria-pressed]="tool() === one" [matTooltip]="words().hint[one]" (click)="chosen.emit(one)">
          <svg viewBox="0 0 24 24" width="24" height="24" aria-hidden="true"><path [attr.d]="pictures[one]" /></svg>
          {{ words().tool[one] }}
        </button>
      }
      <button type="button" class="tile" [disabled]="!canWipe()" [matTooltip]="words().wipeHint" (click)="wiped.emit()">
        <svg viewBox="0 0 24 24" width="24" height="24" aria-hidden="true"><path [attr.d]="pictures.wipe" /></svg>
        {{ words().wipe }}
      </button>
    </div>
  `,
  styles: `
    div {
      display: flex;
      border: 1px solid var(--line);
      border-radius: 4px;
      background: var(--sheet);
      overflow: hidden;
    }
    button {
      flex: 1 1 46px;
      border-right: 1px solid var(--faint);

      &[aria-pressed='true'],
      &[aria-pressed='true']:hover:not(:disabled) {
        background: var(--ink);
        color: var(--sheet);
      }
    }
    path {
      fill: none;
      stroke: currentColor;
      stroke-width: 1.8;
      stroke-linecap: round;
      stroke-linejoin: round;
    }
  `,
})
export class PointerTiles {
  readonly tools = input.required<readonly PointerTool[]>();
  readonly tool = input.required<PointerTool>();
  /** Something stands there that can be wiped away. */
  readonly canWipe = input(false);
  readonly chosen = output<PointerTool>();
  readonly wiped = output();
  protected readonly words = POINTER_WORDS;
  protected readonly pictures = PICTURES;
}
