import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatTooltip } from '@angular/material/tooltip';
import { kindOf, LatestAttempts, type Asking, type Item } from '@zeitpunkt/core';
import type { SessionDetail } from '@zeitpunkt/contract';
import { Steering } from '../../shared/steering';
import { FollowUp } from './follow-up';

const MORE_MINUTES = 2;

/** What can be done with the question on the stage: give time, close it, and once it is answered ask again or go after what went wrong. */
@Component({
  selector: 'zp-flow-bar',
  imports: [MatButton, MatTooltip],
  providers: [FollowUp],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @let one = asking();
    @if (one.phase === 'open') {
      <button
        mat-stroked-button
        type="button"
        [disabled]="thinking() === 0 || calls().nudged === one.id"
        matTooltip="Those who have not answered read that you wait for them, and that there is time"
        (click)="steering.tell({ type: 'nudge', askingId: one.id })"
      >
        {{ calls().nudged === one.id ? 'Nudged' : 'Nudge ' + thinking() }}
      </button>
      <button mat-stroked-button type="button" (click)="steering.tell({ type: 'more-time', askingId: one.id, minutes: minutes })">
        Two more minutes
      </button>
      <button mat-stroked-button type="button" (click)="steering.tell({ type: 'close', askingId: one.id })">Close answers</button>
      @if (steering.canTakeBack()) {
        <button mat-stroked-button type="button" matTooltip="Esc, full stop" (click)="steering.takeBack()">Take it back</button>
      }
    } @else {
      @if (one.phase === 'revealed') {
        <button mat-stroked-button type="button" (click)="steering.askAgain(one.item)">Ask again</button>
        <button mat-stroked-button type="button" (click)="steering.askAnother(one.item)">Ask another like it</button>
      }
      @if (followUp.ready(); as ready) {
        <button mat-stroked-button class="follow" type="button" [matTooltip]="stemOf(ready.item)" (click)="steering.askAgain(ready.item)">
          Follow up A: {{ ready.title }}
        </button>
      } @else if (followUp.isComing()) {
        <span class="facts" role="status">Finding a follow-up …</span>
      }
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem 0.75rem;
      align-items: center;
    }
    .follow {
      height: auto;
      min-height: 40px;
      padding-block: 0.25rem;
    }
  `,
})
export class FlowBar {
  readonly detail = input.required<SessionDetail>();
  readonly asking = input.required<Asking>();
  protected readonly steering = inject(Steering);
  protected readonly followUp = inject(FollowUp);
  protected readonly minutes = MORE_MINUTES;
  protected readonly calls = computed(() => this.detail().live.room.calls);
  /** How many are in the room and have not answered. */
  protected readonly thinking = computed(() => {
    const { participants, responses } = this.detail().live;
    const answered = new LatestAttempts(responses).at(this.asking().id);
    return participants.filter(({ waits, pupilId }) => !waits && !answered.has(pupilId)).length;
  });

  protected stemOf(item: Item): string {
    return kindOf(item).viewOf(item, this.detail().lesson.settings).stem;
  }
}
