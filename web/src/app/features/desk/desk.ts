import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { DeskRoom } from './desk-room';
import { DeskStore } from './desk-store';
import { Join } from './join';
import { LazyPart } from '../../ui/lazy-part';
import { DESK_WORDS } from './words';

/** The pupil's desk: come in by card, or by room key and name, then follow the lesson. */
@Component({
  selector: 'zp-desk',
  imports: [DeskRoom, Join, LazyPart],
  providers: [DeskStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @switch (store.phase()) {
      @case ('asking') {
        <p class="word" role="status">{{ store.problem() ?? words().moment }}</p>
      }
      @case ('joining') {
        <zp-join [word]="store.problem()" (joined)="store.enter($event)" />
      }
      @case ('card') {
        <zp-lazy [load]="card" />
      }
      @case ('in') {
        <zp-desk-room />
      }
    }
  `,
  styles: `
    :host {
      display: block;
      min-height: 100%;
    }
    .word {
      padding: 2rem;
      text-align: center;
      font-size: 1.3rem;
    }
  `,
})
export class Desk {
  protected readonly store = inject(DeskStore);
  protected readonly words = DESK_WORDS;
  protected readonly card = () => import('./card').then((file) => file.DeskCard);
}
