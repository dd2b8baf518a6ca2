import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { isDoorOpen, type RoomCommand } from '@zeitpunkt/core';
import type { Participant, SessionDetail } from '@zeitpunkt/contract';
import type { RoomAct } from '../../state/live';

/** So many wrong keys within a minute are more than a class mistypes. */
const MANY_WRONG_KEYS = 8;

/** Who stands before the door of the room: who waits to be let in, who knocks, and whether keys are being guessed. */
@Component({
  selector: 'zp-door',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (waiting().length) {
      <div class="row" role="status">
        <strong>At the door:</strong>
        @for (one of waiting(); track one.id) {
          <button mat-stroked-button type="button" (click)="letIn([one.id])">Let {{ one.name }} in{{ aboutOne(one) }}</button>
          <button mat-button type="button" (click)="act.emit({ type: 'send-out', participantId: one.id })">
            No<span class="heard-only">, not {{ one.name }}</span>
          </button>
        }
        @if (waiting().length > 1) {
          <button mat-flat-button class="next" type="button" (click)="letInAll()">Let all {{ waiting().length }} in</button>
        }
      </div>
    }
    @if (knocks()[0]; as first) {
      <div class="row" role="status">
        <strong>{{ knocks().length === 1 ? 'Somebody knocks' : knocks().length + ' knock' }} at the closed door.</strong>
        <button mat-stroked-button type="button" (click)="act.emit({ type: 'open-to', knockId: first.id })">
          Open to {{ knocks().length === 1 ? 'them' : 'the first' }}
        </button>
        <button mat-stroked-button type="button" (click)="tell.emit({ type: 'door', open: true })">Open to all</button>
      </div>
    }
    @if (wrongKeys() >= most) {
      <div class="row problem" role="status">
        {{ wrongKeys() }} wrong room keys were tried within a minute.
        @if (isOpen()) {
          If a stranger may be guessing:
          <button mat-stroked-button type="button" (click)="tell.emit({ type: 'door', open: false })">Close the door now</button>
        }
      </div>
    } @else if (wrongKeys() > 0) {
      <p class="facts">{{ wrongKeys() }} wrong room {{ wrongKeys() === 1 ? 'key was' : 'keys were' }} tried in the last minute.</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.5rem;
      width: 100%;
    }
    :host:empty {
      display: none;
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 0.4rem 0.6rem;
      align-items: center;
    }
  `,
})
export class DoorPanel {
  readonly live = input.required<SessionDetail['live']>();
  /** The server's clock, in milliseconds since 1970. */
  readonly nowMs = input.required<number>();
  readonly tell = output<RoomCommand>();
  readonly act = output<RoomAct>();

  protected readonly most = MANY_WRONG_KEYS;
  protected readonly isOpen = computed(() => isDoorOpen(this.live().room.door, this.nowMs()));
  protected readonly waiting = computed(() => this.live().participants.filter(({ waits }) => waits));
  protected readonly knocks = computed(() => (this.isOpen() ? [] : this.live().outside.knocks));
  protected readonly wrongKeys = computed(() => this.live().outside.wrongKeys);

  /** What a teacher should know first: the pupil is not on the list, or is in already and this device would take over. */
  protected aboutOne({ id, pupilId, newcomer }: Participant): string {
    if (newcomer) return ', who is not on the list';
    const isElsewhere = this.live().participants.some((other) => other.pupilId === pupilId && other.id !== id);
    return isElsewhere ? ', who was on another device' : '';
  }

  protected letIn(participantIds: readonly string[]): void {
    this.act.emit({ type: 'let-in', participantIds });
  }

  protected letInAll(): void {
    this.letIn(this.waiting().map(({ id }) => id));
  }
}
