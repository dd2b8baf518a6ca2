import { ChangeDetectionStrategy, Component, computed, inject, input, type Signal } from '@angular/core';
import type { StageState } from '@zeitpunkt/core/scene/stage-state';
import { DialsStore } from './dials-store';
import { readingOf } from './reading-of';

/** What stands below the dial that is built: its time, the hour hand's way, what free hands cannot be. A room of its own, so that a turning hand draws nothing else anew. */
@Component({
  selector: 'zp-reading',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { role: 'status' },
  template: `
    <div>
      @if (reading().report; as report) {
        <strong [class.impossible]="!report.possible">{{ report.sentence }}</strong>
      } @else {
        <strong>{{ reading().digits }}</strong> <span>{{ reading().words }}</span>
      }
      <span class="facts">{{ reading().progress }}</span>
      @for (note of reading().notes; track note) {
        <span class="facts">{{ note }}</span>
      }
    </div>
  `,
  styles: `
    :host {
      display: block;
    }
    /* What changes at every minute lays out nothing else: a browser begins in the middle of a page only where the size is
       known beforehand, and never with what a grid has laid out itself. */
    div {
      contain: strict;
      overflow-y: auto;
      display: flex;
      flex-wrap: wrap;
      gap: 0 16px;
      align-items: baseline;
      align-content: start;
      height: 54px;
      font-size: 18px;
      line-height: 27px;
    }
    @media (width < 1200px) {
      div {
        height: 81px;
      }
    }
    .impossible {
      color: var(--wrong);
    }
  `,
})
export class Reading {
  /** What moves by itself at this moment. */
  readonly moving = input.required<Signal<StageState | null>>();
  private readonly build = inject(DialsStore).build;
  protected readonly reading = computed(() => readingOf(this.build(), this.moving()()));
}
