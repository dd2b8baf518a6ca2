import { phrasesOf, type Phrase } from './phrases.js';
import type { Cue, Span } from './take.js';

/** A moment at which one caption may give way to the next. */
interface Gap {
  /** How much was spoken before it, in milliseconds of speech alone. */
  readonly spokenMs: number;
  /** Where it lies: its beginning and its end are the same within speech. */
  readonly fromMs: number;
  readonly toMs: number;
}

/** What a caption costs that changes within speech and not at a pause, and what a pause of a second is worth. */
const NO_PAUSE_COST = 0.35;
const PAUSE_WORTH = 0.5;
/** A pause within a sentence is worth less than one at its end. */
const WITHIN_SENTENCE = 0.4;
/** More pauses than this in one take are not all tried: the longest ones are. */
const MOST_PAUSES = 160;

/**
 * Lays the words of a step along its sound, by its pauses and by how long words take to say; nothing is recognised. Of all ways
 * to change captions at pauses, or within speech where there is none, the one whose phrases all are spoken at about the same
 * pace, with the longest pauses at the ends of sentences. (Dynamic programming, as in text-to-speech alignment by duration.)
 * @param speech where somebody speaks, in order, in milliseconds
 * @param durationMs of the sound
 */
export function cuesOf(text: string, speech: readonly Span[], durationMs: number): Cue[] {
  const phrases = phrasesOf(text);
  const spans = speech.length > 0 ? speech : [{ fromMs: 0, toMs: durationMs }];
  if (phrases.length === 0) return [];
  const spokenMs = spans.reduce((sum, { fromMs, toMs }) => sum + toMs - fromMs, 0);
  const begins = spans[0]!.fromMs;
  const ends = Math.min(durationMs, spans.at(-1)!.toMs);
  const cuts = phrases.length === 1 ? [] : bestCuts(phrases, spans, spokenMs);
  return phrases.map(({ text: words }, index) => ({
    fromMs: Math.round(index === 0 ? begins : cuts[index - 1]!.toMs),
    toMs: Math.round(index === phrases.length - 1 ? ends : cuts[index]!.fromMs),
    text: words,
  }));
}

/** The gap after each phrase but the last. */
function bestCuts(phrases: readonly Phrase[], spans: readonly Span[], spokenMs: number): Gap[] {
  const total = phrases.reduce((sum, { weight }) => sum + weight, 0);
  const pauses = pausesBetween(spans);
  let share = 0;
  // Before each phrase: every way to have come there, with what it cost.
  let ways: { readonly gap: Gap; readonly cost: number; readonly cuts: readonly Gap[] }[] = [
    { gap: { spokenMs: 0, fromMs: 0, toMs: 0 }, cost: 0, cuts: [] },
  ];
  for (const { weight, ends } of phrases.slice(0, -1)) {
    const wantedMs = (weight / total) * spokenMs;
    share += weight / total;
    const within = gapWithin(spans, share * spokenMs);
    const next = [...pauses, within].map((gap) => {
      const isPause = gap.toMs > gap.fromMs;
      const worth = isPause ? PAUSE_WORTH * Math.min(1, (gap.toMs - gap.fromMs) / 1000) * (ends ? 1 : WITHIN_SENTENCE) : -NO_PAUSE_COST;
      let best = { cost: Infinity, cuts: [] as readonly Gap[] };
      for (const way of ways) {
        const takesMs = gap.spokenMs - way.gap.spokenMs;
        if (takesMs <= 0) continue;
        const cost = way.cost + offBy(takesMs, wantedMs) - worth;
        if (cost < best.cost) best = { cost, cuts: [...way.cuts, gap] };
      }
      return { gap, ...best };
    });
    const possible = next.filter(({ cost }) => cost < Infinity);
    ways = possible.length > 0 ? possible : [{ gap: within, cost: 0, cuts: [...ways[0]!.cuts, within] }];
  }
  const lastMs = (phrases.at(-1)!.weight / total) * spokenMs;
  const ended = ways.map((way) => ({ ...way, cost: way.cost + offBy(Math.max(1, spokenMs - way.gap.spokenMs), lastMs) }));
  return [...ended.reduce((best, way) => (way.cost < best.cost ? way : best)).cuts];
}

/** How far a phrase is from the pace of all: as much twice as fast as twice as slow. */
const offBy = (takesMs: number, wantedMs: number): number => Math.log(takesMs / wantedMs) ** 2;

function pausesBetween(spans: readonly Span[]): Gap[] {
  let spokenMs = 0;
  const gaps = spans.slice(0, -1).map((span, index): Gap => {
    spokenMs += span.toMs - span.fromMs;
    return { spokenMs, fromMs: span.toMs, toMs: spans[index + 1]!.fromMs };
  });
  if (gaps.length <= MOST_PAUSES) return gaps;
  const lengthOf = ({ fromMs, toMs }: Gap) => toMs - fromMs;
  const shortest = [...gaps].sort((a, b) => lengthOf(b) - lengthOf(a))[MOST_PAUSES - 1]!;
  return gaps.filter((gap) => lengthOf(gap) >= lengthOf(shortest));
}

function gapWithin(spans: readonly Span[], spokenMs: number): Gap {
  let left = spokenMs;
  for (const { fromMs, toMs } of spans) {
    if (left <= toMs - fromMs) return { spokenMs, fromMs: fromMs + left, toMs: fromMs + left };
    left -= toMs - fromMs;
  }
  const end = spans.at(-1)!.toMs;
  return { spokenMs, fromMs: end, toMs: end };
}
