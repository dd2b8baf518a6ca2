import { chromium, type Page } from '@playwright/test';
import { CHROMIUM, DemoServer, SIGN_IN } from './demo-server.js';
import { median, ms, percentile } from './stats.js';

// Main-thread work per frame while hands are dragged and swept with all layers on, beside a bare SVG dial of 90 elements
// that gets the same pointer events and answers each with two transforms, or two transforms a frame; and the time from a key to the changed picture, here and in the window that pupils see.
const FRAMES = 150;
const RUNS = 7;

interface Cost {
  readonly taskMs: number;
  readonly layouts: number;
}

/** Main-thread time and layouts of some work, per frame. */
async function costOf(page: Page, work: () => Promise<unknown>): Promise<Cost> {
  const session = await page.context().newCDPSession(page);
  await session.send('Performance.enable');
  const read = async () => {
    const { metrics } = await session.send('Performance.getMetrics');
    const value = (name: string) => metrics.find((metric) => metric.name === name)?.value ?? 0;
    return {
      task: value('TaskDuration'),
      layouts: value('LayoutCount'),
      frames: await page.evaluate(() => (window as unknown as { frames: number }).frames),
    };
  };
  const before = await read();
  await work();
  const after = await read();
  const frames = Math.max(1, after.frames - before.frames);
  return { taskMs: ((after.task - before.task) * 1000) / frames, layouts: (after.layouts - before.layouts) / frames };
}

const countFrames = (page: Page) =>
  page.evaluate(() => {
    const counter = window as unknown as { frames: number };
    counter.frames = 0;
    const count = () => {
      counter.frames += 1;
      requestAnimationFrame(count);
    };
    count();
  });

/** One pointer move a frame, round the dial. */
const dragRound = (page: Page, selector: string) =>
  page.evaluate(
    ({ selector, frames }) =>
      new Promise<void>((resolve) => {
        const svg = document.querySelector(selector)!;
        const box = (svg.querySelector('[data-role="dial"] circle') ?? svg).getBoundingClientRect();
        const [cx, cy, r] = [box.x + box.width / 2, box.y + box.height / 2, box.width * 0.42];
        const send = (type: string, deg: number) => {
          const rad = (deg * Math.PI) / 180;
          const place = {
            clientX: cx + r * Math.sin(rad),
            clientY: cy - r * Math.cos(rad),
            pointerId: 1,
            isPrimary: true,
            button: 0,
            bubbles: true,
          };
          svg.dispatchEvent(new PointerEvent(type, place));
        };
        Element.prototype.setPointerCapture = () => undefined; // these pointers are made, not real
        let frame = 0;
        send('pointerdown', 0);
        const move = () => {
          if (frame >= frames) {
            send('pointerup', frame * 6);
            return resolve();
          }
          send('pointermove', (frame += 1) * 6);
          requestAnimationFrame(move);
        };
        move();
      }),
    { selector, frames: FRAMES },
  );

/** Opens a dial of 90 elements whose hands follow the pointer, and nothing else. */
async function openBareDial(page: Page): Promise<void> {
  await page.goto('about:blank');
  await page.evaluate(() => {
    const ticks = Array.from({ length: 88 }, (_, n) => `<path d="M0 -97 L0 -90" transform="rotate(${n * 4})" stroke="black"/>`).join('');
    document.body.innerHTML = `<svg viewBox="-110 -110 220 220" width="630" height="354">${ticks}<path id="a" d="M0 9 L0 -57" stroke="black"/><path id="b" d="M0 9 L0 -90" stroke="black"/></svg>`;
    const svg = document.querySelector('svg')!;
    const box = svg.getBoundingClientRect();
    svg.addEventListener('pointermove', ({ clientX, clientY }) => {
      const deg = (Math.atan2(clientX - box.x - box.width / 2, box.y + box.height / 2 - clientY) * 180) / Math.PI;
      document.getElementById('a')!.setAttribute('transform', `rotate(${deg / 12})`);
      document.getElementById('b')!.setAttribute('transform', `rotate(${deg})`);
    });
  });
  await countFrames(page);
}

const sweepBare = (page: Page) =>
  page.evaluate(
    (frames) =>
      new Promise<void>((resolve) => {
        const [a, b] = [document.getElementById('a')!, document.getElementById('b')!];
        let frame = 0;
        const move = () => {
          a.setAttribute('transform', `rotate(${frame / 2})`);
          b.setAttribute('transform', `rotate(${frame * 6})`);
          if ((frame += 1) > frames) resolve();
          else requestAnimationFrame(move);
        };
        move();
      }),
    FRAMES,
  );

/** From a key to the changed hand, in milliseconds, here and in the other window. */
async function keyToPicture(page: Page, show: Page): Promise<{ here: number[]; there: number[] }> {
  const [here, there]: [number[], number[]] = [[], []];
  const watch = (target: Page) =>
    target.evaluate(
      () =>
        new Promise<number>((resolve) => {
          const observer = new MutationObserver(() => {
            observer.disconnect();
            requestAnimationFrame(() => resolve(performance.timeOrigin + performance.now()));
          });
          observer.observe(document.querySelector('[data-role="minute-hand"]')!, { attributes: true });
        }),
    );
  for (let press = 0; press < 30; press++) {
    const seen = [watch(page), watch(show)] as const;
    await page.waitForTimeout(30);
    const at = await page.evaluate(() => {
      const pressed = performance.timeOrigin + performance.now();
      document.body.dispatchEvent(new KeyboardEvent('keydown', { key: 'ArrowRight', bubbles: true }));
      return pressed;
    });
    here.push((await seen[0]) - at);
    there.push((await seen[1]) - at);
  }
  return { here, there };
}

const server = await DemoServer.start();
const browser = await chromium.launch(CHROMIUM);
const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
const page = await context.newPage();
await page.request.post(`${server.url}/api/sign-in`, { data: SIGN_IN });
const rows: { drag: Cost; sweep: Cost; floor: { drag: Cost; sweep: Cost } }[] = [];
for (let run = 0; run < RUNS; run++) {
  await openBareDial(page);
  const floor = { drag: await costOf(page, () => dragRound(page, 'svg')), sweep: await costOf(page, () => sweepBare(page)) };
  await page.goto(`${server.url}/dials`);
  await page.locator('zp-pointing-stage svg circle').first().waitFor();
  for (const name of ['Zones', 'Quarters', 'Shading', '13 to 24', 'Seconds'])
    await page.locator('zp-layer-panel').getByRole('button', { name, exact: true }).first().click();
  await countFrames(page);
  const drag = await costOf(page, () => dragRound(page, 'zp-pointing-stage svg'));
  await page.getByLabel('Time', { exact: true }).fill('11:55');
  const sweep = await costOf(page, async () => {
    await page.getByRole('button', { name: 'Sweep', exact: true }).click();
    await page.waitForTimeout(4000);
  });
  await page.keyboard.press('Escape');
  rows.push({ floor, drag, sweep });
}
console.log(`\nDial, all layers on: main-thread work per frame, medians of ${RUNS} paired runs`);
for (const kind of ['drag', 'sweep'] as const) {
  const ratio = median(rows.map((row) => row[kind].taskMs / row.floor[kind].taskMs));
  const last = rows.at(-1)!;
  console.log(
    `  ${kind.padEnd(6)} ${ratio.toFixed(2)} × floor   ${ms(last[kind].taskMs)} against ${ms(last.floor[kind].taskMs)}, ${last[kind].layouts.toFixed(2)} layouts against ${last.floor[kind].layouts.toFixed(2)}`,
  );
}
const [show] = await Promise.all([page.waitForEvent('popup'), page.getByRole('button', { name: 'Show to pupils' }).click()]);
await show.locator('svg circle').first().waitFor();
const { here, there } = await keyToPicture(page, show);
console.log(
  `  key to changed picture: p50 ${ms(median(here))}, p95 ${ms(percentile(here, 0.95))}; in the pupils’ window p50 ${ms(median(there))}, p95 ${ms(percentile(there, 0.95))} (goal 50 ms)`,
);
await browser.close();
server.stop();
