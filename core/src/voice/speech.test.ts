import fc from 'fast-check';
import { generateVoice } from '../rehearsal/generated-voice.js';
import { decibelOf, LEVEL_MS, levelsOf } from './levels.js';
import { NEW_WATCH, watchLevel, type LevelFault } from './level-watch.js';
import { shiftSpans, speechIn } from './speech.js';

const RATE = 4000;
const TEXT = 'The mail boat leaves at half past seven. Where is the short hand, and where is the long one?';
const voice = (change: object = {}) => generateVoice(TEXT, { rate: RATE, wordsPerMinute: 120, seed: 3, ...change });

test('full scale is 0 dB, a tenth of it 20 dB less, nothing is −100', () => {
  const flat = (value: number) => new Float32Array(400).fill(value);
  expect(decibelOf(flat(1))).toBe(0);
  expect(decibelOf(flat(0.1))).toBeCloseTo(-20, 3);
  expect(decibelOf(flat(0))).toBe(-100);
  expect(levelsOf(flat(1), RATE)).toEqual(new Float32Array(5));
});

test('speech is found where it is, whatever the silence around it, and the air left is short', () => {
  const { samples, phrases } = voice();
  fc.assert(
    fc.property(fc.integer({ min: 0, max: 3000 }), fc.integer({ min: 0, max: 3000 }), (beforeMs, afterMs) => {
      const sound = new Float32Array(samples.length + ((beforeMs + afterMs) * RATE) / 1000);
      sound.set(samples, (beforeMs * RATE) / 1000);
      const { spans, kept } = speechIn(levelsOf(sound, RATE))!;
      expect(Math.abs(spans[0]!.fromMs - beforeMs - phrases[0]!.fromMs)).toBeLessThanOrEqual(60);
      expect(Math.abs(spans.at(-1)!.toMs - beforeMs - phrases.at(-1)!.toMs)).toBeLessThanOrEqual(120);
      expect(spans[0]!.fromMs - kept.fromMs).toBeLessThanOrEqual(120);
      expect(kept.toMs - spans.at(-1)!.toMs).toBeLessThanOrEqual(220);
    }),
    { numRuns: 15 },
  );
});

test('in a room that is not quiet speech is found all the same; a key that is struck is none', () => {
  const noisy = voice({ noise: 0.02 });
  const [first, last] = [noisy.phrases[0]!, noisy.phrases.at(-1)!];
  const struck = Float32Array.from(noisy.samples);
  struck.fill(0.5, 40, 40 + RATE * 0.03);
  const { spans } = speechIn(levelsOf(struck, RATE))!;
  expect(Math.abs(spans[0]!.fromMs - first.fromMs)).toBeLessThanOrEqual(80);
  expect(Math.abs(spans.at(-1)!.toMs - last.toMs)).toBeLessThanOrEqual(160);
});

test('where nobody speaks there is nothing; where somebody speaks all the time there is all of it', () => {
  expect(speechIn(new Float32Array(0))).toBeNull();
  expect(speechIn(levelsOf(new Float32Array(RATE * 3), RATE))).toBeNull();
  expect(
    speechIn(
      levelsOf(
        Float32Array.from({ length: RATE }, () => 0.001),
        RATE,
      ),
    ),
  ).toBeNull();
  const levels = new Float32Array(50).fill(-20);
  expect(speechIn(levels)!.spans).toEqual([{ fromMs: 0, toMs: 50 * LEVEL_MS }]);
  expect(shiftSpans([{ fromMs: 100, toMs: 300 }], -120)).toEqual([{ fromMs: 0, toMs: 180 }]);
});

/** What is said of a microphone that hears the same for some seconds. */
function heard(seconds: number, db: number, peak: number): (LevelFault | null)[] {
  let watch = NEW_WATCH;
  return Array.from({ length: seconds * 10 }, (_, index) => {
    watch = watchLevel(watch, db, peak, index * 100);
    return watch.fault;
  });
}

test('silence, too quiet and too loud are said soon, and nothing of what is well', () => {
  expect(heard(6, -100, 0).indexOf('silent')).toBe(25);
  expect(heard(6, -45, 0.01).indexOf('quiet')).toBeLessThan(45);
  expect(heard(6, -45, 0.01)).toContain('quiet');
  expect(heard(1, -8, 1)[0]).toBe('loud');
  expect(new Set(heard(10, -22, 0.4))).toEqual(new Set([null]));
});

test('a pause between sentences is no silence, and what was too loud is forgotten', () => {
  let watch = watchLevel(NEW_WATCH, -6, 1, 0);
  for (let ms = 100; ms <= 2400; ms += 100) watch = watchLevel(watch, -100, 0, ms);
  expect(watch.fault).toBe('loud');
  watch = watchLevel(watch, -20, 0.3, 2600);
  expect(watch.fault).toBeNull();
});
