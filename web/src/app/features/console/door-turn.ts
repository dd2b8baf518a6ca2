import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { isDoorOpen, type Door, type RoomCommand } from '@zeitpunkt/core';

/** What the door is doing, in a few words. @param nowMs by the server's clock */
export function doorWords(door: Door, nowMs: number): string {
  if (!isDoorOpen(door, nowMs)) return 'the door is closed, they knock';
  if (door.closesAtMs === null) return 'the door is open';
  const minutes = Math.max(1, Math.round((door.closesAtMs - nowMs) / 60_000));
  return `the door is open for ${minutes} more ${minutes === 1 ? 'minute' : 'minutes'}`;
}

/** Opens and closes the door, and says whether pupils wait at it. */
@Component({
  selector: 'zp-door-turn',
  imports: [MatButton, MatCheckbox],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button mat-stroked-button type="button" (click)="turn()">{{ isOpen() ? 'Close the door' : 'Open the door' }}</button>
    <mat-checkbox [checked]="door().asks" (change)="tell.emit({ type: 'door-asks', asks: $event.checked })">
      Pupils wait until I let them in
    </mat-checkbox>
  `,
  styles: ':host { display: flex; flex-wrap: wrap; gap: 0.4rem 0.6rem; align-items: center; }',
})
export class DoorTurn {
  readonly door = input.required<Door>();
  /** The server's clock, in milliseconds since 1970. */
  readonly nowMs = input.required<number>();
  readonly tell = output<RoomCommand>();
  protected readonly isOpen = computed(() => isDoorOpen(this.door(), this.nowMs()));

  protected turn(): void {
    this.tell.emit({ type: 'door', open: !this.isOpen() });
  }
}
