import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { isDoorOpen, type Door, type DoorMode, type RoomCommand } from '@zeitpunkt/core';

/** What the door is doing, in a few words. @param nowMs by the server's clock */
export function doorWords(door: Door, nowMs: number): string {
  if (!isDoorOpen(door, nowMs)) return 'the door is closed, they knock';
  if (door.closesAtMs === null) return 'the door is open';
  const minutes = Math.max(1, Math.round((door.closesAtMs - nowMs) / 60_000));
  return `the door is open for ${minutes} more ${minutes === 1 ? 'minute' : 'minutes'}`;
}

const MODES: readonly { readonly id: DoorMode; readonly text: string }[] = [
  { id: 'one-by-one', text: 'waits until I let them in' },
  { id: 'class-list', text: 'is in at once, by the class list alone' },
  { id: 'all', text: 'is in at once, also who is not on the list' },
];

/** Opens and closes the door, and says who is in at once. */
@Component({
  selector: 'zp-door-turn',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button mat-stroked-button type="button" (click)="turn()">{{ isOpen() ? 'Close the door' : 'Open the door' }}</button>
    <label
      >Who comes in
      <select #admits class="field" (change)="admit(admits.value)">
        @for (mode of modes; track mode.id) {
          <option [value]="mode.id" [selected]="mode.id === door().admits">{{ mode.text }}</option>
        }
      </select>
    </label>
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 0.4rem 0.6rem;
      align-items: center;
    }
    label {
      display: flex;
      flex-wrap: wrap;
      gap: 0 0.5rem;
      align-items: center;
      min-width: 0;
    }
    select {
      width: 100%;
      max-width: 21rem;
    }
  `,
})
export class DoorTurn {
  readonly door = input.required<Door>();
  /** The server's clock, in milliseconds since 1970. */
  readonly nowMs = input.required<number>();
  readonly tell = output<RoomCommand>();
  protected readonly isOpen = computed(() => isDoorOpen(this.door(), this.nowMs()));

  protected readonly modes = MODES;

  protected admit(mode: string): void {
    this.tell.emit({ type: 'door-admits', admits: mode as DoorMode });
  }

  protected turn(): void {
    this.tell.emit({ type: 'door', open: !this.isOpen() });
  }
}
