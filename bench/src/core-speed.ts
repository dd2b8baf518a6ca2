import { gearedPose } from '@zeitpunkt/core/dial/pose';
import { draftLesson } from '@zeitpunkt/core/draft/draft';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { dialScene } from '@zeitpunkt/core/scene/dial-scene';
import { dialOf, TEACHING_LAYERS } from '@zeitpunkt/core/scene/dial-state';
import { stageScene } from '@zeitpunkt/core/scene/stage-scene';
import { stageAt } from '@zeitpunkt/core/stage/player';
import { wrapSecondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { checkLesson } from '@zeitpunkt/core/checker-rules/check';
import { readFileSync } from 'node:fs';
import { median, ms } from './stats.js';

// How many stages and scenes the core builds in a second.
const lesson = JSON.parse(readFileSync('server/src/features/lessons/starter/half-past-at-the-harbour.lesson.json', 'utf8')) as Lesson;
const prepared = prepareLesson(lesson);
const GOAL = 50_000;

function perSecond(work: (turn: number) => unknown): number {
  for (let turn = 0; turn < 2000; turn++) work(turn);
  const start = performance.now();
  let turns = 0;
  while (performance.now() - start < 1000) for (let batch = 0; batch < 200; batch++) work(turns++);
  return (turns * 1000) / (performance.now() - start);
}

const stages = perSecond((turn) => stageScene(stageAt(prepared, prepared.steps[turn % prepared.steps.length]!.ref, (turn * 37) % 20_000)));
const layers = { ...TEACHING_LAYERS, hourZones: true, quarters: true, shaded: true };
const dials = perSecond((turn) => dialScene(dialOf(gearedPose(wrapSecondOfDay(turn)), layers)));
/** Milliseconds of some work, the median of several times. */
function msOf(work: () => unknown): number {
  const times = Array.from({ length: 15 }, () => {
    const start = performance.now();
    work();
    return performance.now() - start;
  });
  return median(times);
}
const wish = { rung: 'five-to', minutes: 20, delivery: 'live', settings: DEFAULT_SETTINGS } as const;
let seed = 0;
const draftMs = msOf(() => draftLesson({ ...wish, seed: (seed += 1) }));
const long = draftLesson({ ...wish, minutes: 40, seed: 1 });
const beats = Array.from({ length: 120 }, (_, index) => long.beats[index % long.beats.length]!).map((beat, index) => ({
  ...beat,
  id: `b${index}`,
}));
const checkMs = msOf(() => checkLesson({ ...long, beats }));
console.log('\nCore');
console.log(`  draft of 20 minutes  ${ms(draftMs)}, ${(draftMs / 300).toFixed(2)} × the goal of 300 ms`);
console.log(`  checker, 120 beats   ${ms(checkMs)}, ${(checkMs / 50).toFixed(2)} × the goal of 50 ms`);
console.log(`  stageAt + scene   ${Math.round(stages).toLocaleString('en')} a second, ${(stages / GOAL).toFixed(1)} × the goal`);
console.log(`  dial, all layers  ${Math.round(dials).toLocaleString('en')} a second`);
