import { PARTS } from '@zeitpunkt/contract';
import type { DeskMessage, TeacherMessage } from '@zeitpunkt/contract';
import type { Line } from './line.js';

export type TeacherWindow = 'console' | 'audience';
type Reach = 'console only' | 'audience too';

/** Another window of the same pupil took this one's place: it does not come back by itself. */
export const REPLACED = 4008;

/** Who listens to a room, and how they are told. It knows nothing of what is told. */
export class Hub {
  /** Number of the last event that the consoles were told. */
  seq = 0;
  private readonly windows: Readonly<Record<TeacherWindow, Set<Line>>> = { console: new Set(), audience: new Set() };
  private readonly desks = new Map<string, Set<Line>>();

  /** @param onChange called when the first desk of a pupil opens its line and when the last one loses it */
  constructor(private readonly onChange: (participantId: string, online: boolean) => void) {}

  listen(window: TeacherWindow, line: Line): () => void {
    this.windows[window].add(line);
    return () => this.windows[window].delete(line);
  }

  listenDesk(participantId: string, line: Line): () => void {
    const lines = this.desks.get(participantId) ?? new Set();
    this.desks.set(participantId, lines.add(line));
    if (lines.size === 1) this.onChange(participantId, true);
    // Out of the set at once: however quickly they are opened, there are never more.
    for (const oldest of [...lines].slice(0, Math.max(0, lines.size - PARTS.windows.most))) {
      lines.delete(oldest);
      oldest.close(REPLACED);
    }
    return () => {
      if (!lines.delete(line) || lines.size > 0) return;
      if (this.desks.get(participantId) === lines) this.desks.delete(participantId);
      this.onChange(participantId, false);
    };
  }

  /** Tells the teacher's windows an event of the next number. */
  tellEvent(event: (seq: number) => TeacherMessage, reach: Reach = 'console only'): void {
    this.seq += 1;
    this.tell(event(this.seq), reach);
  }

  /** Tells the consoles an event of the next number whose JSON is made already. */
  tellJson(json: (seq: number) => string): void {
    this.seq += 1;
    const text = json(this.seq);
    for (const line of this.windows.console) line.tell(text);
  }

  tell(message: TeacherMessage, reach: Reach = 'console only'): void {
    const text = JSON.stringify(message);
    for (const line of this.windows.console) line.tell(text);
    if (reach === 'audience too') for (const line of this.windows.audience) line.tell(text);
  }

  /** Sends the consoles the whole state: more has changed than an event tells. */
  showConsoles(): void {
    for (const line of this.windows.console) line.show();
  }

  /** Tells every desk its view, as JSON. */
  tellDesks(messageTo: (participantId: string) => string): void {
    for (const participantId of this.desks.keys()) this.tellDesk(participantId, messageTo);
  }

  /** Tells one pupil's desks their view. */
  tellDesk(participantId: string, messageTo: (participantId: string) => string): void {
    const lines = this.desks.get(participantId);
    if (!lines) return;
    const text = messageTo(participantId);
    for (const line of lines) line.show(text);
  }

  /** Ends a pupil's lines, with nothing said: their token is another one now. */
  endDesk(participantId: string): void {
    for (const line of this.desks.get(participantId) ?? []) line.close();
  }

  /** Sends a pupil's desks back to the room key. */
  releaseDesk(participantId: string): void {
    const lines = this.desks.get(participantId) ?? [];
    this.desks.delete(participantId);
    sayLast(lines, { type: 'released' });
  }

  /** Another device has taken a pupil's place: those that had it are told so. */
  moveDesk(participantId: string): void {
    sayLast(this.desks.get(participantId) ?? [], { type: 'moved' });
  }

  /** Closes every line, once what was sent is out: nothing more will be told. */
  closeAll(): void {
    for (const lines of [this.windows.console, this.windows.audience, ...this.desks.values()]) for (const line of [...lines]) line.close();
  }
}

function sayLast(lines: Iterable<Line>, message: DeskMessage): void {
  for (const line of [...lines]) {
    line.say(JSON.stringify(message));
    line.close();
  }
}
