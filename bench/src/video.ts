import { chromium, type Page } from '@playwright/test';
import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import { generateVoice, wavFile } from '@zeitpunkt/core/rehearsal/generated-voice';
import { fingerprintOf } from '@zeitpunkt/core/voice/fingerprint';
import { randomUUID } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { CHROMIUM, DemoServer, SIGN_IN } from './demo-server.js';
import { median } from './stats.js';

// Videos of 1280 × 720 at 30 frames a second: a lesson of 20 s in which the hands move all the time, with display, count, captions
// in the picture and a voice, beside the bare floor of the same length in the same browser; three paired runs for each format.
// With BENCH_LONG=1 also a lesson of 20 minutes, and how much memory the browser takes while it is made.
const SECONDS = 20;
const RUNS = Number(process.env['BENCH_RUNS'] ?? 3);
const FLOOR = readFileSync(join('node_modules/.cache/zeitpunkt/bench/video-floor.worker.js'), 'utf8');
const FORMATS = [
  { name: 'MP4', container: 'mp4', video: 'avc', audio: 'opus' },
  { name: 'WebM: plays in browsers', container: 'webm', video: 'vp9', audio: 'opus' },
] as const;

const SAID = 'The long hand goes all the way round, and the short hand moves along with it, from seven to eight. '.repeat(3).trim();

/** A lesson of so many sweeps of about twenty seconds each. */
const lessonOf = (title: string, sweeps: number) => ({
  format: 'zeitpunkt-lesson',
  formatVersion: 3,
  title,
  goal: 'I can see both hands move.',
  successCriteria: [],
  targetMinutes: Math.max(1, Math.round((sweeps * SECONDS) / 60)),
  settings: {
    readingOrder: 'hour-first',
    betweenRule: 'passed',
    pack: 'en-GB',
    separator: ':',
    strictness: 'right-side',
    wordsPerMinute: 180,
  },
  items: [],
  beats: Array.from({ length: sweeps }, (_, index) => ({
    id: `b${index + 1}`,
    kind: 'sweep',
    fromSec: (7 + (index % 4)) * 3600,
    toSec: (8 + (index % 4)) * 3600,
    turnSeconds: SECONDS,
    count: 'fives',
    stops: [],
    text: SAID,
  })),
});

/** Takes a lesson in and gives every step a take. @returns its id */
async function recorded(page: Page, url: string, title: string, sweeps: number): Promise<string> {
  const lessonId = randomUUID();
  const post = async (path: string, data: unknown, type = 'application/json') => {
    const reply = await page.request.post(`${url}${path}`, { data: data as object, headers: { 'content-type': type } });
    if (!reply.ok()) throw new Error(`${path}: ${reply.status()} ${await reply.text()}`);
  };
  await post('/api/lessons/files', { id: lessonId, file: lessonOf(title, sweeps) });
  const { samples, rate } = generateVoice(SAID, { rate: 8000, wordsPerMinute: 180, seed: 1 });
  const sound = Buffer.from(wavFile(samples.subarray(0, (SECONDS - 1) * rate), rate));
  const prepared = prepareLesson(lessonOf(title, sweeps) as never);
  const fingerprints = prepared.steps.map(({ ref }) => fingerprintOf(prepared, ref));
  for (const [index, fingerprint] of fingerprints.entries()) {
    const [id, at, mime] = [randomUUID(), { beatId: `b${index + 1}`, step: 'beat' }, 'audio/wav'];
    await post(`/api/lessons/${lessonId}/takes`, { id, at, mime });
    await post(`/api/lessons/${lessonId}/takes/${id}/sound/0?mime=audio/wav&bytes=${sound.length}`, sound, 'application/octet-stream');
    const cues = Array.from({ length: 6 }, (_, cue) => ({
      fromMs: cue * 3000,
      toMs: cue * 3000 + 2800,
      text: 'The long hand goes all the way round.',
    }));
    const times = { durationMs: (SECONDS - 1) * 1000, speechDb: -20, speech: [{ fromMs: 0, toMs: 18_000 }], cues, cuesEdited: false };
    await post(`/api/lessons/${lessonId}/takes/${id}`, { id, at, mime, said: SAID, fingerprint, madeAtMs: Date.now(), ...times });
  }
  return lessonId;
}

/** Makes a film as a teacher does. @returns how long it took, in milliseconds */
async function makeFilm(page: Page, format: string): Promise<number> {
  await page.getByRole('combobox', { name: 'Kind of file' }).click();
  await page.getByRole('option', { name: new RegExp(`^${format}`) }).click();
  return page.evaluate(
    () =>
      new Promise<number>((resolve, reject) => {
        const began = performance.now();
        const button = [...document.querySelectorAll('button')].find((one) => /^\s*Make/.test(one.textContent))!;
        new MutationObserver(() => {
          if (document.querySelector('[role=alert]')) reject(new Error(document.querySelector('[role=alert]')!.textContent));
          if (document.body.textContent.includes('The video is made') && !document.querySelector('mat-progress-bar'))
            resolve(performance.now() - began);
        }).observe(document.body, { childList: true, subtree: true });
        button.click();
      }),
  );
}

async function floor(page: Page, format: (typeof FORMATS)[number]): Promise<number> {
  return page.evaluate(
    (wish) =>
      new Promise<number>((resolve) => {
        const worker = new Worker('/bench-video-floor.js');
        worker.onmessage = ({ data }) => {
          worker.terminate();
          resolve(data as number);
        };
        worker.postMessage(wish);
      }),
    { container: format.container, video: format.video, audio: format.audio, seconds: SECONDS },
  );
}

/** Memory of all processes of this browser that show pages or make videos, in MB. Shared pages are counted once (PSS). */
function browserMegabytes(): number {
  let kilobytes = 0;
  for (const pid of readdirSync('/proc').filter((name) => /^\d+$/.test(name))) {
    try {
      if (!readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes('--type=renderer')) continue;
      kilobytes += Number(/^Pss:\s+(\d+)/m.exec(readFileSync(`/proc/${pid}/smaps_rollup`, 'utf8'))?.[1] ?? 0);
    } catch {
      continue; // the process has ended meanwhile
    }
  }
  return kilobytes / 1024;
}

const server = await DemoServer.start();
const browser = await chromium.launch(CHROMIUM);
const page = await (await browser.newContext({ acceptDownloads: true })).newPage();
await page.addInitScript(() => Reflect.deleteProperty(window, 'showSaveFilePicker'));
await page.route('**/bench-video-floor.js', (route) => route.fulfill({ contentType: 'text/javascript', body: FLOOR }));
await page.request.post(`${server.url}/api/sign-in`, { data: SIGN_IN });

const short = await recorded(page, server.url, 'Twenty seconds', 1);
await page.goto(`${server.url}/lessons/${short}/video`);
await page.getByRole('combobox', { name: 'Kind of file' }).waitFor();
for (const format of FORMATS) {
  const [floors, ours]: [number[], number[]] = [[], []];
  for (let run = 0; run < RUNS; run++) {
    floors.push(await floor(page, format));
    ours.push(await makeFilm(page, format.name));
  }
  const [bare, full] = [median(floors), median(ours)];
  console.log(
    `${format.container}, ${format.video} + ${format.audio}: ${(full / 1000).toFixed(1)} s for ${SECONDS} s of moving hands, bare floor ` +
      `${(bare / 1000).toFixed(1)} s: speed ${(bare / full).toFixed(2)} × the floor (goal 0.7)`,
  );
}
const lessons = (await (await page.request.get(`${server.url}/api/lessons`)).json()) as { id: string; title: string }[];
await page.goto(`${server.url}/lessons/${lessons.find(({ title }) => title === 'Quarters at the tide gauge')!.id}/video`);
await page.getByRole('combobox', { name: 'Kind of file' }).waitFor();
const length = /(\d+):(\d\d) long/.exec(await page.getByRole('region', { name: 'How it is made' }).innerText())!;
const lessonSec = Number(length[1]) * 60 + Number(length[2]);
const tookMs = await makeFilm(page, 'MP4');
console.log(
  `the demo's recorded lesson, ${length[1]}:${length[2]} as MP4: ${(tookMs / 1000).toFixed(0)} s, ${((lessonSec * 1000) / tookMs).toFixed(1)} × real time`,
);

if (process.env['BENCH_LONG']) {
  const long = await recorded(page, server.url, 'Twenty minutes', 60);
  await page.goto(`${server.url}/lessons/${long}/video`);
  await page.getByRole('combobox', { name: 'Kind of file' }).waitFor();
  const idle = browserMegabytes();
  const seen: number[] = [];
  const timer = setInterval(() => seen.push(browserMegabytes()), 2000);
  const took = await makeFilm(page, 'MP4');
  clearInterval(timer);
  const third = (part: number) => median(seen.slice(Math.floor((seen.length * part) / 3), Math.ceil((seen.length * (part + 1)) / 3)));
  console.log(
    `20 minutes as MP4: ${(took / 1000).toFixed(0)} s; memory of the page and its worker ${idle.toFixed(0)} MB before, then by thirds ` +
      `${third(0).toFixed(0)}, ${third(1).toFixed(0)}, ${third(2).toFixed(0)} MB, highest ${Math.max(...seen).toFixed(0)} MB (goal: below 400, flat)`,
  );
}
await browser.close();
server.stop();
