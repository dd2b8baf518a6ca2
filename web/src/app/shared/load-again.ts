/** A page that was loaded again just now is not loaded again at once: whatever is wrong with it, that did not help. */
const FRESH_MS = 30_000;

/**
 * Loads the page again, where the server can be reached, because a part of it could not be fetched. A browser keeps that a
 * module failed for as long as the page is open and never asks for it again (HTML Standard, module map): a desk whose line
 * broke in that moment would wait for ever. Nothing is lost by it: answers on their way are kept on the device.
 */
export async function loadAgainIfReachable(): Promise<void> {
  const [loaded] = performance.getEntriesByType('navigation') as PerformanceNavigationTiming[];
  if (loaded?.type === 'reload' && performance.now() < FRESH_MS) return;
  const isReachable = await fetch(location.href, { method: 'HEAD', cache: 'no-store' }).then(
    ({ ok }) => ok,
    () => false,
  );
  if (isReachable) location.reload();
}
