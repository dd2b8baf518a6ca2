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
export function openLine<Message extends { readonly type: string }>(
  path: string,
  isMessage: (data: unknown) => data is Message,
  events: LineEvents<Message>,
): Line {
  const url = new URL(path, location.href);
  url.protocol = url.protocol === 'https:' ? 'wss:' : 'ws:';
  let socket: WebSocket | null = null;
  let retryMs = FIRST_RETRY_MS;
  let refusalMs = FIRST_RETRY_MS;
  let timer = 0;
  let refusal = 0;
  let refusedAtMs = -Infinity;
  let closed = false;
  /** Runs while nothing is heard: until the line is asked, and then until it has to have answered. */
  let quiet = 0;

  const connect = () => {
    window.clearTimeout(timer);
    const opened = new WebSocket(url);
    socket = opened;
    opened.onopen = () => {
      retryMs = FIRST_RETRY_MS;
      events.open(true);
      heard();
    };
    opened.onmessage = ({ data }: MessageEvent<string>) => {
      if (socket !== opened) return; // given up already: what it says late is old
      heard();
      const message: unknown = JSON.parse(data);
      if (isPong(message)) return;
      if (isHello(message)) {
        if (message.build && ownBuild() && message.build !== ownBuild()) events.outdated();
      } else if (isMessage(message)) events.message(message);
      else refuse();
    };
    opened.onclose = () => {
      if (closed || socket !== opened) return;
      window.clearTimeout(quiet);
      events.open(false);
      timer = window.setTimeout(connect, retryMs);
      retryMs = Math.min(retryMs * 2, LONGEST_RETRY_MS);
    };
  };
  const heard = () => {
    window.clearTimeout(quiet);
    quiet = window.setTimeout(check, QUIET_MS);
  };
  /** A line can be dead without being closed: a tablet that slept, a mast that was changed, a proxy that swallows. */
  const check = () => {
    window.clearTimeout(quiet);
    if (closed || socket?.readyState !== WebSocket.OPEN) return;
    socket.send('{"type":"ping"}');
    quiet = window.setTimeout(giveUp, ANSWER_MS);
  };
  const giveUp = () => {
    const dead = socket;
    socket = null;
    events.open(false);
    connect();
    dead?.close();
  };
  const sync = () => {
    if (socket?.readyState === WebSocket.OPEN) socket.send('{"type":"sync"}');
  };
  const refuse = () => {
    if (refusal !== 0) return; // asked for already
    if (Date.now() - refusedAtMs > 2 * LONGEST_REFUSAL_MS) refusalMs = FIRST_RETRY_MS;
    refusedAtMs = Date.now();
    refusal = window.setTimeout(() => {
      refusal = 0;
      sync();
    }, refusalMs);
    refusalMs = Math.min(refusalMs * 2, LONGEST_REFUSAL_MS);
  };
  const tryNow = () => {
    if (document.visibilityState === 'hidden') return;
    if (socket?.readyState === WebSocket.CLOSED) return connect();
    sync();
    check();
  };
  window.addEventListener('online', tryNow);
  document.addEventListener('visibilitychange', tryNow); // a tablet that slept has lost its line without noticing
  connect();
  return {
    sync,
    check,
    refuse,
    close() {
      closed = true;
      window.clearTimeout(timer);
      window.clearTimeout(quiet);
      window.clearTimeout(refusal);
      window.removeEventListener('online', tryNow);
      document.removeEventListener('visibilitychange', tryNow);
      socket?.close();
    },
  };
}

const isPong = (message: unknown): boolean => (message as { readonly type?: unknown } | null)?.type === 'pong';

function isHello(message: unknown): message is { readonly type: 'hello'; readonly build: string } {
  const hello = message as { readonly type?: unknown; readonly build?: unknown } | null;
  return hello?.type === 'hello' && typeof hello.build === 'string';
}
