import { median, ms } from './stats.js';
import { floorTarget, type Target, zeitpunktTarget } from './targets.js';

// Answer → acknowledged → on the teacher's wall, beside the bare floor: steady, all at once, and as many as it can take; and
// a question opened in every room at once. Medians of paired runs; every figure a ratio to the floor of the same run.
const RUNS = Number(process.env['BENCH_RUNS'] ?? 3);
const PUPIL_COUNTS = (process.env['BENCH_PUPILS'] ?? '30,1000').split(',').map(Number);
const STEADY_PER_SECOND = 200;
const STEADY_SECONDS = 5;
/** Answers a second that are tried, until they are not acknowledged in time any more. */
const RAMP = [500, 1000, 1500, 2000, 3000, 4000, 5000, 6000, 7000, 8000, 9000, 10_000, 12_000, 14_000];
const RAMP_SECONDS = 1.5;
const IN_TIME_MS = 100;

type Figures = Readonly<Record<string, number>>;

async function measure(make: () => Promise<Target>): Promise<Figures> {
  const target = await make();
  const memory = async () => (await target.server.usage()).rssMb;
  for (let warm = 0; warm < 5; warm++) await target.flash(); // compiled code, open lines
  const connectedMb = await memory();
  const opened: number[] = [];
  for (let time = 0; time < 5; time++) opened.push(await target.openQuestion());
  const before = await target.server.usage();
  const steady = await target.rate(STEADY_PER_SECOND, STEADY_SECONDS);
  const after = await target.server.usage();
  const flashes = [await target.flash(), await target.flash(), await target.flash()];
  const flash = (of: 'p50' | 'p95' | 'wallP95') => median(flashes.map((one) => one[of]));
  let highest = 0;
  for (const perSecond of RAMP) {
    const { p95, rate } = await target.rate(perSecond, RAMP_SECONDS);
    if (p95 > IN_TIME_MS || rate < perSecond * 0.9) break;
    highest = perSecond;
  }
  const rampMb = await memory();
  await target.stop();
  return {
    'steady, acknowledged p50, ms': steady.p50,
    'steady, acknowledged p95, ms': steady.p95,
    'steady, acknowledged p99, ms': steady.p99,
    'steady, on the wall p95, ms': steady.wallP95,
    'processor time an answer, ms': (after.cpuMs - before.cpuMs) / steady.answers,
    'flash, acknowledged p50, ms': flash('p50'),
    'flash, acknowledged p95, ms': flash('p95'),
    'flash, on the wall p95, ms': flash('wallP95'),
    'opened, the last desk has it, ms': median(opened),
    [`highest rate, p95 ≤ ${IN_TIME_MS} ms, a second`]: highest,
    'memory, connected, MB': connectedMb,
    'memory, after the ramp, MB': rampMb,
  };
}

for (const pupils of PUPIL_COUNTS) {
  const runs: { readonly floor: Figures; readonly ours: Figures }[] = [];
  for (let run = 0; run < RUNS; run++) {
    runs.push({ floor: await measure(() => floorTarget(pupils)), ours: await measure(() => zeitpunktTarget(pupils)) });
  }
  console.log(`\n${pupils} pupils, medians of ${RUNS} paired runs`);
  for (const name of Object.keys(runs[0]!.ours)) {
    const [floor, ours] = [median(runs.map((run) => run.floor[name]!)), median(runs.map((run) => run.ours[name]!))];
    const ratio = median(runs.map((run) => run.ours[name]! / run.floor[name]!));
    const value = (figure: number) => (name.endsWith(', ms') ? ms(figure) : String(Math.round(figure)));
    console.log(`  ${name.padEnd(42)} ${ratio.toFixed(2)} × floor   ${value(ours)} against ${value(floor)}`);
  }
}
