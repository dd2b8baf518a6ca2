import type { Pose } from '@zeitpunkt/core/dial/pose';
import type { Calls } from '@zeitpunkt/core/live/calls';
import type { Passing } from '@zeitpunkt/contract';

/** What pupils show in passing: whether they are ready, and their practice dials. In memory only, as long as it is called for. */
export class InPassing {
  private readonly ready = new Map<string, boolean>();
  private readonly shown = new Map<string, Pose>();
  private calls: Pick<Calls, 'pulse' | 'showMe'> = { pulse: null, showMe: false };

  /** Takes the calls of the room as they are now: what belongs to an earlier one is forgotten. */
  follow(calls: Calls): void {
    if (calls.pulse !== this.calls.pulse) this.ready.clear();
    if (!calls.showMe) this.shown.clear();
    this.calls = calls;
  }

  /** @returns whether the pulse is still asked, and this is news */
  say(participantId: string, pulse: number, ready: boolean): boolean {
    if (pulse !== this.calls.pulse || this.ready.get(participantId) === ready) return false;
    this.ready.set(participantId, ready);
    return true;
  }

  /** @returns whether dials are called for */
  show(participantId: string, pose: Pose): boolean {
    if (!this.calls.showMe) return false;
    this.shown.set(participantId, pose);
    return true;
  }

  saidBy(participantId: string): boolean | null {
    return this.ready.get(participantId) ?? null;
  }

  forget(participantId: string): void {
    this.ready.delete(participantId);
    this.shown.delete(participantId);
  }

  get all(): Passing {
    return {
      ready: [...this.ready].map(([participantId, ready]) => ({ participantId, ready })),
      shown: [...this.shown].map(([participantId, pose]) => ({ participantId, pose })),
    };
  }
}

export const NOTHING_IN_PASSING: Passing = { ready: [], shown: [] };
