import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { LazyPart } from '../../../ui/lazy-part';
import { DeskStore } from '../desk-store';
import { Where } from '../where';
import { DESK_WORDS } from '../words';

/** A boat at anchor, its sail down. */
const BOAT = 'M8 34H56L48 46H16Z M32 34V8 M46 46V58 M41 54A5 5 0 0 0 51 54 M4 52H12 M20 52H28';

/** The desk was opened and there is no line: what it waits for, what waits with it, and a clock to turn meanwhile. */
@Component({
  selector: 'zp-no-line',
  imports: [LazyPart, Where],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <zp-where [picture]="boat">
      <div role="status">
        <h1>{{ words().noLine.none }}</h1>
        <p>{{ words().noLine.waits(store.unsent()) }}</p>
      </div>
    </zp-where>
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
    h1 {
      font-size: 1.3rem;
    }
  `,
})
export class NoLine {
  protected readonly store = inject(DeskStore);
  protected readonly words = DESK_WORDS;
  protected readonly boat = BOAT;
  protected readonly dial = () => import('../waiting-dial').then((file) => file.WaitingDial);
}
