import { randomUUID } from 'node:crypto';
import { setTimeout as sleep } from 'node:timers/promises';
import { median, ms, percentile } from './stats.js';
import { floorTarget, type HeardOnWall, type Target, zeitpunktTarget } from './targets.js';

// Answer → acknowledged → on the teacher's wall, steady and all at once, and a question opened in every room at once, with
// 30 and with 300 pupils, beside the bare floor. Medians of paired runs; every figure a ratio to the floor of the same run.
const RUNS = Number(process.env['BENCH_RUNS'] ?? 3);
/** A class and ten classes; `BENCH_PUPILS=1000` loads a whole region. */
const PUPIL_COUNTS = (process.env['BENCH_PUPILS'] ?? '30,300').split(',').map(Number);
const STEADY_PER_SECOND = 200;
const STEADY_ANSWERS = 600;

interface Measured {
  readonly acknowledged: readonly number[];
  readonly onWall: readonly number[];
}

async function load(target: Target, wall: Map<string, number>, pattern: 'steady' | 'flash'): Promise<Measured> {
  const acknowledged: number[] = [];
  const sentAt = new Map<string, number>();
  const answer = async (pupil: Target['pupils'][number]) => {
    const id = randomUUID();
    const start = performance.now();
    sentAt.set(id, start);
    await pupil.answer(id);
    acknowledged.push(performance.now() - start);
  };
  const count = pattern === 'steady' ? STEADY_ANSWERS : target.pupils.length;
  const start = performance.now();
  const all: Promise<void>[] = [];
  for (let sent = 0; sent < count; sent++) {
    const waitMs = pattern === 'steady' ? start + (sent * 1000) / STEADY_PER_SECOND - performance.now() : 0;
    if (waitMs > 0) await sleep(waitMs);
    all.push(answer(target.pupils[sent % target.pupils.length]!));
  }
  await Promise.all(all);
  while ([...sentAt.keys()].some((id) => !wall.has(id))) await sleep(5);
  return { acknowledged, onWall: [...sentAt].map(([id, at]) => wall.get(id)! - at) };
}

async function measure(make: (heard: HeardOnWall) => Promise<Target>) {
  const wall = new Map<string, number>();
  const target = await make((id) => wall.set(id, performance.now()));
  for (let warm = 0; warm < 3; warm++) await load(target, wall, 'flash'); // compiled code, open lines
  const opened: number[] = [];
  for (let time = 0; time < 5; time++) opened.push(await target.openQuestion());
  const measured = {
    opened,
    steady: await load(target, wall, 'steady'),
    flash: await load(target, wall, 'flash'),
    memoryMb: target.memoryMb(),
  };
  await target.stop();
  return measured;
}

for (const pupils of PUPIL_COUNTS) {
  const ratios = new Map<string, number[]>();
  const lastRun = new Map<string, string>();
  const note = (name: string, ours: number, floor: number) => {
    ratios.set(name, [...(ratios.get(name) ?? []), ours / floor]);
    lastRun.set(name, `${ms(ours)} against ${ms(floor)}`);
  };
  let memory = '';
  for (let run = 0; run < RUNS; run++) {
    const floor = await measure((heard) => floorTarget(pupils, heard));
    const ours = await measure((heard) => zeitpunktTarget(pupils, heard));
    for (const pattern of ['steady', 'flash'] as const) {
      for (const part of [0.5, 0.95, 0.99]) {
        note(
          `${pattern}, acknowledged p${part * 100}`,
          percentile(ours[pattern].acknowledged, part),
          percentile(floor[pattern].acknowledged, part),
        );
      }
      note(`${pattern}, on the wall p95`, percentile(ours[pattern].onWall, 0.95), percentile(floor[pattern].onWall, 0.95));
    }
    note('opened, the last desk has it', median(ours.opened), median(floor.opened));
    memory = `memory: server ${ours.memoryMb.toFixed(0)} MB, floor ${floor.memoryMb.toFixed(0)} MB`;
  }
  console.log(`\n${pupils} pupils, medians of ${RUNS} paired runs, grouped floor (last run in ms)`);
  for (const [name, values] of ratios) console.log(`  ${name.padEnd(30)} ${median(values).toFixed(2)} × floor   ${lastRun.get(name)}`);
  console.log(`  ${memory}`);
}
