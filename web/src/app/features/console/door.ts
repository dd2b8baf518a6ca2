import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { isDoorOpen, type RoomCommand } from '@zeitpunkt/core';
import type { SessionDetail } from '@zeitpunkt/contract';
import type { RoomAct } from '../../state/live';

/** So many wrong keys within a minute are more than a class mistypes. */
const MANY_WRONG_KEYS = 8;

/** The door of the room: who waits to be let in, who knocks, and whether a room key still opens it. */
@Component({
  selector: 'zp-door',
  imports: [MatButton, MatCheckbox],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (waiting().length) {
      <div class="row" role="status">
        <strong>At the door:</strong>
        @for (one of waiting(); track one.id) {
          <button mat-stroked-button type="button" (click)="letIn([one.id])">Let {{ one.name }} in</button>
        }
        @if (waiting().length > 1) {
          <button mat-flat-button class="next" type="button" (click)="letInAll()">Let all {{ waiting().length }} in</button>
        }
      </div>
    }
    @if (knocks().length) {
      <div class="row" role="status">
        <strong>{{ knocks().length === 1 ? 'Somebody knocks' : knocks().length + ' knock' }} at the closed door.</strong>
        <button mat-stroked-button type="button" (click)="openTo(knocks()[0]!.id)">
          Open to {{ knocks().length === 1 ? 'them' : 'the first' }}
        </button>
        <button mat-stroked-button type="button" (click)="turn(true)">Open the door</button>
      </div>
    }
    @if (wrongKeys() >= most) {
      <p class="problem" role="status">
        {{ wrongKeys() }} wrong room keys were tried within a minute. If a stranger may be guessing, close the door.
      </p>
    }
    <div class="row">
      <span class="facts">{{ doorWords() }}</span>
      <button mat-stroked-button type="button" (click)="turn(!isOpen())">{{ isOpen() ? 'Close the door' : 'Open the door' }}</button>
      <mat-checkbox [checked]="door().asks" (change)="tell.emit({ type: 'door-asks', asks: $event.checked })">
        Pupils wait until I let them in
      </mat-checkbox>
    </div>
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.5rem;
      width: 100%;
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
  protected readonly door = computed(() => this.live().room.door);
  protected readonly isOpen = computed(() => isDoorOpen(this.door(), this.nowMs()));
  protected readonly waiting = computed(() => this.live().participants.filter(({ waits }) => waits));
  protected readonly knocks = computed(() => (this.isOpen() ? [] : this.live().outside.knocks));
  protected readonly wrongKeys = computed(() => this.live().outside.wrongKeys);
  protected readonly doorWords = computed(() => {
    if (!this.isOpen()) return 'The door is closed: late comers knock.';
    const { closesAtMs } = this.door();
    if (closesAtMs === null) return 'The door is open.';
    const minutes = Math.max(1, Math.round((closesAtMs - this.nowMs()) / 60_000));
    return `The door is open for ${minutes} more ${minutes === 1 ? 'minute' : 'minutes'}.`;
  });

  protected letIn(participantIds: readonly string[]): void {
    this.act.emit({ type: 'let-in', participantIds });
  }

  protected letInAll(): void {
    this.letIn(this.waiting().map(({ id }) => id));
  }

  protected openTo(knockId: string): void {
    this.act.emit({ type: 'open-to', knockId });
  }

  protected turn(open: boolean): void {
    this.tell.emit({ type: 'door', open });
  }
}
