import { talkOf } from '../talk/registry.js';
import type { PreparedLesson, Step } from '../lesson/prepare.js';
import { displayText } from '../time/display.js';
import { toSecondOfDay } from '../time/second-of-day.js';
import type { Cue } from './take.js';
import type { Shot } from './shot.js';

/** A part of a lesson as it is found in a list. */
export type Chapter = Cue;

type Part = 'beginning' | 'watch' | 'turn' | 'end';

/** A part shorter than this is no chapter of its own, in milliseconds. */
const SHORTEST_MS = 4000;

/**
 * The chapters of a lesson by its parts: the beginning, what is shown, each stretch of questions, and the end; in the
 * language of the lesson, with the times that they are about.
 */
export function chaptersOf(prepared: PreparedLesson, shots: readonly Shot[]): Chapter[] {
  const parts: { readonly part: Part; readonly shots: Shot[] }[] = [];
  for (const shot of shots) {
    const last = parts.at(-1);
    const part = partOf(shot.step, last?.part ?? null);
    if (last && last.part === part) last.shots.push(shot);
    else parts.push({ part, shots: [shot] });
  }
  const last = parts.at(-1);
  // What is said after all is asked is the end.
  const ending = last && parts.length > 1 && last.part === 'watch' && last.shots.every(({ step }) => timeOf(prepared, step) === null);
  let questions = 0;
  const chapters = parts.map(({ part, shots: own }, index): Chapter => {
    const asked = own.filter(({ step }) => step.beat.kind === 'ask');
    const from = questions + 1;
    questions += asked.length;
    const name = ending && index === parts.length - 1 ? 'end' : part;
    const fromMs = own[0]!.startMs;
    return { fromMs, toMs: own.at(-1)!.startMs + own.at(-1)!.durationMs, text: titleOf(prepared, name, own, [from, questions]) };
  });
  return joinedShort(chapters);
}

/** Whatever belongs to a question is your turn; before the first demonstration it is the beginning; a few words go with what they follow. */
function partOf({ beat, kind }: Step, before: Part | null): Part {
  if ('itemId' in beat) return 'turn';
  if (kind === 'say') return before === null || before === 'beginning' ? 'beginning' : 'watch';
  return before === null && kind === 'layers' ? 'beginning' : 'watch';
}

function titleOf(prepared: PreparedLesson, part: Part, shots: readonly Shot[], questions: readonly [number, number]): string {
  const { settings } = prepared.lesson;
  const titles = talkOf(settings).chapters;
  if (part === 'turn') return titles.turn(...questions);
  if (part !== 'watch') return titles[part];
  const times = [...new Set(shots.flatMap(({ step }) => timeOf(prepared, step) ?? []))].map((at) =>
    displayText(toSecondOfDay(at), settings.separator),
  );
  return times.length > 0 ? `${titles.watch}: ${times.slice(0, 3).join(', ')}${times.length > 3 ? ' …' : ''}` : titles.watch;
}

/** The time that a beat shows how to read or set. */
function timeOf({ lesson }: PreparedLesson, { beatIndex }: Step): number | null {
  const beat = lesson.beats[beatIndex]!;
  const shows = beat.kind === 'worked-example' || beat.kind === 'set' || beat.kind === 'mistake' || beat.kind === 'missing-hand';
  return shows ? beat.timeSec : null;
}

function joinedShort(chapters: readonly Chapter[]): Chapter[] {
  const kept: Chapter[] = [];
  for (const chapter of chapters) {
    const last = kept.at(-1);
    if (last && chapter.toMs - chapter.fromMs < SHORTEST_MS) kept[kept.length - 1] = { ...last, toMs: chapter.toMs };
    else kept.push(chapter);
  }
  return kept;
}
