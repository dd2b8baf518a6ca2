import { diagnose, type Diagnosis, type IdeaFinding } from '../diagnosis/diagnose.js';
import { RUNG_IDS, type RungId } from '../ladder/registry.js';
import type { MisconceptionId } from '../misconceptions/registry.js';
import type { InsightAnswer } from './insight-answer.js';
import type { Unusual } from './unusual.js';
import { masteryAnswer, masteryOf, type Mastery } from './mastery.js';

/** What is known of a pupil at a moment. A hint with its evidence, never a grade. */
export interface PupilPicture {
  readonly id: string;
  readonly name: string;
  readonly answers: number;
  /** When the last answer came, in milliseconds since 1970; null where none has. */
  readonly lastMs: number | null;
  /** Of the rungs on which the pupil answered anything. */
  readonly mastery: Partial<Record<RungId, Mastery>>;
  readonly diagnosis: Diagnosis;
}

/** A pupil of whom an idea is settled or likely. */
export interface Holder {
  readonly pupilId: string;
  readonly name: string;
  readonly finding: IdeaFinding;
  /** When the first answer that shows it came, in milliseconds since 1970. */
  readonly sinceMs: number;
  /** When the last one did. */
  readonly lastMs: number;
  /** The rung on which it was seen most. */
  readonly rung: RungId;
}

export interface IdeaPicture {
  readonly id: MisconceptionId;
  /** The surest first. */
  readonly holders: readonly Holder[];
}

/** What is known of a class at a moment. */
export interface ClassPicture {
  /** Milliseconds since 1970. */
  readonly nowMs: number;
  /** In the order of the class. */
  readonly pupils: readonly PupilPicture[];
  /** Rungs on which anything was answered, lowest first. */
  readonly rungs: readonly RungId[];
  /** Ideas that somebody holds, those of most pupils first. */
  readonly ideas: readonly IdeaPicture[];
  /** What is unusual about the answers of some pupils in a lesson. */
  readonly unusual: readonly Unusual[];
}

export const isHeld = ({ sureness }: Pick<IdeaFinding, 'sureness'>): boolean => sureness === 'settled' || sureness === 'likely';

/** What is known of one pupil at a moment; answers after it are not looked at. @param answers of that pupil, oldest first */
export function pupilPicture(
  pupil: { readonly id: string; readonly name: string },
  answers: readonly InsightAnswer[],
  nowMs: number,
): PupilPicture {
  const seen = answers.filter(({ atMs }) => atMs <= nowMs);
  const byRung = new Map<RungId, InsightAnswer[]>();
  for (const one of seen) {
    const own = byRung.get(one.rung);
    if (own) own.push(one);
    else byRung.set(one.rung, [one]);
  }
  const mastery: Partial<Record<RungId, Mastery>> = {};
  for (const [rung, own] of byRung) mastery[rung] = masteryOf(own.map(masteryAnswer), nowMs);
  return { ...pupil, answers: seen.length, lastMs: seen.at(-1)?.atMs ?? null, mastery, diagnosis: diagnose(seen, nowMs) };
}

/** What is known of a class, put together from its pupils. @param answerOf finds an answer by its id */
export function classPicture(
  pupils: readonly PupilPicture[],
  answerOf: (id: string) => InsightAnswer,
  nowMs: number,
  unusual: readonly Unusual[] = [],
): ClassPicture {
  const rungs = RUNG_IDS.filter((rung) => pupils.some(({ mastery }) => mastery[rung]));
  const byIdea = new Map<MisconceptionId, Holder[]>();
  for (const { id: pupilId, name, diagnosis } of pupils) {
    for (const finding of diagnosis.ideas.filter(isHeld)) {
      const shows = finding.evidence.map(answerOf);
      const [sinceMs, lastMs] = [shows.at(-1)!.atMs, shows[0]!.atMs];
      const holder = { pupilId, name, finding, sinceMs, lastMs, rung: mostOf(shows.map(({ rung }) => rung)) };
      byIdea.set(finding.id, [...(byIdea.get(finding.id) ?? []), holder]);
    }
  }
  const ideas = [...byIdea].map(([id, holders]) => ({
    id,
    holders: holders.sort((one, other) => other.finding.probability - one.finding.probability),
  }));
  return { nowMs, pupils, rungs, ideas: ideas.sort((one, other) => other.holders.length - one.holders.length), unusual };
}

/** What stands most often in a list; of several the last of them. */
export function mostOf<T>(list: readonly T[]): T {
  const counts = new Map<T, number>();
  for (const one of list) counts.set(one, (counts.get(one) ?? 0) + 1);
  return [...counts].reduce((best, one) => (one[1] >= best[1] ? one : best))[0];
}
