import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { LazyPart } from '../../../ui/lazy-part';
import { DeskStore } from '../desk-store';
import { DESK_WORDS } from '../words';

/** The desk was opened and there is no line: what it waits for, what waits with it, and a clock to turn meanwhile. */
@Component({
  selector: 'zp-no-line',
  imports: [LazyPart],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="where">
      <!-- A boat at anchor, its sail down. -->
      <svg viewBox="0 0 64 64" width="64" height="64" aria-hidden="true">
        <path d="M8 34H56L48 46H16Z M32 34V8 M46 46V58 M41 54A5 5 0 0 0 51 54 M4 52H12 M20 52H28" />
      </svg>
      <div role="status">
        <h1>{{ words().noLine.none }}</h1>
        <p>{{ words().noLine.waits(store.unsent()) }}</p>
      </div>
    </div>
    <zp-lazy [load]="dial" />
  `,
  styles: `
    :host {
      display: flex;
      flex-direction: column;
      gap: 12px;
      max-width: 1100px;
      height: 100vh;
      height: 100dvh;
      margin: 0 auto;
      padding: 12px 16px;
    }
    .where {
      display: flex;
      gap: 16px;
      align-items: center;
      padding-bottom: 10px;
      border-bottom: 1px solid var(--line);
    }
    svg {
      flex: none;
    }
    path {
      fill: none;
      stroke: var(--ink);
      stroke-width: 2.5;
      stroke-linecap: round;
      stroke-linejoin: round;
    }
    h1 {
      font-size: 1.3rem;
    }
  `,
})
export class NoLine {
  protected readonly store = inject(DeskStore);
  protected readonly words = DESK_WORDS;
  protected readonly dial = () => import('../waiting-dial').then((file) => file.WaitingDial);
}
