import { nameInLesson, wordsOf, type NamedFinding, type PreparedLesson, type Step } from '@zeitpunkt/core';

/** A beat as the column shows it. */
export interface BeatRow {
  readonly id: string;
  readonly number: number;
  readonly name: string;
  /** Its words, or what it says first. */
  readonly words: string;
  readonly startMs: number;
  readonly durationMs: number;
  readonly steps: readonly Step[];
  readonly findings: readonly NamedFinding[];
  readonly note: string | null;
}

/** The rows of a lesson’s column, each with what the checker finds at it. */
export function rowsOf(prepared: PreparedLesson, findings: readonly NamedFinding[]): BeatRow[] {
  const { lesson, steps } = prepared;
  const byBeat = grouped(steps, ({ beatIndex }) => beatIndex);
  const found = grouped(findings, ({ at }) => at?.beatId ?? null);
  return lesson.beats.map((beat, index) => {
    const own = byBeat.get(index) ?? [];
    return {
      id: beat.id,
      number: index + 1,
      name: nameInLesson(beat, lesson),
      words: wordsOf(beat),
      startMs: own[0]?.startMs ?? 0,
      durationMs: own.reduce((sum, step) => sum + step.durationMs, 0),
      steps: own,
      findings: found.get(beat.id) ?? [],
      note: beat.note ?? null,
    };
  });
}

function grouped<T, Key>(all: readonly T[], keyOf: (one: T) => Key): Map<Key, T[]> {
  const groups = new Map<Key, T[]>();
  for (const one of all) groups.set(keyOf(one), [...(groups.get(keyOf(one)) ?? []), one]);
  return groups;
}

/** Whether a text stands in a beat's name, words or note. @param sought in small letters */
export const hasText = ({ name, words, note }: BeatRow, sought: string): boolean =>
  `${name} ${words} ${note ?? ''}`.toLowerCase().includes(sought);

/** Where a moment of the lesson lies. @param atMs 0 or more; past the end it is the last step */
export function stepAtMs({ steps }: PreparedLesson, atMs: number): Step {
  return steps.find(({ startMs, durationMs }) => atMs < startMs + durationMs) ?? steps.at(-1)!;
}
