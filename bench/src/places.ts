import { chromium, type Page } from '@playwright/test';
import { randomUUID } from 'node:crypto';
import { CHROMIUM, DemoServer, SIGN_IN } from './demo-server.js';

// What a place of the teacher costs when it opens, with a class of 36 and a hundred lessons: the longest piece of work that held up
// the page. A frame that takes longer is seen.
const GOAL_MS = 50;
const PUPILS = 36;
const LESSONS = 100;
const RUNS = 5;
/** Each with what is there once it has opened. */
const PLACES: readonly (readonly [place: string, shows: string])[] = [
  ['Ladder', 'zp-ladder-drawn ol'],
  ['Lessons', '#group-drafts'],
  ['Class', 'zp-pupil-table'],
  ['School', '#people'],
  ['Today', 'zp-next-lesson section'],
];

const server = await DemoServer.start();
const browser = await chromium.launch(CHROMIUM);
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
await fill(page);
await page.addInitScript(() => {
  const tasks: number[] = [];
  Object.assign(window, { longTasks: tasks });
  new PerformanceObserver((list) => tasks.push(...list.getEntries().map(({ duration }) => duration))).observe({ type: 'longtask' });
});
await page.goto(`${server.url}/today`, { waitUntil: 'networkidle' });
const longest = new Map(PLACES.map(([place]) => [place, [] as number[]]));
for (let run = 0; run <= RUNS; run++) {
  for (const [place, shows] of PLACES) {
    await page.evaluate(() => (window as unknown as { longTasks: number[] }).longTasks.splice(0));
    await page.getByRole('navigation', { name: 'Places' }).getByRole('link', { name: place, exact: true }).click();
    await page.waitForSelector(shows);
    await page.waitForLoadState('networkidle');
    const tasks = await page.evaluate(() => (window as unknown as { longTasks: number[] }).longTasks);
    // The first time the parts of the place are fetched and read, too.
    if (run > 0) longest.get(place)!.push(Math.max(0, ...tasks));
  }
}
console.log(`\nOpening a place, ${PUPILS} pupils and ${LESSONS} lessons: the longest work in one piece; 0 is less than ${GOAL_MS} ms`);
for (const [place, all] of longest) {
  const median = [...all].sort((one, other) => one - other)[Math.floor(all.length / 2)]!;
  console.log(
    `  ${place.padEnd(10)} median ${median.toFixed(0)} ms, worst ${Math.max(...all).toFixed(0)} ms, ${(median / GOAL_MS).toFixed(2)} of the goal`,
  );
}
await browser.close();
server.stop();

/** The class of the demo becomes full, and its lessons a hundred. */
async function fill({ request }: Page): Promise<void> {
  const post = (path: string, data: object) => request.post(server.url + path, { data });
  const get = async <T>(path: string): Promise<T> => (await request.get(server.url + path)).json() as Promise<T>;
  await post('/api/sign-in', SIGN_IN);
  const [terns] = await get<{ id: string; pupilCount: number }[]>('/api/classes');
  const pupils = Array.from({ length: PUPILS - terns!.pupilCount }, (_, index) => ({ id: randomUUID(), name: `Newcomer ${index + 1}`, reference: null })); // prettier-ignore
  await post(`/api/classes/${terns!.id}/pupils`, { pupils });
  const lessons = await get<{ id: string }[]>('/api/lessons');
  const { lesson } = await get<{ lesson: object }>(`/api/lessons/${lessons.at(-1)!.id}`);
  for (let at = lessons.length; at < LESSONS; at++)
    await post('/api/lessons/files', { id: randomUUID(), file: { ...lesson, title: `Lesson ${at + 1}` } });
}
