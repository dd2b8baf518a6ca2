import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

/** How many pupils are where; see MasteryWord of the core. */
export type TickCounts = Readonly<Record<'sure' | 'nearly' | 'partly' | 'not-yet' | 'too-few', number>>;

const ORDER = ['sure', 'nearly', 'partly', 'not-yet', 'too-few'] as const;

/** A class as a row of ticks, one a pupil: sure tall, nearly middle, not yet a stub, too few answers a dot. What it says stands beside it. */
@Component({
  selector: 'zp-ticks',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (tick of all(); track $index) {
      <i [class]="tick"></i>
    }
  `,
  styles: `
    :host {
      display: flex;
      align-items: flex-end;
      gap: 2px;
      height: 22px;
    }
    i {
      flex: 0 1 4px;
      height: 22px;
      min-width: 1px;
      background: var(--ink);
    }
    .nearly {
      height: 13px;
      background: var(--line);
    }
    .partly {
      height: 9px;
      background: var(--line);
    }
    .not-yet {
      height: 6px;
      background: var(--wrong);
    }
    .too-few {
      height: 2px;
      background: var(--line);
    }
  `,
  host: { 'aria-hidden': 'true' },
})
export class Ticks {
  readonly counts = input.required<TickCounts>();
  protected readonly all = computed(() => ORDER.flatMap((word) => Array.from({ length: this.counts()[word] }, () => word)));
}
