import { doesOf, type BeatDoes } from '../beats/registry.js';
import { LAST_PART } from './lesson-parts.js';
import type { PreparedLesson } from './prepare.js';

/** What a part of a lesson is for. */
export type PhaseId = 'recall' | 'show' | 'examples' | 'turn' | 'slips' | 'paper' | 'check' | 'say';

/** A part of a lesson: beats that follow each other and do the same. */
export interface Phase {
  readonly id: PhaseId;
  /** Its first beat and the one after its last, by their places in the lesson. */
  readonly from: number;
  readonly to: number;
  readonly startMs: number;
  /** Milliseconds, 0 or more. */
  readonly durationMs: number;
}

/** So many parts can be told apart at a glance. */
const MOST_PHASES = 7;

const PHASE_OF: Readonly<Record<Exclude<BeatDoes, 'say'>, PhaseId>> = {
  show: 'show',
  example: 'examples',
  ask: 'turn',
  slip: 'slips',
  paper: 'paper',
};

/** A part before it is known when it begins. */
interface Span {
  readonly id: PhaseId;
  readonly from: number;
  readonly to: number;
}

/**
 * The parts of a lesson, told from what its beats do: words lead to what follows them, questions before anything is shown recall
 * what was there before, those at the end check it. Where there would be more than seven parts, the shortest joins a neighbour.
 */
export function phasesOf(prepared: PreparedLesson): readonly Phase[] {
  const starts = startsOf(prepared);
  const msOf = ({ from, to }: Span) => starts[to]! - starts[from]!;
  let parts = joined(withCheck(withRecall(runsOf(prepared)), prepared, starts));
  while (parts.length > MOST_PHASES) {
    const inner = parts.slice(1, -1).reduce((least, one) => (msOf(one) < msOf(least) ? one : least));
    parts = withoutOne(parts, parts.indexOf(inner), msOf);
  }
  return parts.map((part) => ({ ...part, startMs: starts[part.from]!, durationMs: msOf(part) }));
}

/** When each beat begins, and at the end when the lesson is over, in milliseconds. */
function startsOf({ lesson, steps, totalMs }: PreparedLesson): readonly number[] {
  const starts = Array.from({ length: lesson.beats.length }, () => totalMs);
  for (const { beatIndex, startMs } of steps) starts[beatIndex] = Math.min(starts[beatIndex]!, startMs);
  return [...starts, totalMs];
}

/** Runs of beats that do the same; words go with what follows them, and at the end with what was before. */
function runsOf({ lesson: { beats } }: PreparedLesson): Span[] {
  const runs: Span[] = [];
  let from = 0;
  beats.forEach((beat, index) => {
    const does = doesOf(beat.kind);
    if (does === 'say') return;
    runs.push({ id: PHASE_OF[does], from, to: index + 1 });
    from = index + 1;
  });
  const last = runs.pop();
  return joined([...runs, last ? { ...last, to: beats.length } : { id: 'say', from: 0, to: beats.length }]);
}

/** Neighbours for the same are one. */
function joined(parts: readonly Span[]): Span[] {
  const all: Span[] = [];
  for (const part of parts) {
    const before = all.at(-1);
    if (before?.id === part.id) all[all.length - 1] = { ...before, to: part.to };
    else all.push(part);
  }
  return all;
}

function withRecall([first, ...rest]: readonly Span[]): Span[] {
  return first?.id === 'turn' && rest.length > 0 ? [{ ...first, id: 'recall' }, ...rest] : [...(first ? [first] : []), ...rest];
}

/** The questions after the last words between questions are the check, where they come at the end. */
function withCheck(parts: readonly Span[], { lesson, totalMs }: PreparedLesson, starts: readonly number[]): Span[] {
  const last = parts.at(-1);
  if (last?.id !== 'turn') return [...parts];
  const places = lesson.beats.map((_, index) => index).slice(last.from, last.to);
  const lastAsk = places.findLast((index) => lesson.beats[index]!.kind === 'ask') ?? last.from;
  const words = places.findLast((index) => index < lastAsk && lesson.beats[index]!.kind === 'say');
  const from = words ?? (parts.length > 1 ? last.from : lastAsk);
  if (starts[from]! < (1 - LAST_PART) * totalMs) return [...parts];
  const check: Span = { id: 'check', from, to: last.to };
  return from === last.from ? [...parts.slice(0, -1), check] : [...parts.slice(0, -1), { ...last, to: from }, check];
}

/** A part joins the shorter of its neighbours, which keeps its name where it is longer; neighbours that meet for the same are one. */
function withoutOne(parts: readonly Span[], index: number, msOf: (part: Span) => number): Span[] {
  const part = parts[index]!;
  const [before, after] = [parts[index - 1]!, parts[index + 1]!];
  const other = before.id === after.id || msOf(before) <= msOf(after) ? before : after;
  const id = msOf(part) > msOf(other) && other.id !== 'recall' && other.id !== 'check' ? part.id : other.id;
  const one: Span = { id, from: Math.min(part.from, other.from), to: Math.max(part.to, other.to) };
  return joined(parts.flatMap((each) => (each === part ? [one] : each === other ? [] : [each])));
}
