import fc from 'fast-check';
import { generateVoice } from '../rehearsal/generated-voice.js';
import { cuesOf } from './align.js';
import { levelsOf } from './levels.js';
import { CAPTION_LETTERS, LINE_LETTERS, linesOf, phrasesOf } from './phrases.js';
import { speechIn } from './speech.js';
import type { Span } from './take.js';
import { webVtt } from './webvtt.js';

const words = fc.array(
  fc.constantFrom('the', 'short', 'hand', 'has', 'passed', '7:40,', 'not', 'eight', 'yet.', 'Look:', '5, 10, 15', 'Skerrin'),
  {
    minLength: 1,
    maxLength: 60,
  },
);
const speech = fc
  .array(fc.tuple(fc.integer({ min: 40, max: 900 }), fc.integer({ min: 140, max: 2500 })), { minLength: 0, maxLength: 12 })
  .map((pairs): Span[] => {
    let atMs = 0;
    return pairs.map(([pauseMs, speechMs]) => {
      const fromMs = atMs + pauseMs;
      atMs = fromMs + speechMs;
      return { fromMs, toMs: atMs };
    });
  });

test('a text in captions is the whole text, in order, and no caption is longer than two lines', () => {
  fc.assert(
    fc.property(words, (said) => {
      const phrases = phrasesOf(said.join(' ')).map(({ text }) => text);
      expect(phrases.join(' ')).toBe(said.join(' '));
      for (const text of phrases) expect(text.length).toBeLessThanOrEqual(CAPTION_LETTERS);
    }),
  );
  expect(phrasesOf('   ')).toEqual([]);
  expect(phrasesOf('It is 7:40. Still 7!').map(({ text }) => text)).toEqual(['It is 7:40.', 'Still 7!']);
});

test('lines of a caption are of about the same length', () => {
  expect(linesOf('Ten o’clock.')).toEqual(['Ten o’clock.']);
  const lines = linesOf('The tide gauge on Skerrin pier writes down the height of the water.');
  expect(lines).toHaveLength(2);
  for (const line of lines) expect(line.length).toBeLessThanOrEqual(LINE_LETTERS);
});

test('captions follow one another within the sound, each with some time of its own', () => {
  fc.assert(
    fc.property(words, speech, (said, spans) => {
      const durationMs = (spans.at(-1)?.toMs ?? 4000) + 200;
      const cues = cuesOf(said.join(' '), spans, durationMs);
      expect(cues.map(({ text }) => text).join(' ')).toBe(said.join(' '));
      cues.forEach(({ fromMs, toMs }, index) => {
        expect(fromMs).toBeGreaterThanOrEqual(cues[index - 1]?.toMs ?? 0);
        expect(toMs).toBeGreaterThan(fromMs);
        expect(toMs).toBeLessThanOrEqual(durationMs);
      });
    }),
  );
});

test('captions begin when their words are said, also by somebody who hesitates and speaks unevenly', () => {
  const text =
    'The mail boat leaves at quarter to eight. The short hand is almost at 8, but not there yet, so it is still 7. And the long hand? It points at 9.';
  const off = Array.from({ length: 8 }, (_, seed) => {
    const { samples, rate, phrases } = generateVoice(text, { rate: 4000, wordsPerMinute: 120, seed, unevenness: 0.25, hesitation: 0.05 });
    const cues = cuesOf(text, speechIn(levelsOf(samples, rate))!.spans, (samples.length * 1000) / rate);
    return cues.map(({ fromMs }, index) => Math.abs(fromMs - phrases[index]!.fromMs));
  }).flat();
  expect(off.filter((ms) => ms <= 300).length / off.length).toBeGreaterThan(0.9);
});

test('a WebVTT file has clocks in hours, lines of a caption under one another, and no tags out of words', () => {
  const cues = [
    { fromMs: 1200, toMs: 2500, text: 'Is 3 < 4?' },
    { fromMs: 3_723_040, toMs: 3_725_000, text: 'An arrow --> and an & and words that are so many that they stand in two lines' },
  ];
  expect(webVtt(cues, 'en-GB')).toBe(
    'WEBVTT\nLanguage: en-GB\n\n1\n00:00:01.200 --> 00:00:02.500\nIs 3 &lt; 4?\n\n2\n01:02:03.040 --> 01:02:05.000\n' +
      'An arrow --&gt; and an &amp; and words that\nare so many that they stand in two lines\n',
  );
});
