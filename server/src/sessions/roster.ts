import { CoreError } from '@zeitpunkt/core/errors';
import type { Participant, Pupil } from '@zeitpunkt/contract';
import { isKeyTaken } from '../db/key-taken.js';
import type { SessionQueries } from './queries.js';

/** A device that wants to come in for a pupil. */
export interface Coming {
  /** Its place in the room, made by the device: sent again it is the same place. */
  readonly participantId: string;
  readonly pupilId: string;
  readonly tokenHash: string;
  /** The pupil may be in on another device: this one waits, and takes over once it is let in. */
  readonly again?: boolean | undefined;
  /** The pupil was not on the class list. */
  readonly newcomer?: boolean;
}

/** Who is in a room: the pupils of its class, and those who have come in. The class may change while the room is open. */
export class Roster {
  private readonly participants: Map<string, Participant>;
  /** Pupils who were sent out: they wait at the door when they come again. */
  private readonly sentOut: Set<string>;

  constructor(
    private readonly sessionId: string,
    private pupilsOfClass: readonly Pupil[],
    participants: readonly Participant[],
    private readonly queries: SessionQueries,
  ) {
    this.sentOut = new Set(queries.sentOut(sessionId));
    this.participants = new Map(participants.map((one) => [one.id, one]));
  }

  get pupils(): readonly Pupil[] {
    return this.pupilsOfClass;
  }

  get all(): readonly Participant[] {
    return [...this.participants.values()];
  }

  has(participantId: string): boolean {
    return this.participants.has(participantId);
  }

  /** @throws CoreError DESK_NOT_JOINED */
  get(participantId: string): Participant {
    const participant = this.participants.get(participantId);
    if (!participant)
      throw new CoreError('DESK_NOT_JOINED', 'This device is not in the room any more. Please enter the four pictures again.');
    return participant;
  }

  /** The pupils of the class who are not in the room, and those who are. */
  get names(): { readonly pupils: Pupil[]; readonly inAlready: Pupil[] } {
    const taken = new Set(this.all.map(({ pupilId }) => pupilId));
    const isIn = ({ id }: Pupil) => taken.has(id);
    return { pupils: this.pupilsOfClass.filter((pupil) => !isIn(pupil)), inAlready: this.pupilsOfClass.filter(isIn) };
  }

  /**
   * Lets a pupil in. The same join sent again gives the device a new token, not a second place.
   * @param wait the pupil waits at the door until the teacher says yes
   * @returns the new participant; null where it was in already
   * @throws CoreError PUPIL_UNKNOWN, NAME_TAKEN, JOIN_ID_TAKEN
   */
  join(
    { participantId, pupilId, tokenHash, again = false, newcomer = false }: Coming,
    joinedAtMs: number,
    wait: boolean,
  ): Participant | null {
    if (this.participants.get(participantId)?.pupilId === pupilId) {
      this.queries.setToken(participantId, tokenHash);
      return null;
    }
    const pupil = this.pupilsOfClass.find(({ id }) => id === pupilId);
    if (!pupil) throw new CoreError('PUPIL_UNKNOWN', 'This class has no such pupil. Please choose a name from the list.');
    const isIn = this.all.some((one) => one.pupilId === pupilId);
    if (isIn && !again) {
      throw new CoreError('NAME_TAKEN', `${pupil.name} is in the room already. Choose your own name, or say that it is you.`, {
        pupil: pupil.name,
      });
    }
    const waits = wait || isIn || this.sentOut.has(pupilId);
    try {
      const admittedAtMs = waits ? null : joinedAtMs;
      const id = participantId;
      this.queries.insertParticipant({ id, sessionId: this.sessionId, pupilId, tokenHash, joinedAtMs, admittedAtMs, newcomer });
    } catch (error) {
      throw isKeyTaken(error) ? new CoreError('JOIN_ID_TAKEN', 'This join carries an id that another join has already.') : error;
    }
    const joined = { id: participantId, pupilId, name: pupil.name, joinedAtMs, online: false, waits, newcomer };
    this.participants.set(participantId, joined);
    return joined;
  }

  /**
   * Lets a pupil in who has shown a join card: at once, and on this device, wherever the pupil was in before.
   * @returns the place in the room, and whether another device had it
   * @throws CoreError PUPIL_UNKNOWN, JOIN_ID_TAKEN
   */
  joinByCard(
    joinId: string,
    pupilId: string,
    tokenHash: string,
    atMs: number,
  ): { readonly place: Participant; readonly before: Participant | null } {
    const before = this.all.find((one) => one.pupilId === pupilId) ?? null;
    if (!before) return { place: this.join({ participantId: joinId, pupilId, tokenHash }, atMs, false)!, before };
    this.queries.setToken(before.id, tokenHash);
    this.letIn(before.id, atMs);
    return { place: this.get(before.id), before };
  }

  /**
   * Lets in who waits at the door.
   * @returns null where nobody waited; else the places of the same pupil on other devices, which are given up
   */
  letIn(participantId: string, atMs: number): readonly Participant[] | null {
    const participant = this.participants.get(participantId);
    if (!participant?.waits) return null;
    const before = this.all.filter(({ id, pupilId }) => pupilId === participant.pupilId && id !== participantId);
    for (const { id } of before) this.release(id, atMs);
    this.sentOut.delete(participant.pupilId);
    this.queries.admit(participantId, atMs);
    this.participants.set(participantId, { ...participant, waits: false });
    return before;
  }

  /**
   * Gives a pupil's place up. @param sendsOut the teacher sends the pupil out, who waits at the door when coming again
   * @returns the place as it was
   * @throws CoreError PUPIL_UNKNOWN
   */
  release(participantId: string, atMs: number, sendsOut = false): Participant {
    const place = this.participants.get(participantId);
    if (!place) throw new CoreError('PUPIL_UNKNOWN', 'This pupil is not in the room any more.');
    this.queries.release(participantId, atMs, sendsOut);
    this.participants.delete(participantId);
    if (sendsOut) this.sentOut.add(place.pupilId);
    return place;
  }

  /** Whether a pupil's device has its line open. Returns whether that is news. */
  setOnline(participantId: string, online: boolean): boolean {
    const participant = this.participants.get(participantId);
    if (!participant || participant.online === online) return false;
    this.participants.set(participantId, { ...participant, online });
    return true;
  }

  /** Takes the class as it is now: new names, and pupils who are no longer in it leave. Returns who left. */
  renew(pupils: readonly Pupil[]): readonly Participant[] {
    this.pupilsOfClass = pupils;
    const names = new Map(pupils.map(({ id, name }) => [id, name]));
    const gone = this.all.filter(({ pupilId }) => !names.has(pupilId));
    for (const { id } of gone) this.participants.delete(id);
    for (const participant of this.all) this.participants.set(participant.id, { ...participant, name: names.get(participant.pupilId)! });
    return gone;
  }
}
