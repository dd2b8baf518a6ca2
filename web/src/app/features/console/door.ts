import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { isDoorOpen } from '@zeitpunkt/core/live/door';
import type { RoomCommand } from '@zeitpunkt/core/live/room';
import type { Participant, SessionDetail } from '@zeitpunkt/contract';
import type { RoomAct } from '../../state/live';
import { Icon } from '../../ui/icons/icon';
import { KeyHint } from '../../ui/parts/key-hint';
import { CONSOLE_WORDS } from './words';

/** So many wrong keys within a minute are more than a class mistypes. */
const MANY_WRONG_KEYS = 8;

/** Who stands before the door of the room: who waits to be let in, who knocks, and whether keys are being guessed. */
@Component({
  selector: 'zp-door',
  imports: [Icon, KeyHint, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (waiting().length) {
      <div class="row" role="status">
        <mat-icon svgIcon="meeting-room" />
        <strong>{{ words().atDoor }}</strong>
        @for (one of waiting(); track one.id) {
          <button mat-stroked-button type="button" (click)="letIn([one.id])">
            {{ words().letIn(one.name, aboutOne(one)) }}
            @if (waiting().length === 1) {
              <zp-key key="I" />
            }
          </button>
          <button mat-button type="button" (click)="act.emit({ type: 'send-out', participantId: one.id })">
            {{ words().no }}<span class="heard-only">{{ words().notOne(one.name) }}</span>
          </button>
        }
        @if (waiting().length > 1) {
          <button mat-flat-button class="next" type="button" (click)="letInAll()">
            {{ words().letAll(waiting().length) }}<zp-key key="I" />
          </button>
        }
      </div>
    }
    @if (knocks()[0]; as first) {
      <div class="row" role="status">
        <mat-icon svgIcon="meeting-room" />
        <strong>{{ words().knocks(knocks().length) }}</strong>
        <button mat-stroked-button type="button" (click)="act.emit({ type: 'open-to', knockId: first.id })">
          {{ knocks().length === 1 ? words().openToOne : words().openToFirst }}
        </button>
        <button mat-stroked-button type="button" (click)="tell.emit({ type: 'door', open: true })">{{ words().openToAll }}</button>
      </div>
    }
    @if (wrongKeys() >= most) {
      <div class="row problem" role="status">
        {{ words().guessed(wrongKeys()) }}
        @if (isOpen()) {
          {{ words().stranger }}
          <button mat-stroked-button type="button" (click)="tell.emit({ type: 'door', open: false })">{{ words().closeNow }}</button>
        }
      </div>
    } @else if (wrongKeys() > 0) {
      <p class="facts">{{ words().wrong(wrongKeys()) }}</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
      width: 100%;
    }
    :host:empty {
      display: none;
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: 6px 10px;
      align-items: center;
      padding: 6px 12px;
      background: var(--zone);
    }
    .row.problem {
      background: var(--sheet);
    }
    p {
      margin: 0;
    }
  `,
})
export class DoorPanel {
  readonly live = input.required<SessionDetail['live']>();
  /** The server's clock, in milliseconds since 1970. */
  readonly nowMs = input.required<number>();
  readonly tell = output<RoomCommand>();
  readonly act = output<RoomAct>();
  private readonly catalogue = CONSOLE_WORDS;
  protected readonly words = computed(() => this.catalogue().doorPlace);

  protected readonly most = MANY_WRONG_KEYS;
  protected readonly isOpen = computed(() => isDoorOpen(this.live().room.door, this.nowMs()));
  protected readonly waiting = computed(() => this.live().participants.filter(({ waits }) => waits));
  protected readonly knocks = computed(() => (this.isOpen() ? [] : this.live().outside.knocks));
  protected readonly wrongKeys = computed(() => this.live().outside.wrongKeys);

  /** What a teacher should know first: the pupil is not on the list, or is in already and this device would take over. */
  protected aboutOne({ id, pupilId, newcomer }: Participant): string {
    if (newcomer) return this.words().newcomer;
    const isElsewhere = this.live().participants.some((other) => other.pupilId === pupilId && other.id !== id);
    return isElsewhere ? this.words().elsewhere : '';
  }

  protected letIn(participantIds: readonly string[]): void {
    this.act.emit({ type: 'let-in', participantIds });
  }

  letInAll(): void {
    if (this.waiting().length > 0) this.letIn(this.waiting().map(({ id }) => id));
  }
}
