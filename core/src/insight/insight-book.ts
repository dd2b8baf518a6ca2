import { diagnose } from '../diagnosis/diagnose.js';
import { RUNG_IDS, type RungId } from '../ladder/registry.js';
import type { LessonSettings } from '../lesson/settings.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import type { MisconceptionId } from '../misconceptions/registry.js';
import { changeBetween, type ClassChange } from './change.js';
import { classPicture, isHeld, pupilPicture, type ClassPicture, type PupilPicture } from './class-picture.js';
import type { InsightAnswer } from './insight-answer.js';
import { unusualIn, type Unusual } from './unusual.js';
import { masteryAnswer, masteryOf, type Mastery } from './mastery.js';

/** Which answers somebody wants to see; all that is named must fit. */
export interface AnswerFilter {
  readonly ids?: readonly string[];
  readonly pupilId?: string;
  readonly rung?: RungId;
  readonly sessionId?: string;
  /** Milliseconds since 1970; later ones are left out. */
  readonly untilMs?: number;
}

/** What a pupil had mastered, and which ideas were held, as far as could be told at the end of a lesson. */
export interface MasteryPoint {
  readonly sessionId: string;
  /** Milliseconds since 1970. */
  readonly atMs: number;
  readonly rungs: readonly { readonly rung: RungId; readonly mastery: Mastery }[];
  /** Settled or likely then. */
  readonly ideas: readonly MisconceptionId[];
}

/** All answers of a class that count, with what can be told from them: pictures are made when asked for, and from the same answers. */
export class InsightBook {
  private readonly byId = new Map<string, InsightAnswer>();
  private readonly byPupil = new Map<string, InsightAnswer[]>();
  /** Answers that were given on devices, by lesson and pupil. */
  private readonly bySession = new Map<string, Map<string, InsightAnswer[]>>();
  private readonly unusual = new Map<string, readonly Unusual[]>();

  /** @param answers in any order: each pupil's latest that counts to each asking */
  constructor(
    readonly pupils: readonly { readonly id: string; readonly name: string }[],
    answers: readonly InsightAnswer[],
  ) {
    for (const one of [...answers].sort((a, b) => a.atMs - b.atMs)) {
      this.byId.set(one.id, one);
      push(this.byPupil, one.pupilId, one);
      if (one.source !== 'device') continue;
      const session = this.bySession.get(one.sessionId) ?? new Map<string, InsightAnswer[]>();
      push(session, one.pupilId, one);
      this.bySession.set(one.sessionId, session);
    }
  }

  /** One pupil at a moment, in milliseconds since 1970. */
  pupil(id: string, nowMs: number): PupilPicture {
    const pupil = this.pupils.find((one) => one.id === id)!;
    return pupilPicture(pupil, this.byPupil.get(id) ?? [], nowMs);
  }

  /** The class at a moment, put together from its pupils. */
  picture(pupils: readonly PupilPicture[], nowMs: number): ClassPicture {
    return classPicture(pupils, (id) => this.byId.get(id)!, nowMs, this.unusualUntil(nowMs));
  }

  /** Of lessons that were over by then; each is looked at once. */
  private unusualUntil(nowMs: number): readonly Unusual[] {
    return [...this.bySession].flatMap(([sessionId, pupils]) => {
      if ([...pupils.values()].some((answers) => answers.at(-1)!.atMs > nowMs)) return [];
      let found = this.unusual.get(sessionId);
      if (!found) this.unusual.set(sessionId, (found = unusualIn(sessionId, pupils)));
      return found;
    });
  }

  /** What changed between two moments. */
  change(fromMs: number, toMs: number): ClassChange {
    const at = (ms: number) => this.picture(this.pupils.map(({ id }) => this.pupil(id, ms)), ms); // prettier-ignore
    return changeBetween(at(fromMs), at(toMs));
  }

  /** A pupil at the end of each lesson that they answered in, the oldest first. */
  weeks(pupilId: string): MasteryPoint[] {
    const own = this.byPupil.get(pupilId) ?? [];
    const ends = own.filter(({ sessionId }, index) => own[index + 1]?.sessionId !== sessionId);
    return ends.map(({ sessionId, atMs }) => {
      const seen = own.filter((one) => one.atMs <= atMs);
      const rungs = RUNG_IDS.flatMap((rung) => {
        const answers = seen.filter((one) => one.rung === rung).map(masteryAnswer);
        return answers.length > 0 ? [{ rung, mastery: masteryOf(answers, atMs) }] : [];
      });
      const ideas = diagnose(seen, atMs).ideas.filter(isHeld);
      return { sessionId, atMs, rungs, ideas: ideas.map(({ id }) => id) };
    });
  }

  /** Answers that fit, the newest first. */
  answers({ ids, pupilId, rung, sessionId, untilMs = Infinity }: AnswerFilter): InsightAnswer[] {
    const some = ids ? ids.flatMap((id) => this.byId.get(id) ?? []) : pupilId ? (this.byPupil.get(pupilId) ?? []) : [...this.byId.values()];
    return some
      .filter(
        (one) =>
          (!pupilId || one.pupilId === pupilId) &&
          (!rung || one.rung === rung) &&
          (!sessionId || one.sessionId === sessionId) &&
          one.atMs <= untilMs,
      )
      .sort((one, other) => other.atMs - one.atMs);
  }

  /** The highest rung on which anything was asked; null before that. */
  get reached(): RungId | null {
    const asked = new Set([...this.byId.values()].map(({ rung }) => rung));
    return RUNG_IDS.findLast((id) => asked.has(id)) ?? null;
  }

  /** The schools of the latest lesson. */
  get settings(): LessonSettings {
    return [...this.byId.values()].at(-1)?.settings ?? DEFAULT_SETTINGS;
  }
}

function push<K, T>(into: Map<K, T[]>, key: K, one: T): void {
  const own = into.get(key);
  if (own) own.push(one);
  else into.set(key, [one]);
}
