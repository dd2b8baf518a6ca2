import { phrasesOf } from '../voice/phrases.js';
import type { Span } from '../voice/take.js';
import { seededRng, type Rng } from '../random/rng.js';

// Taken out of loops over samples: there they are asked for a million times.
const { floor, max, min, round } = Math;

/** A sound with the rhythm of speech, and where its phrases lie. */
export interface GeneratedVoice {
  /** One channel, −1 to 1. */
  readonly samples: Float32Array;
  readonly rate: number;
  /** The phrases of the text, in order, as they are laid along the sound. */
  readonly phrases: readonly (Span & { readonly text: string })[];
}

/** How a generated voice speaks. */
export interface VoiceManner {
  /** Samples a second; it has nothing above 2 kHz. */
  readonly rate: number;
  /** Words a minute, pauses included. */
  readonly wordsPerMinute: number;
  readonly seed: number;
  /** How uneven it speaks, syllable by syllable and sentence by sentence, as a part of how long they take: 0 as a machine. */
  readonly unevenness?: number;
  /** How often it stops to look for a word, 0 to 1 of all words; and as often it runs over the end of a sentence. */
  readonly hesitation?: number;
  /** How loud the room is, 0 to 1. */
  readonly noise?: number;
}

/** Two resonances of the mouth for each vowel, in Hz. Source: common textbook values, rounded. */
const VOWELS: Readonly<Record<string, readonly [number, number]>> = {
  a: [750, 1250],
  e: [500, 1750],
  i: [320, 1950],
  o: [480, 900],
  u: [340, 780],
};
const LEAD_MS = 450;
const BETWEEN_WORDS_MS = 45;
const BREATH_MS = 260;
const STOP_MS = 560;
const LOUDNESS = 0.3;

/**
 * Says a text as a hum with the rhythm of speech: syllables by vowels, short gaps between words, breaths at commas, pauses after
 * sentences. It stands in for a teacher's voice in tests and in the demo; nobody could take it for a person.
 */
export function generateVoice(text: string, manner: VoiceManner): GeneratedVoice {
  const { rate, wordsPerMinute, seed, unevenness = 0.15, hesitation = 0, noise = 0.002 } = manner;
  const rng = seededRng(seed);
  const phrases = phrasesOf(text);
  const words = phrases.map((phrase) => phrase.text.split(/\s+/u).map(syllablesOf));
  const syllables = words.flat().reduce((sum, one) => sum + one.length, 0);
  const wordCount = words.reduce((sum, one) => sum + one.length, 0);
  const stops = phrases.length - 1;
  const spokenMs = (wordCount * 60_000) / wordsPerMinute - stops * STOP_MS - wordCount * BETWEEN_WORDS_MS;
  const syllableMs = Math.max(90, spokenMs / Math.max(1, syllables));
  const plan: { readonly vowel: string; readonly fromMs: number; readonly ms: number; readonly pitch: number }[] = [];
  const spans: (Span & { text: string })[] = [];
  let atMs = LEAD_MS;
  phrases.forEach(({ text: said, ends }, index) => {
    const fromMs = atMs;
    const wordsHere = words[index]!;
    const pace = 1 + unevenness * (2 * rng() - 1);
    wordsHere.forEach((word, place) => {
      for (const vowel of word) {
        const ms = syllableMs * pace * (1 + unevenness * (2 * rng() - 1));
        plan.push({ vowel, fromMs: atMs, ms, pitch: 185 - (40 * place) / wordsHere.length + 12 * rng() });
        atMs += ms;
      }
      atMs += BETWEEN_WORDS_MS;
      if (place < wordsHere.length - 1 && rng() < hesitation) atMs += STOP_MS * (0.4 + rng());
    });
    spans.push({ fromMs, toMs: atMs - BETWEEN_WORDS_MS, text: said });
    if (rng() >= hesitation) atMs += (ends ? STOP_MS : BREATH_MS) * (1 + unevenness * (2 * rng() - 1));
  });
  const samples = new Float32Array(Math.ceil((atMs * rate) / 1000));
  for (const one of plan) hum(samples, rate, one);
  if (noise > 0) addNoise(samples, noise, rng);
  return { samples, rate, phrases: spans };
}

/** The vowels of a word, one for each syllable; a number has as many as its digits, and one more. */
function syllablesOf(word: string): string[] {
  const digits = word.match(/\p{N}/gu)?.length ?? 0;
  if (digits > 0) return Array.from({ length: digits + 1 }, (_, index) => 'aeiou'[(digits + index) % 5]!);
  const groups = word
    .toLowerCase()
    .normalize('NFD')
    .match(/[aeiouy]+/gu);
  return groups?.map((group) => group[0]!.replace('y', 'i')) ?? ['e'];
}

function hum(
  samples: Float32Array,
  rate: number,
  { vowel, fromMs, ms, pitch }: { readonly vowel: string; readonly fromMs: number; readonly ms: number; readonly pitch: number },
): void {
  const wave = waveOf(vowel, pitch, rate);
  const begin = Math.round((fromMs * rate) / 1000);
  const length = Math.round((ms * rate) / 1000);
  const step = (pitch * WAVE_SAMPLES) / rate;
  for (let index = 0; index < length && begin + index < samples.length; index++) {
    const part = index / length;
    const envelope = min(1, part * 6, (1 - part) * 5);
    samples[begin + index]! += LOUDNESS * envelope * wave[floor(index * step) % WAVE_SAMPLES]!;
  }
}

/** One turn of a voice is so many samples. */
const WAVE_SAMPLES = 512;

/** One turn of a vowel at a pitch: harmonics, loudest near its resonances. */
function waveOf(vowel: string, pitch: number, rate: number): Float32Array {
  const [first, second] = VOWELS[vowel]!;
  const wave = new Float32Array(WAVE_SAMPLES);
  let whole = 0;
  for (let number = 1; number * pitch < Math.min(2400, rate / 2); number++) {
    const near = (to: number, width: number) => 1 / (1 + ((number * pitch - to) / width) ** 2);
    const gain = near(first, 120) + 0.6 * near(second, 180) + 0.15 / number;
    whole += gain;
    for (let place = 0; place < WAVE_SAMPLES; place++) wave[place]! += gain * Math.sin((2 * Math.PI * number * place) / WAVE_SAMPLES);
  }
  return wave.map((value) => (2 * value) / whole);
}

/** So many samples of noise are drawn and used again and again: nobody hears a turn of a second. */
const NOISE_SAMPLES = 8192;

function addNoise(samples: Float32Array, loudness: number, rng: Rng): void {
  const noise = Float32Array.from({ length: NOISE_SAMPLES }, () => loudness * (2 * rng() - 1));
  for (let index = 0; index < samples.length; index++) samples[index]! += noise[index % NOISE_SAMPLES]!;
}

/** Sound as a WAV file of 16 bits, one channel. Source: RIFF WAVE, format 1 (PCM). */
export function wavFile(samples: Float32Array, rate: number): Uint8Array<ArrayBuffer> {
  const bytes = new Uint8Array(44 + samples.length * 2);
  const view = new DataView(bytes.buffer);
  const name = (at: number, four: string) =>
    bytes.set(
      [...four].map((letter) => letter.charCodeAt(0)),
      at,
    );
  name(0, 'RIFF');
  view.setUint32(4, 36 + samples.length * 2, true);
  name(8, 'WAVE');
  name(12, 'fmt ');
  view.setUint32(16, 16, true);
  view.setUint16(20, 1, true);
  view.setUint16(22, 1, true);
  view.setUint32(24, rate, true);
  view.setUint32(28, rate * 2, true);
  view.setUint16(32, 2, true);
  view.setUint16(34, 16, true);
  name(36, 'data');
  view.setUint32(40, samples.length * 2, true);
  for (let index = 0; index < samples.length; index++) {
    view.setInt16(44 + index * 2, round(max(-1, min(1, samples[index]!)) * 32_767), true);
  }
  return bytes;
}
