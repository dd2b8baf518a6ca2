/** What a browser is asked to wake our worker for, once there is a line. */
export const SEND_ANSWERS = 'send-answers';

/** A part of the page that has just begun is not held up: the desk is kept on the device when nothing else is to be done. */
const idle = (work: () => void) =>
  'requestIdleCallback' in window ? requestIdleCallback(work, { timeout: 10_000 }) : setTimeout(work, 3000);

/** Browsers know background sync or they do not; our types do not. */
type WithSync = ServiceWorkerRegistration & { readonly sync?: { register(tag: string): Promise<void> } };

/**
 * Keeps the desk on this device, so that it opens without a line and can be put among its apps. A device that refuses (a private
 * window, a page that did not come over HTTPS) has the desk as long as there is a line.
 */
export function keepDesk(): void {
  for (const [rel, href] of [
    ['manifest', '/desk.webmanifest'],
    ['apple-touch-icon', '/desk-192.png'],
  ] as const)
    document.head.append(Object.assign(document.createElement('link'), { rel, href }));
  if (!('serviceWorker' in navigator)) return;
  const keep = () =>
    navigator.serviceWorker
      .register('/desk-worker.js', { scope: '/desk' })
      .catch((error: unknown) => console.warn('This device does not keep the desk for a time without a line.', error));
  if (document.readyState === 'complete') idle(() => void keep());
  else addEventListener('load', () => idle(() => void keep()), { once: true });
}

/** Asks the browser to send what waits once there is a line, should the desk be closed by then. Where it cannot, the next visit does. */
export async function sendOnceThereIsALine(): Promise<void> {
  // Where the line is not private there is none, whatever the types say.
  const { serviceWorker } = navigator as Partial<Navigator>;
  const registration = (await serviceWorker?.getRegistration('/desk')) as WithSync | undefined;
  await registration?.sync?.register(SEND_ANSWERS).catch(() => undefined); // not allowed here: the next visit sends
}
