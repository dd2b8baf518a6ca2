import { inject, Injectable } from '@angular/core';
import { Store } from '@ngrx/store';
import type { RoomCommand } from '@zeitpunkt/core';
import { v4 as uuid } from 'uuid';
import { liveActions, liveFeature } from '../state/live';

/** Moves the lesson on and back. Console and audience window steer alike: a clicker's keys reach whichever is in front. */
@Injectable({ providedIn: 'root' })
export class Steering {
  private readonly store = inject(Store);
  private readonly detail = this.store.selectSignal(liveFeature.selectDetail);
  private readonly prepared = this.store.selectSignal(liveFeature.selectPrepared);

  /** One step on; in the lobby the lesson begins. */
  next(): void {
    const live = this.detail()?.live;
    if (live?.room.phase === 'lobby') this.tell({ type: 'begin' });
    else this.goBy(1);
  }

  back(): void {
    this.goBy(-1);
  }

  tell(command: RoomCommand): void {
    const sessionId = this.detail()?.id;
    if (sessionId) this.store.dispatch(liveActions.command({ sessionId, commandId: uuid(), command, atMs: Date.now() }));
  }

  /** Acts on the keys that steer; returns whether it was one of them. */
  key(event: KeyboardEvent): boolean {
    if (event.ctrlKey || event.altKey || event.metaKey || event.repeat) return false;
    const back = event.key === 'PageUp' || (event.key === ' ' && event.shiftKey);
    const on = event.key === 'PageDown' || (event.key === ' ' && !event.shiftKey);
    // Space on a button presses that button and in a field it is a space.
    if (!on && !back) return false;
    if (event.key === ' ' && (event.target as HTMLElement).closest('button, a, input, textarea, select, summary, [role="slider"]'))
      return false;
    event.preventDefault();
    if (on) this.next();
    else this.back();
    return true;
  }

  private goBy(steps: number): void {
    const room = this.detail()?.live.room;
    const toStep = (room?.step ?? 0) + steps;
    if (room?.phase === 'running' && toStep >= 0 && toStep < (this.prepared()?.steps.length ?? 0)) this.tell({ type: 'go', toStep });
  }
}
