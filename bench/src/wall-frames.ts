import { chromium } from '@playwright/test';
import { CHROMIUM, DemoServer, SIGN_IN } from './demo-server.js';
import { median, ms, percentile } from './stats.js';

// The wall of 36 dials while 36 answers come within a second, over the line: the main thread's longest task and the time
// between frames. A frame of 60 a second has 16.7 ms.
const PUPILS = 36;
const RUNS = 3;
const FRAME_MS = 1000 / 60;

const server = await DemoServer.start();
const browser = await chromium.launch(CHROMIUM);

interface Seen {
  /** Time between frames while answers came, in milliseconds. */
  readonly gaps: readonly number[];
  /** Main-thread work within each frame, in milliseconds: of animation frames, by the clock of the browser. */
  readonly longest: number;
  readonly overMs: number;
  readonly spreadMs: number;
}

async function measure(): Promise<Seen> {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.request.post(`${server.url}/api/sign-in`, { data: SIGN_IN });
  const post = async (path: string, data: object) => {
    const reply = await page.request.post(`${server.url}${path}`, { data });
    return reply.status() === 204 ? null : ((await reply.json()) as { id: string });
  };
  const [lesson] = (await (await page.request.get(`${server.url}/api/lessons`)).json()) as { id: string }[];
  const id = await page.evaluate(() => {
    const hex = (length: number) => Array.from({ length }, () => Math.floor(Math.random() * 16).toString(16)).join('');
    return `${hex(8)}-${hex(4)}-4${hex(3)}-8${hex(3)}-${hex(12)}`;
  });
  await post('/api/rehearsals', { id, lessonId: lesson!.id });
  const wish = { count: PUPILS, rung: null, ideas: null, slowness: 0.05, carelessness: 0.06, dropOuts: 0, seed: 5 };
  await post(`/api/sessions/${id}/simulated`, wish);
  await page.goto(`${server.url}/console/${id}`);
  await page.getByRole('button', { name: `${PUPILS} of ${PUPILS} are in` }).waitFor();
  const command = (told: object, number: number) =>
    post(`/api/sessions/${id}/commands`, { id: id.replace(/^.{8}/, String(10_000_000 + number)), command: told });
  await command({ type: 'begin' }, 1);
  // Once, so that what is loaded when it is asked for is there: then the question whose hands are set, a dial for each pupil.
  await command({ type: 'go', to: { beatId: 'b6', step: 'beat' } }, 2);
  await page.getByText(`${PUPILS} of ${PUPILS} answered`).waitFor();
  await page.evaluate(() => {
    const seen = { gaps: [] as number[], tasks: [] as number[], arrivals: [] as number[] };
    (window as unknown as { seen: typeof seen }).seen = seen;
    let last = performance.now();
    const frame = (now: number) => {
      seen.gaps.push(now - last);
      last = now;
      requestAnimationFrame(frame);
    };
    requestAnimationFrame(frame);
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) seen.tasks.push((entry as unknown as { duration: number }).duration);
    }).observe({ type: 'long-animation-frame', buffered: false });
    new MutationObserver(() => seen.arrivals.push(performance.now())).observe(document.querySelector('zp-wall')!, {
      childList: true,
      subtree: true,
    });
  });
  await command({ type: 'go', to: { beatId: 'b9', step: 'beat' } }, 3);
  await page
    .getByText(`0 of ${PUPILS} answered`)
    .or(page.getByText(/^[1-9]\d* of 36 answered/))
    .first()
    .waitFor();
  await page.evaluate(() => {
    const { seen } = window as unknown as { seen: { gaps: number[]; tasks: number[]; arrivals: number[] } };
    seen.gaps.length = seen.tasks.length = seen.arrivals.length = 0;
  });
  await page.getByText(`${PUPILS} of ${PUPILS} answered`).waitFor();
  const seen = await page.evaluate(() => (window as unknown as { seen: { gaps: number[]; tasks: number[]; arrivals: number[] } }).seen);
  await page.close();
  const spreadMs = (seen.arrivals.at(-1) ?? 0) - (seen.arrivals[0] ?? 0);
  return { gaps: seen.gaps, longest: Math.max(0, ...seen.tasks), overMs: seen.gaps.filter((gap) => gap > 1.5 * FRAME_MS).length, spreadMs };
}

const runs: Seen[] = [];
for (let run = 0; run < RUNS; run++) runs.push(await measure());
console.log(`\nWall of ${PUPILS} dials, ${PUPILS} answers over the line within ${ms(median(runs.map(({ spreadMs }) => spreadMs)))}`);
for (const { gaps, overMs, longest } of runs) {
  console.log(
    `  ${gaps.length} frames: p50 ${ms(percentile(gaps, 0.5))}, p95 ${ms(percentile(gaps, 0.95))}, longest ${ms(Math.max(...gaps))}; ` +
      `${overMs} came more than half a frame late; longest frame of over 50 ms of work: ${longest === 0 ? 'none' : ms(longest)}`,
  );
}
await browser.close();
server.stop();
process.exit(0);
