import { draftLesson } from '@zeitpunkt/core/draft/draft';
import { RUNGS, type RungId } from '@zeitpunkt/core/ladder/registry';
import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { generateVoice } from '@zeitpunkt/core/rehearsal/generated-voice';
import { narrationAt } from '@zeitpunkt/core/stage/player';
import { cuesOf } from '@zeitpunkt/core/voice/align';
import { levelsOf } from '@zeitpunkt/core/voice/levels';
import { speechIn } from '@zeitpunkt/core/voice/speech';
import { percentile } from './stats.js';

// How far captions begin from their words, in a generated voice whose phrases are known: from even to halting speech, over the
// words of a drafted lesson of each rung.
const MANNERS = [
  { name: 'even', unevenness: 0.1, hesitation: 0 },
  { name: 'lively', unevenness: 0.25, hesitation: 0.03 },
  { name: 'halting', unevenness: 0.3, hesitation: 0.1 },
  { name: 'very halting, running over full stops', unevenness: 0.4, hesitation: 0.2 },
] as const;
const NOISE = 0.004;

const texts = (Object.keys(RUNGS) as RungId[]).flatMap((rung, seed) => {
  const prepared = prepareLesson(draftLesson({ rung, minutes: 10, seed, delivery: 'recorded', settings: DEFAULT_SETTINGS }));
  return prepared.steps.map(({ ref }) => narrationAt(prepared, ref)).filter((text) => text.trim() !== '');
});
for (const { name, ...manner } of MANNERS) {
  const off: number[] = [];
  texts.forEach((text, seed) => {
    const { samples, rate, phrases } = generateVoice(text, { rate: 8000, wordsPerMinute: 120, seed, noise: NOISE, ...manner });
    const speech = speechIn(levelsOf(samples, rate));
    if (!speech) throw new Error(`Nobody was heard to say “${text}”.`);
    const cues = cuesOf(text, speech.spans, (samples.length * 1000) / rate);
    cues.forEach(({ fromMs }, index) => off.push(Math.abs(fromMs - phrases[index]!.fromMs)));
  });
  const within = off.filter((one) => one <= 300).length / off.length;
  console.log(
    `${name}: ${texts.length} takes, ${off.length} captions; ${(100 * within).toFixed(1)} % begin within 300 ms of their words; ` +
      `half within ${percentile(off, 0.5).toFixed(0)} ms, 95 % within ${percentile(off, 0.95).toFixed(0)} ms`,
  );
}
