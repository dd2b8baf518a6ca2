import { ChangeDetectionStrategy, Component, effect, type ElementRef, input, output, viewChild } from '@angular/core';
import { Icon } from '../../ui/icons/icon';
import { RECORD_WORDS } from './words';

/** A step with its take, as the list shows it. */
export interface TakeRow {
  readonly id: string;
  readonly number: string;
  readonly name: string;
  readonly words: string;
  /** How long its take is; null where there is none. */
  readonly took: string | null;
  /** The script has changed since. */
  readonly stale: boolean;
  readonly index: number;
}

/** The steps of the lesson, each with its take. */
@Component({
  selector: 'zp-take-list',
  imports: [Icon],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ol #list>
      @for (row of rows(); track row.id) {
        <li>
          <button
            type="button"
            [attr.aria-current]="row.index === at() ? 'step' : null"
            [disabled]="busy() && row.index !== at()"
            (click)="choose.emit(row.index)"
          >
            <span class="number">{{ row.number }}</span>
            <span class="what">
              @if (row.name) {
                <strong>{{ row.name }}</strong>
              }
              <span class="said">{{ row.words }}</span>
            </span>
            <span class="took" [class.stale]="row.stale">
              {{ row.stale ? words().row.changed : (row.took ?? words().row.none) }}
              @if (row.took && !row.stale) {
                <mat-icon svgIcon="check" />
              }
              <span class="heard-only">{{
                row.took === null ? words().row.noTake : row.stale ? words().row.since : words().row.recorded
              }}</span>
            </span>
          </button>
        </li>
      }
    </ol>
  `,
  styles: `
    ol {
      max-height: 38vh;
      margin: 0;
      padding: 0;
      overflow: auto;
      border: 1px solid var(--line);
      border-radius: 8px;
      list-style: none;
    }
    :host(.tall) ol {
      max-height: 70vh;
    }
    button {
      display: grid;
      grid-template-columns: 2.6rem minmax(0, 1fr) auto;
      gap: 0.25rem 0.5rem;
      width: 100%;
      padding: 0.35rem 0.6rem;
      border: 0;
      border-bottom: 1px solid var(--line);
      background: none;
      color: inherit;
      font: inherit;
      text-align: start;
      cursor: pointer;
    }
    button[aria-current] {
      background: var(--sheet);
      box-shadow: inset 4px 0 0 var(--accent);
    }
    button:disabled {
      cursor: default;
    }
    .number,
    .took {
      color: var(--soft);
      font-variant-numeric: tabular-nums;
    }
    .took mat-icon {
      display: inline-block;
      width: 16px;
      height: 16px;
      vertical-align: text-bottom;
    }
    .what {
      display: grid;
    }
    .said {
      overflow: hidden;
      white-space: nowrap;
      text-overflow: ellipsis;
    }
    .stale {
      color: var(--wrong);
      font-weight: 700;
    }
  `,
})
export class TakeList {
  protected readonly words = RECORD_WORDS;
  readonly rows = input.required<readonly TakeRow[]>();
  /** The place of the step at hand. */
  readonly at = input.required<number>();
  /** A take is being recorded: nothing else can be chosen. */
  readonly busy = input.required<boolean>();
  readonly choose = output<number>();
  private readonly list = viewChild.required<ElementRef<HTMLElement>>('list');

  constructor() {
    // The step at hand is in sight, and the page stays where it is.
    effect(() => {
      const { children, clientHeight, scrollTop } = this.list().nativeElement;
      const row = children[this.at()] as HTMLElement | undefined;
      if (!row) return;
      const top = row.offsetTop - this.list().nativeElement.offsetTop;
      if (top < scrollTop || top + row.offsetHeight > scrollTop + clientHeight)
        this.list().nativeElement.scrollTop = Math.max(0, top - clientHeight / 3);
    });
  }
}
