import { LEVEL_MS } from './levels.js';
import type { Span } from './take.js';

/** Where in a sound somebody speaks. */
export interface Speech {
  /** In order, with pauses between; at least one. */
  readonly spans: readonly Span[];
  /** The speech with a little air at both ends: what is kept of the sound. */
  readonly kept: Span;
  /** How loud the speech is, in dB. */
  readonly speechDb: number;
}

/** Quieter than this nobody was heard, in dB. */
export const SILENT_DB = -52;
/** A room is at least so loud as it is reckoned with, in dB: below is the silence of a machine. */
const ROOM_DB = -72;
/** A pause shorter than this is a part of speaking, a sound shorter than that a click, in milliseconds. */
const SHORTEST_PAUSE_MS = 140;
const LONGEST_CLICK_MS = 60;
/** Air that is left before and after the speech, in milliseconds: breath belongs to it, and words fade out. */
const AIR_BEFORE_MS = 120;
const AIR_AFTER_MS = 220;

/**
 * Finds speech by loudness: louder than the room and near to how loud the voice is. No words are recognised.
 * @param levels one each 20 ms, in dB, see levelsOf
 * @returns null where nobody is heard
 */
export function speechIn(levels: Float32Array): Speech | null {
  if (levels.length === 0) return null;
  const sorted = Float32Array.from(levels).sort();
  const at = (part: number) => sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))]!;
  const room = Math.max(ROOM_DB, at(0.1));
  const voice = at(0.97);
  if (voice < SILENT_DB) return null;
  const threshold = Math.min(Math.max(room + 10, room + 0.4 * (voice - room)), voice - 6);
  const spans = withoutClicks(joined(louder(levels, threshold)));
  const [first, last] = [spans[0], spans.at(-1)];
  if (!first || !last) return null;
  const lengthMs = levels.length * LEVEL_MS;
  const kept = { fromMs: Math.max(0, first.fromMs - AIR_BEFORE_MS), toMs: Math.min(lengthMs, last.toMs + AIR_AFTER_MS) };
  return { spans, kept, speechDb: Math.round(meanDb(levels, spans)) };
}

/** The same speech in the sound that is kept of it. */
export function shiftSpans(spans: readonly Span[], byMs: number): Span[] {
  return spans.map(({ fromMs, toMs }) => ({ fromMs: Math.max(0, fromMs + byMs), toMs: Math.max(0, toMs + byMs) }));
}

function louder(levels: Float32Array, threshold: number): Span[] {
  const spans: Span[] = [];
  let begin = -1;
  for (let place = 0; place <= levels.length; place++) {
    const is = place < levels.length && levels[place]! > threshold;
    if (is && begin < 0) begin = place;
    if (is || begin < 0) continue;
    spans.push({ fromMs: begin * LEVEL_MS, toMs: place * LEVEL_MS });
    begin = -1;
  }
  return spans;
}

function joined(spans: readonly Span[]): Span[] {
  const whole: Span[] = [];
  for (const span of spans) {
    const before = whole.at(-1);
    if (before && span.fromMs - before.toMs < SHORTEST_PAUSE_MS) whole[whole.length - 1] = { fromMs: before.fromMs, toMs: span.toMs };
    else whole.push(span);
  }
  return whole;
}

/** A key that is struck is short and alone; where there is nothing else it may be a word all the same. */
function withoutClicks(spans: readonly Span[]): Span[] {
  const words = spans.filter(({ fromMs, toMs }) => toMs - fromMs > LONGEST_CLICK_MS);
  return words.length > 0 ? words : [...spans];
}

function meanDb(levels: Float32Array, spans: readonly Span[]): number {
  let [power, count] = [0, 0];
  for (const { fromMs, toMs } of spans) {
    for (let place = fromMs / LEVEL_MS; place < toMs / LEVEL_MS; place++) {
      power += 10 ** (levels[place]! / 10);
      count += 1;
    }
  }
  return 10 * Math.log10(power / count);
}
