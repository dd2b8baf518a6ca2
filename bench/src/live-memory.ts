import { zeitpunktTarget } from './targets.js';

// Whether the server's memory stays flat: over minutes of load, and over rooms that are opened, answered in and ended.
const MINUTES = Number(process.env['BENCH_MINUTES'] ?? 10);
const PUPILS = Number(process.env['BENCH_PUPILS'] ?? 1000);
const PER_SECOND = 200;
const ROOMS = 50;

const target = await zeitpunktTarget(PUPILS);
for (let warm = 0; warm < 5; warm++) await target.flash();
console.log(`\nMemory, ${PUPILS} pupils, ${PER_SECOND} answers a second`);
const say = async (when: string) => {
  const { rssMb, heapMb } = await target.server.usage(true);
  console.log(`  ${when.padEnd(24)} ${rssMb.toFixed(0)} MB, of it ${heapMb.toFixed(1)} MB live in the heap`);
};
await say('connected');
for (let minute = 1; minute <= MINUTES; minute++) {
  await target.rate(PER_SECOND, 60);
  await say(`after ${minute} min`);
}
for (let room = 1; room <= ROOMS; room++) {
  await target.openAndEndRoom();
  if (room % 10 === 0) await say(`${room} more rooms ended`);
}
await target.stop();
