import { CoreError } from '@zeitpunkt/core/errors';
import { writeRoomState } from '@zeitpunkt/core/formats/stored';
import type { PreparedLesson } from '@zeitpunkt/core/lesson/prepare';
import { type RoomCommand, type RoomHappening, type RoomState, applyCommand } from '@zeitpunkt/core/live/room';
import type { Asking } from '@zeitpunkt/core/run/asking';
import type { GroupCommit } from '../db/group-commit.js';
import type { SessionQueries } from './queries.js';

export interface CommandsNeeds {
  readonly queries: SessionQueries;
  readonly commit: GroupCommit;
  readonly nowMs: () => number;
  /** Whether an answer to an asking is kept or on its way. */
  readonly isAnswered: (askingId: string) => boolean;
}

/** The state of a room and what changes it: one command after the other, each written before anybody is told. */
export class Commands {
  /** How many commands were carried out. */
  private events: number;
  private takingBack: string | null = null;
  /** The last command that was sent; each waits for the one before it. */
  private carriedOut: Promise<unknown> = Promise.resolve();

  constructor(
    private readonly sessionId: string,
    private now: RoomState,
    private readonly lesson: PreparedLesson,
    private readonly needs: CommandsNeeds,
    private readonly onChange: (room: RoomState, atMs: number) => void,
  ) {
    this.events = needs.queries.eventCount(sessionId);
  }

  get room(): RoomState {
    return this.now;
  }

  /** What was asked and can be answered; a question that is just being taken back cannot. */
  asking(id: string): Asking | undefined {
    return id === this.takingBack ? undefined : this.now.run.askings.find((one) => one.id === id);
  }

  /** Carries out a command once, after those before it; sent again it changes nothing. */
  carryOut(commandId: string, command: RoomCommand | RoomHappening): Promise<void> {
    const done = this.carriedOut.then(() => this.apply(commandId, command));
    this.carriedOut = done.catch(() => undefined); // whoever sent it is told; the next one is carried out all the same
    return done;
  }

  private async apply(commandId: string, command: RoomCommand | RoomHappening): Promise<void> {
    const { queries, commit, nowMs } = this.needs;
    if (queries.commandKnown(this.sessionId, commandId)) return;
    const atMs = nowMs();
    const next = applyCommand(this.now, command, this.lesson, atMs);
    if (command.type === 'take-back') this.mustBeUnanswered(command.askingId);
    const event = { sessionId: this.sessionId, seq: this.events + 1, commandId, command: JSON.stringify(forTheRecord(command)), atMs };
    // Until it is written that it was taken back, no answer to it may come in between.
    this.takingBack = command.type === 'take-back' ? command.askingId : null;
    try {
      await commit(() => {
        queries.insertEvent(event);
        if (next === this.now) return;
        queries.saveRoom(this.sessionId, next.phase, writeRoomState(next));
        if (next.phase === 'ended') queries.end(this.sessionId, atMs);
      });
    } finally {
      this.takingBack = null;
    }
    this.events = event.seq;
    if (next === this.now) return; // remembered all the same: sent again later it must not move the room
    this.now = next;
    this.onChange(next, atMs);
  }

  private mustBeUnanswered(askingId: string): void {
    if (this.needs.isAnswered(askingId)) throw new CoreError('QUESTION_ANSWERED', 'Somebody has answered already: close the question instead.'); // prettier-ignore
  }
}

/** Hands that are dragged make many commands: of the pointing beside the script only the time is recorded. */
function forTheRecord(command: RoomCommand | RoomHappening): unknown {
  return command.type === 'aside' ? { type: 'aside', timeSec: command.aside?.timeSec ?? null } : command;
}
