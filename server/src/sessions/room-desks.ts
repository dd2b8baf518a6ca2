import type { PreparedLesson } from '@zeitpunkt/core/lesson/prepare';
import type { RoomState } from '@zeitpunkt/core/live/room';
import type { Take } from '@zeitpunkt/core/voice/take';
import type { DeskView, MarkedResponse } from '@zeitpunkt/contract';
import type { Answers } from './answers.js';
import { AskedTakes } from './asked-takes.js';
import { atTheDoor, deskMessage, deskView, sharedView, type DeskPupil, type SharedView } from './desk-view.js';
import type { Hub } from './hub.js';
import type { InPassing } from './in-passing.js';
import type { Roster } from './roster.js';

/** What the desks of a room are told from. */
interface RoomDesksNeeds {
  readonly lesson: PreparedLesson;
  readonly className: string;
  readonly nowMs: () => number;
  readonly takes: () => readonly Take[];
  readonly hub: Hub;
  readonly roster: Roster;
  readonly answers: Answers;
  readonly passing: InPassing;
  /** The room as it is now. */
  readonly room: () => RoomState;
}

/** What each desk of a live room sees and hears. */
export class RoomDesks {
  private readonly asked: AskedTakes;

  constructor(private readonly of: RoomDesksNeeds) {
    this.asked = new AskedTakes(of.lesson, of.takes);
  }

  view(participantId: string): DeskView {
    return this.toPupil(deskView, participantId, this.shared());
  }

  /** The view as a message to its desks. */
  message(participantId: string, shared = this.shared()): string {
    return this.toPupil(deskMessage, participantId, shared);
  }

  tell(participantId: string): void {
    this.of.hub.tellDesk(participantId, (id) => this.message(id));
  }

  tellAll(): void {
    const shared = this.shared();
    this.of.hub.tellDesks((participantId) => this.message(participantId, shared));
  }

  /** Whether a take is that of the question that is asked now, to one who is in. */
  mayHear(participantId: string, takeId: string): boolean {
    return !this.of.roster.get(participantId).waits && this.takeHere()?.id === takeId;
  }

  /** The recording of the lesson has changed: desks that hear it hear what is there now. */
  takesChanged(): void {
    this.asked.forget();
    this.tellAll();
  }

  private toPupil<T>(
    make: (shared: SharedView, pupil: DeskPupil, latest: (askingId: string) => MarkedResponse | undefined) => T,
    participantId: string,
    shared: SharedView,
  ): T {
    const { roster, passing, answers } = this.of;
    const { name, pupilId, waits } = roster.get(participantId);
    const pupil = { participantId, pupilName: name, ready: passing.saidBy(participantId), own: null };
    return make(waits ? atTheDoor(shared) : shared, pupil, (askingId) => answers.latestOf(pupilId, askingId));
  }

  /** What all desks are told alike is made once for all of them. */
  private shared(): SharedView {
    const { lesson, className, hub, room, nowMs } = this.of;
    const takeId = this.takeHere()?.id ?? null;
    return sharedView({ lesson, room: room(), seq: hub.seq, className, takeId }, nowMs());
  }

  /** What the teacher recorded of the question that is asked. */
  private takeHere(): Take | null {
    const { phase, run } = this.of.room();
    return phase === 'running' ? this.asked.at(run) : null;
  }
}
