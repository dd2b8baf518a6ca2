import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { DeskStore } from './desk-store';
import { loadRoom } from './in-room';
import { Join } from './join';
import { LazyPart } from '../../ui/lazy-part';
import { NoLine } from './offline/no-line';
import { DESK_WORDS } from './words';

/** The pupil's desk: come in by card, or by room key and name, then follow the lesson. */
@Component({
  selector: 'zp-desk',
  imports: [Join, LazyPart, NoLine],
  providers: [DeskStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @switch (store.phase()) {
      @case ('asking') {
        @if (store.unsent() !== null) {
          <zp-no-line />
        } @else {
          <p class="word" role="status">{{ store.problem() ?? words().moment }}</p>
        }
      }
      @case ('joining') {
        <zp-join [word]="store.problem()" (joined)="store.enter($event)" />
      }
      @case ('card') {
        <zp-lazy [load]="card" />
      }
      @case ('in') {
        <zp-lazy [load]="room" />
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
  protected readonly room = loadRoom;
  protected readonly card = () => import('./card').then((file) => file.DeskCard);
}
