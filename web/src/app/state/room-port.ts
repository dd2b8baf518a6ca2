import { Injectable } from '@angular/core';
import type { CommandDone } from '@zeitpunkt/contract';
import type { RoomCommand } from '@zeitpunkt/core/live/room';
import { ask } from '../shared/api';

/** Carries out commands where no server has the room: in a rehearsal. */
export type StandIn = (command: RoomCommand) => CommandDone;

/** Where the commands of a teacher go: to the room on the server, or to what stands in for it. */
@Injectable({ providedIn: 'root' })
export class RoomPort {
  private standIn: { readonly sessionId: string; readonly carryOut: StandIn } | null = null;

  /** From now on commands to this session stay here; the returned function ends that. */
  standInFor(sessionId: string, carryOut: StandIn): () => void {
    const mine = { sessionId, carryOut };
    this.standIn = mine;
    return () => {
      if (this.standIn === mine) this.standIn = null;
    };
  }

  async tell(sessionId: string, commandId: string, command: RoomCommand): Promise<CommandDone> {
    if (this.standIn?.sessionId === sessionId) return this.standIn.carryOut(command);
    return ask('POST', `/api/sessions/${sessionId}/commands`, { id: commandId, command });
  }
}
