import type { BeatKindId } from '@zeitpunkt/core/beats/registry';
import type { NamedFinding } from '@zeitpunkt/core/checker-rules/check';
import type { Pose } from '@zeitpunkt/core/dial/pose';
import { nameInLesson, wordsOf } from '@zeitpunkt/core/lesson/beat-words';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import type { PreparedLesson, Step } from '@zeitpunkt/core/lesson/prepare';
import { settledStage } from '@zeitpunkt/core/stage/player';
import type { IconName } from '../../../ui/icons/icons';

/** What stands for a beat: the hands that it leaves on the stage, its time to think as a sector, or a sign. */
export type BeatPicture =
  | { readonly kind: 'hands'; readonly pose: Pose; readonly hourHandAlone: boolean }
  | { readonly kind: 'think'; readonly seconds: number }
  | { readonly kind: 'icon'; readonly icon: IconName };

/** A beat as the column shows it. */
export interface BeatRow {
  readonly id: string;
  readonly number: number;
  readonly name: string;
  readonly picture: BeatPicture;
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
  return lesson.beats.map((beat, index) => rowOf(lesson, index, byBeat.get(index) ?? [], found.get(beat.id) ?? []));
}

/** The rows while words are typed: only those of beats that are changed are new, and later ones move when the typing is over. */
export function rowsTyped(rows: readonly BeatRow[], { lesson, steps }: PreparedLesson): readonly BeatRow[] {
  let place = 0;
  return rows.map((row, index) => {
    const first = steps[place]!;
    const own = steps.slice(place, (place += first.stepsOfBeat));
    const isSame = own.length === row.steps.length && own.every((step, at) => isSameStep(step, row.steps[at]!));
    return isSame ? row : rowOf(lesson, index, own, row.findings);
  });
}

const isSameStep = (one: Step, other: Step) => one.beat === other.beat && one.context === other.context;

function rowOf(lesson: Lesson, index: number, steps: readonly Step[], findings: readonly NamedFinding[]): BeatRow {
  const beat = lesson.beats[index]!;
  return {
    id: beat.id,
    number: index + 1,
    name: nameInLesson(beat, lesson),
    picture: pictureOf(beat, steps.at(-1)),
    words: wordsOf(beat),
    startMs: steps[0]?.startMs ?? 0,
    durationMs: steps.reduce((sum, step) => sum + step.durationMs, 0),
    steps,
    findings,
    note: beat.note ?? null,
  };
}

/** Beats that leave no dial. */
const ICONS: Partial<Readonly<Record<BeatKindId, IconName>>> = {
  say: 'chat-bubble',
  chart: 'grid-view',
  task: 'print',
  verse: 'music-note',
};

function pictureOf(beat: Lesson['beats'][number], last: Step | undefined): BeatPicture {
  if (beat.kind === 'think') return { kind: 'think', seconds: beat.seconds };
  const icon = ICONS[beat.kind];
  const stage = icon || !last ? null : settledStage(last);
  const dial = stage?.dial ?? stage?.dials[0];
  if (!dial) return { kind: 'icon', icon: icon ?? 'help' };
  return { kind: 'hands', pose: dial.pose, hourHandAlone: !dial.layers.minuteHand };
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
