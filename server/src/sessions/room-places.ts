import type { MarkedResponse, Participant, Pupil } from '@zeitpunkt/contract';
import type { Answers } from './answers.js';
import type { Hub } from './hub.js';
import type { InPassing } from './in-passing.js';
import type { RoomDesks } from './room-desks.js';
import type { RoomDoor } from './room-door.js';
import type { Coming, Roster } from './roster.js';

interface RoomPlacesNeeds {
  readonly nowMs: () => number;
  readonly roster: Roster;
  readonly answers: Answers;
  readonly hub: Hub;
  readonly door: RoomDoor;
  readonly desks: RoomDesks;
  readonly passing: InPassing;
  /** A place was given up: its device's token opens nothing any more. */
  readonly onReleased: (participantId: string) => void;
}

/** Who comes into a room and leaves it, and who is told so. */
export class RoomPlaces {
  constructor(private readonly of: RoomPlacesNeeds) {}

  /** @returns the place in the room */
  join(coming: Coming): string {
    const { roster, hub, door, nowMs } = this.of;
    const participant = roster.join(coming, nowMs(), door.admitsOneByOne);
    if (participant) hub.tellEvent((seq) => ({ type: 'joined', seq, participant }));
    else hub.endDesk(coming.participantId);
    return coming.participantId;
  }

  /**
   * Lets a pupil in by join card; a device that had the pupil's place before is told that it moved.
   * @returns the place in the room
   */
  joinByCard(joinId: string, pupilId: string, hashOfToken: string): string {
    const { roster, hub, nowMs } = this.of;
    const { place, before } = roster.joinByCard(joinId, pupilId, hashOfToken, nowMs());
    if (!before) hub.tellEvent((seq) => ({ type: 'joined', seq, participant: place }));
    else {
      hub.moveDesk(place.id);
      if (before.waits) hub.tellEvent((seq) => ({ type: 'let-in', seq, participantId: place.id }));
    }
    return place.id;
  }

  /** Lets in who waits at the door; whoever is in already, or gone, is passed over. */
  letIn(participantIds: readonly string[]): void {
    const { roster, hub, desks, nowMs } = this.of;
    for (const participantId of participantIds) {
      const before = roster.letIn(participantId, nowMs());
      if (!before) continue;
      for (const { id } of before) this.tellReleased(id, () => hub.moveDesk(id));
      hub.tellEvent((seq) => ({ type: 'let-in', seq, participantId }));
      desks.tell(participantId);
    }
  }

  /**
   * Gives a pupil's place up: the device goes back to the room key.
   * @param sendsOut the teacher sends the pupil out, who waits at the door when coming again
   * @returns the place as it was
   */
  release(participantId: string, sendsOut: boolean): Participant {
    const place = this.of.roster.release(participantId, this.of.nowMs(), sendsOut);
    this.tellReleased(participantId, () => this.of.hub.releaseDesk(participantId));
    return place;
  }

  /** The class has changed: new names are seen everywhere, and deleted pupils leave with all they gave. */
  renew(pupils: readonly Pupil[]): readonly Participant[] {
    const { roster, answers, hub, desks } = this.of;
    const gone = roster.renew(pupils);
    answers.forget(new Set(gone.map(({ pupilId }) => pupilId)));
    for (const { id } of gone) hub.releaseDesk(id);
    hub.tellEvent((seq) => ({ type: 'roster', seq, pupils, participants: roster.all }));
    desks.tellAll();
    return gone;
  }

  /** Two pupils of the class became one: what was answered is theirs now, and every console sees it so. */
  readAgain(responses: readonly MarkedResponse[]): void {
    this.of.answers.readAgain(responses);
    this.of.hub.showConsoles();
    this.of.desks.tellAll();
  }

  private tellReleased(participantId: string, tellDesk: () => void): void {
    this.of.hub.tellEvent((seq) => ({ type: 'released', seq, participantId }));
    tellDesk();
    this.of.passing.forget(participantId);
    this.of.onReleased(participantId);
  }
}
