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
  /** What came fits no more than the shell of a message: the state is asked for again, ever more slowly. */
  refuse(): void;
  close(): void;
}

const FIRST_RETRY_MS = 250;
const LONGEST_RETRY_MS = 4000;
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

  const connect = () => {
    window.clearTimeout(timer);
    const opened = new WebSocket(url);
    socket = opened;
    opened.onopen = () => {
      retryMs = FIRST_RETRY_MS;
      events.open(true);
    };
    opened.onmessage = ({ data }: MessageEvent<string>) => {
      const message: unknown = JSON.parse(data);
      if (isHello(message)) {
        if (message.build && ownBuild() && message.build !== ownBuild()) events.outdated();
      } else if (isMessage(message)) events.message(message);
      else refuse();
    };
    opened.onclose = () => {
      if (closed || socket !== opened) return;
      events.open(false);
      timer = window.setTimeout(connect, retryMs);
      retryMs = Math.min(retryMs * 2, LONGEST_RETRY_MS);
    };
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
    if (socket?.readyState === WebSocket.CLOSED) connect();
  };
  window.addEventListener('online', tryNow);
  document.addEventListener('visibilitychange', tryNow); // a tablet that slept has lost its line without noticing
  connect();
  return {
    sync,
    refuse,
    close() {
      closed = true;
      window.clearTimeout(timer);
      window.clearTimeout(refusal);
      window.removeEventListener('online', tryNow);
      document.removeEventListener('visibilitychange', tryNow);
      socket?.close();
    },
  };
}

function isHello(message: unknown): message is { readonly type: 'hello'; readonly build: string } {
  const hello = message as { readonly type?: unknown; readonly build?: unknown } | null;
  return hello?.type === 'hello' && typeof hello.build === 'string';
}
