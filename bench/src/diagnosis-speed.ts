import { type Answered, diagnose } from '@zeitpunkt/core/diagnosis/diagnose';
import { RUNG_IDS, RUNGS } from '@zeitpunkt/core/ladder/registry';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { QUESTION_KINDS, type Item } from '@zeitpunkt/core/question-kinds/registry';
import { seededRng } from '@zeitpunkt/core/random/rng';
import { bitsOf, designSet } from '@zeitpunkt/core/diagnosis/design-set';
import { poolOf } from '@zeitpunkt/core/diagnosis/pool';
import { simulatedClass } from '@zeitpunkt/core/rehearsal/simulated-class';
import { simulateResponse } from '@zeitpunkt/core/rehearsal/simulated-pupil';
import { median, ms } from './stats.js';

// Diagnosis of 36 pupils × 200 responses, and sets of 10 designed from 5,000 questions: both work in a worker.
const PUPILS = 36;
const RESPONSES = 200;
const rng = seededRng(5);
const rungs = ['quarter-past', 'quarter-to', 'five-past', 'five-to', 'any-minute'] as const;
/** Questions of a term: forty on each of five rungs, of every kind that is usual there. */
const freshItems = (): Item[] =>
  rungs.flatMap((id) =>
    [...poolOf(RESPONSES / rungs.length, RUNGS[id], DEFAULT_SETTINGS, 7)].map((item, index) => ({ ...item, id: `${id}-${index}` })),
  );
const profiles = simulatedClass(PUPILS, RUNGS['five-to'].misconceptions, rng);

function timeOnce(): number {
  const items = freshItems(); // nothing is known of them yet, as when a page has just been opened
  const answers = profiles.map((profile) =>
    items.map((item, index): Answered => ({
      id: String(index),
      item,
      response: simulateResponse(profile, item, DEFAULT_SETTINGS, rng).response,
      settings: DEFAULT_SETTINGS,
      atMs: index,
    })),
  );
  // As they come to a worker: other objects, of which nothing is remembered.
  const sent = structuredClone(answers);
  const settings = structuredClone(DEFAULT_SETTINGS);
  const shared = new Map<string, Item>();
  for (const answered of sent)
    for (const one of answered as { item: Item; settings: typeof settings }[]) {
      one.settings = settings;
      const known = shared.get(one.item.id);
      if (known) one.item = known;
      else shared.set(one.item.id, one.item);
    }
  const start = performance.now();
  for (const answered of sent) diagnose(answered, RESPONSES);
  return performance.now() - start;
}

timeOnce();
const diagnosisMs = median(Array.from({ length: 5 }, timeOnce));
console.log('\nDiagnosis and sets');
console.log(`  ${PUPILS} pupils × ${RESPONSES} responses  ${ms(diagnosisMs)}, ${(diagnosisMs / 300).toFixed(2)} × the goal of 300 ms`);

let slowest = 0;
const ratios: string[] = [];
for (const id of RUNG_IDS) {
  const rung = RUNGS[id];
  const ideas = rung.misconceptions.map((one) => ({ id: one, weight: 1 }));
  const pool = [...poolOf(5000, rung, DEFAULT_SETTINGS, 5)];
  const design = (count: number) =>
    designSet(pool, { count, ideas }, rung, DEFAULT_SETTINGS, seededRng(3), ({ kind }) => QUESTION_KINDS[kind].thinkSec)!;
  const times = Array.from({ length: 3 }, () => {
    const start = performance.now();
    design(10);
    return performance.now() - start;
  });
  slowest = Math.max(slowest, median(times));
  const draw = seededRng(9);
  const ratio = (count: number) => {
    const random = Array.from({ length: 20 }, () =>
      bitsOf(
        Array.from({ length: count }, () => pool[Math.floor(draw() * pool.length)]!),
        ideas,
        DEFAULT_SETTINGS,
        seededRng(1),
        60,
      ),
    );
    return bitsOf(design(count).items, ideas, DEFAULT_SETTINGS, seededRng(1)) / (random.reduce((a, b) => a + b, 0) / random.length);
  };
  ratios.push(`${rung.name} ${ratio(6).toFixed(1)} and ${ratio(10).toFixed(1)}`);
}
console.log(`  10 of 5,000, the slowest rung  ${ms(slowest)}, ${(slowest / 1000).toFixed(2)} × the goal of 1 s`);
console.log(`  information of 6 and of 10 questions as a multiple of a random set’s: ${ratios.join('; ')}`);
