import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { DeskCard } from './card';
import { DeskRoom } from './desk-room';
import { DeskStore } from './desk-store';
import { Join } from './join';

/** The pupil's desk: come in by card, or by room key and name, then follow the lesson. */
@Component({
  selector: 'zp-desk',
  imports: [DeskCard, DeskRoom, Join],
  providers: [DeskStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @switch (store.phase()) {
      @case ('asking') {
        <p class="word" role="status">{{ store.problem() ?? 'One moment …' }}</p>
      }
      @case ('joining') {
        <zp-join [word]="store.problem()" (joined)="store.enter($event)" />
      }
      @case ('card') {
        @defer (on immediate) {
          <zp-desk-card [token]="store.card()!" [word]="store.problem()" (joined)="store.enter($event)" (leave)="store.withoutCard()" />
        }
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
}
