import type { DeskView, TeacherMessage } from '@zeitpunkt/contract';

/** A window that listens. `send` takes the message as JSON text. */
export interface Listener {
  send(text: string): void;
  close(): void;
}

export type TeacherWindow = 'console' | 'audience';

/** Who listens to a room, and how they are told. It knows nothing of what is told. */
export class Hub {
  /** Number of the last event that the consoles were told. */
  seq = 0;
  private readonly windows: Readonly<Record<TeacherWindow, Set<Listener>>> = { console: new Set(), audience: new Set() };
  private readonly desks = new Map<string, Set<Listener>>();

  /** @param onChange called when the first desk of a pupil opens its line and when the last one loses it */
  constructor(private readonly onChange: (participantId: string, online: boolean) => void) {}

  listen(window: TeacherWindow, listener: Listener): () => void {
    this.windows[window].add(listener);
    return () => this.windows[window].delete(listener);
  }

  listenDesk(participantId: string, listener: Listener): () => void {
    const listeners = this.desks.get(participantId) ?? new Set();
    this.desks.set(participantId, listeners.add(listener));
    if (listeners.size === 1) this.onChange(participantId, true);
    return () => {
      if (!listeners.delete(listener) || listeners.size > 0) return;
      if (this.desks.get(participantId) === listeners) this.desks.delete(participantId);
      this.onChange(participantId, false);
    };
  }

  /** Tells the teacher's windows an event of the next number. */
  tellEvent(event: (seq: number) => TeacherMessage, reach: 'console only' | 'audience too' = 'console only'): void {
    this.seq += 1;
    this.tell(event(this.seq), reach);
  }

  tell(message: TeacherMessage, reach: 'console only' | 'audience too' = 'console only'): void {
    const text = JSON.stringify(message);
    for (const listener of this.windows.console) listener.send(text);
    if (reach === 'audience too') for (const listener of this.windows.audience) listener.send(text);
  }

  /** Tells every desk its view. */
  tellDesks(viewOf: (participantId: string) => DeskView): void {
    for (const [participantId, listeners] of this.desks) {
      const text = JSON.stringify({ type: 'view', view: viewOf(participantId) });
      for (const listener of listeners) listener.send(text);
    }
  }

  /** Sends a pupil's desks back to the room key. */
  releaseDesk(participantId: string): void {
    const listeners = this.desks.get(participantId) ?? [];
    this.desks.delete(participantId);
    for (const listener of listeners) {
      listener.send(JSON.stringify({ type: 'released' }));
      listener.close();
    }
  }

  /** Closes every line, once what was sent is out: nothing more will be told. */
  closeAll(): void {
    for (const listeners of [this.windows.console, this.windows.audience, ...this.desks.values()])
      for (const listener of [...listeners]) listener.close();
  }
}
