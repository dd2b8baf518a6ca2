import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatRadioButton, MatRadioGroup } from '@angular/material/radio';
import { isDoorOpen, type Door, type DoorMode } from '@zeitpunkt/core/live/door';
import type { RoomCommand } from '@zeitpunkt/core/live/room';
import { CONSOLE_WORDS } from './words';

/** What the door is doing, in a few words. @param nowMs by the server's clock */
export function doorWords(door: Door, nowMs: number): string {
  const words = CONSOLE_WORDS().doorPlace;
  if (!isDoorOpen(door, nowMs)) return words.isClosed;
  return door.closesAtMs === null ? words.isOpen : words.openFor(Math.max(1, Math.round((door.closesAtMs - nowMs) / 60_000)));
}

const MODES: readonly DoorMode[] = ['class-list', 'one-by-one', 'all'];

/** Opens and closes the door, and says who is in at once. */
@Component({
  selector: 'zp-door-turn',
  imports: [MatButton, MatRadioButton, MatRadioGroup],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <mat-radio-group [attr.aria-label]="words().lobby.whoComes" [value]="door().admits" (change)="admit($event.value)">
      @for (mode of modes; track mode) {
        <mat-radio-button [value]="mode">{{ words().lobby.modes[mode] }}</mat-radio-button>
      }
    </mat-radio-group>
    <p>
      <button mat-stroked-button type="button" (click)="turn()">
        {{ isOpen() ? words().doorPlace.close : words().doorPlace.open }}
      </button>
      @if (!isOpen()) {
        <strong>{{ words().lobby.closed }}</strong>
      }
    </p>
  `,
  styles: `
    :host,
    mat-radio-group {
      display: grid;
    }
    :host {
      gap: 12px;
    }
    mat-radio-group {
      border: 1px solid var(--line);
      border-radius: 4px;
      background: var(--sheet);
    }
    mat-radio-button {
      padding: 6px 8px;
    }
    mat-radio-button + mat-radio-button {
      border-top: 1px solid var(--faint);
    }
    p {
      display: flex;
      gap: 12px;
      align-items: center;
      margin: 0;
    }
  `,
})
export class DoorTurn {
  readonly door = input.required<Door>();
  /** The server's clock, in milliseconds since 1970. */
  readonly nowMs = input.required<number>();
  readonly tell = output<RoomCommand>();
  protected readonly words = CONSOLE_WORDS;
  protected readonly isOpen = computed(() => isDoorOpen(this.door(), this.nowMs()));
  protected readonly modes = MODES;

  protected admit(admits: DoorMode): void {
    this.tell.emit({ type: 'door-admits', admits });
  }

  protected turn(): void {
    this.tell.emit({ type: 'door', open: !this.isOpen() });
  }
}
