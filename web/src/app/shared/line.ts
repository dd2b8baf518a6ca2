/** What a line reports to the page that opened it. */
export interface LineEvents<Message> {
  readonly message: (message: Message) => void;
  /** The line is open, or lost and being tried again. */
  readonly open: (open: boolean) => void;
  /** The server serves another build of the application than this page is of. */
  readonly outdated: () => void;
}

export interface Line {
  /** Asks for the whole state again. */
  sync(): void;
  /** Asks whether the line still carries anything: one that does not answer is given up and opened anew. */
  check(): void;
  /** What came fits no more than the shell of a message: the state is asked for again, ever more slowly. */
  refuse(): void;
  close(): void;
}

const FIRST_RETRY_MS = 250;
const LONGEST_RETRY_MS = 4000;
/** A line on which nothing was heard for so long is asked whether it still carries anything; without an answer it is given up. */
const QUIET_MS = 6000;
const ANSWER_MS = 6000;
/** A server whose messages this page cannot read is asked again at most this seldom. */
const LONGEST_REFUSAL_MS = 60_000;

/** Which build of the application this page is of, as the server wrote it into the page; empty where it did not. */
function ownBuild(): string {
  const build = document.querySelector<HTMLMetaElement>('meta[name="zeitpunkt-build"]')?.content ?? '';
  return build === 'BUILD_ID' ? '' : build;
}

/**
 * A socket to the server that comes back by itself. Every message is checked before anybody sees it; one that does not
 * fit asks for the state again, after a pause that grows as long as nothing fits.
 * @param isMessage precompiled validator of the messages
 */
export const openLine = <Message extends { readonly type: string }>(
  path: string,
  isMessage: (data: unknown) => data is Message,
  events: LineEvents<Message>,
): Line => new ReconnectingLine(path, isMessage, events);

class ReconnectingLine<Message extends { readonly type: string }> implements Line {
  private readonly url: URL;
  private socket: WebSocket | null = null;
  private retryMs = FIRST_RETRY_MS;
  private refusalMs = FIRST_RETRY_MS;
  private timer = 0;
  private refusal = 0;
  private refusedAtMs = -Infinity;
  private closed = false;
  /** Runs while nothing is heard: until the line is asked, and then until it has to have answered. */
  private quiet = 0;

  constructor(
    path: string,
    private readonly isMessage: (data: unknown) => data is Message,
    private readonly events: LineEvents<Message>,
  ) {
    this.url = new URL(path, location.href);
    this.url.protocol = this.url.protocol === 'https:' ? 'wss:' : 'ws:';
    window.addEventListener('online', this.tryNow);
    document.addEventListener('visibilitychange', this.tryNow); // a tablet that slept has lost its line without noticing
    this.connect();
  }

  sync(): void {
    if (this.socket?.readyState === WebSocket.OPEN) this.socket.send('{"type":"sync"}');
  }

  /** A line can be dead without being closed: a tablet that slept, a mast that was changed, a proxy that swallows. */
  check(): void {
    window.clearTimeout(this.quiet);
    if (this.closed || this.socket?.readyState !== WebSocket.OPEN) return;
    this.socket.send('{"type":"ping"}');
    this.quiet = window.setTimeout(() => this.giveUp(), ANSWER_MS);
  }

  refuse(): void {
    if (this.refusal !== 0) return; // asked for already
    if (Date.now() - this.refusedAtMs > 2 * LONGEST_REFUSAL_MS) this.refusalMs = FIRST_RETRY_MS;
    this.refusedAtMs = Date.now();
    this.refusal = window.setTimeout(() => {
      this.refusal = 0;
      this.sync();
    }, this.refusalMs);
    this.refusalMs = Math.min(this.refusalMs * 2, LONGEST_REFUSAL_MS);
  }

  close(): void {
    this.closed = true;
    for (const timer of [this.timer, this.quiet, this.refusal]) window.clearTimeout(timer);
    window.removeEventListener('online', this.tryNow);
    document.removeEventListener('visibilitychange', this.tryNow);
    this.socket?.close();
  }

  private connect(): void {
    window.clearTimeout(this.timer);
    const opened = new WebSocket(this.url);
    this.socket = opened;
    opened.onopen = () => {
      this.retryMs = FIRST_RETRY_MS;
      this.events.open(true);
      this.heard();
    };
    opened.onmessage = ({ data }: MessageEvent<string>) => {
      if (this.socket === opened) this.take(JSON.parse(data)); // given up already: what it says late is old
    };
    opened.onclose = () => {
      if (this.closed || this.socket !== opened) return;
      window.clearTimeout(this.quiet);
      this.events.open(false);
      this.timer = window.setTimeout(() => this.connect(), this.retryMs);
      this.retryMs = Math.min(this.retryMs * 2, LONGEST_RETRY_MS);
    };
  }

  private take(message: unknown): void {
    this.heard();
    if (isPong(message)) return;
    if (isHello(message)) {
      if (message.build && ownBuild() && message.build !== ownBuild()) this.events.outdated();
    } else if (this.isMessage(message)) this.events.message(message);
    else this.refuse();
  }

  private heard(): void {
    window.clearTimeout(this.quiet);
    this.quiet = window.setTimeout(() => this.check(), QUIET_MS);
  }

  private giveUp(): void {
    const dead = this.socket;
    this.socket = null;
    this.events.open(false);
    this.connect();
    dead?.close();
  }

  private readonly tryNow = (): void => {
    if (document.visibilityState === 'hidden') return;
    if (this.socket?.readyState === WebSocket.CLOSED) return this.connect();
    this.sync();
    this.check();
  };
}

const isPong = (message: unknown): boolean => (message as { readonly type?: unknown } | null)?.type === 'pong';

function isHello(message: unknown): message is { readonly type: 'hello'; readonly build: string } {
  const hello = message as { readonly type?: unknown; readonly build?: unknown } | null;
  return hello?.type === 'hello' && typeof hello.build === 'string';
}
