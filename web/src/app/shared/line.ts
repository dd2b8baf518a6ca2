/** What a line reports to the page that opened it. */
export interface LineEvents<Message> {
  readonly message: (message: Message) => void;
  /** The line is open, or lost and being tried again. */
  readonly open: (open: boolean) => void;
}

export interface Line {
  /** Asks for the whole state again. */
  sync(): void;
  close(): void;
}

const FIRST_RETRY_MS = 250;
const LONGEST_RETRY_MS = 4000;

/**
 * A socket to the server that comes back by itself. Every message is checked before anybody sees it; one that does not
 * fit asks for the state again.
 * @param isMessage precompiled validator of the messages
 */
export function openLine<Message>(path: string, isMessage: (data: unknown) => data is Message, events: LineEvents<Message>): Line {
  const url = new URL(path, location.href);
  url.protocol = url.protocol === 'https:' ? 'wss:' : 'ws:';
  let socket: WebSocket | null = null;
  let retryMs = FIRST_RETRY_MS;
  let timer = 0;
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
      if (isMessage(message)) events.message(message);
      else sync();
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
  const tryNow = () => {
    if (socket?.readyState === WebSocket.CLOSED) connect();
  };
  window.addEventListener('online', tryNow);
  document.addEventListener('visibilitychange', tryNow); // a tablet that slept has lost its line without noticing
  connect();

  return {
    sync,
    close() {
      closed = true;
      window.clearTimeout(timer);
      window.removeEventListener('online', tryNow);
      document.removeEventListener('visibilitychange', tryNow);
      socket?.close();
    },
  };
}
