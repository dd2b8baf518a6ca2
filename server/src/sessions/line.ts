import type { Duplex } from 'node:stream';
import type { WebSocket } from 'ws';

/** A line that has this much waiting to go out is behind: it gets the whole state once it can take it, and no events before. */
const MOST_BUFFERED = 512 * 1024;

/**
 * One window's line. It takes no more memory than a message or two, however slowly the window reads: events that cannot go
 * out are replaced by the whole state later.
 */
export class Line {
  /** Events of this turn of the event loop; they go out in one write. */
  private queued: string[] = [];
  private onTheWay = 0;
  /** The whole state goes out as soon as nothing else is on its way. */
  private isBehind = false;

  /**
   * @param stream what the socket writes to, so that what is told in one turn goes out at once; none where it is injected
   * @param whole the whole state as it is now, as JSON; null where there is none any more
   */
  constructor(
    private readonly socket: WebSocket,
    private readonly stream: Duplex | undefined,
    private readonly whole: () => string | null,
  ) {}

  /** Tells an event, in the order of these calls. */
  tell(text: string): void {
    if (this.isBehind) return;
    if (this.socket.bufferedAmount > MOST_BUFFERED) {
      this.isBehind = true;
      return;
    }
    this.queued.push(text);
    if (this.queued.length === 1) queueMicrotask(() => this.flush());
  }

  /** Sends the whole state; while something is on its way once it has gone out, and then as it is by then. */
  show(text?: string): void {
    if (this.onTheWay > 0 || this.queued.length > 0) this.isBehind = true;
    else this.write(text ?? this.whole());
  }

  /** Says something that is no event: it may come between them. */
  say(text: string): void {
    if (this.socket.bufferedAmount <= MOST_BUFFERED) this.write(text);
  }

  /** @param code 1000 where all has been said; a window that is sent away with another code may come back */
  close(code = 1000): void {
    this.flush();
    this.socket.close(code);
  }

  private flush(): void {
    const texts = this.queued;
    this.queued = [];
    if (texts.length > 1) this.stream?.cork();
    for (const text of texts) this.write(text);
    if (texts.length > 1) this.stream?.uncork();
  }

  private write(text: string | null): void {
    if (text === null) return;
    this.onTheWay += 1;
    this.socket.send(text, () => {
      this.onTheWay -= 1;
      if (this.onTheWay > 0 || !this.isBehind) return;
      this.isBehind = false;
      this.write(this.whole());
    });
  }
}
