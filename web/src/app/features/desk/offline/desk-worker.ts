import { matchPrecache, precache, cleanupOutdatedCaches, addRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { SEND_ANSWERS } from './keep-desk';
import { sendKept } from './send-kept';

/** Work that the browser lets this worker do, after which it may end it. */
interface Wakes extends Event {
  readonly tag?: string;
  waitUntil(work: Promise<unknown>): void;
}

/** What the desk is made of, written in by the build: the page, its scripts and styles, the views of all kinds, the letters. */
declare const DESK_FILES: readonly { readonly url: string; readonly revision: string | null }[];

/** A server that has not sent the page by then is not waited for, in milliseconds: the desk is here already. */
const PATIENCE_MS = 4000;

/**
 * Keeps the desk on the device, so that it opens without a line. What is kept is what every desk is made of and nothing else: no
 * reply with data in it is ever put into the store, so that nothing of a pupil and no key stands there. The page itself comes from
 * the server whenever that answers, so that an update is there at once; a page that is open keeps the files of its own build.
 */
precache([...DESK_FILES]);
cleanupOutdatedCaches();

registerRoute(
  new NavigationRoute(async ({ request }) => {
    const fresh = await fetch(request, { signal: AbortSignal.timeout(PATIENCE_MS) }).catch(() => null);
    if (fresh && fresh.status < 500) return fresh;
    return (await matchPrecache('/desk')) ?? fresh ?? Response.error();
  }),
);
addRoute();

addEventListener('sync', (event) => {
  const woken = event as Wakes;
  if (woken.tag === SEND_ANSWERS) woken.waitUntil(sendKept());
});
