import type { RungId } from '@zeitpunkt/core/ladder/registry';
import type { CardPattern } from '@zeitpunkt/core/lesson/card-pattern';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import type { LessonSettings } from '@zeitpunkt/core/lesson/settings';
import type { SheetCopy } from '@zeitpunkt/core/paper/paper-wish';
import type { SheetVersion } from '@zeitpunkt/core/paper/versions';
import type { ClassPlan } from '@zeitpunkt/core/series/plan';
import { tongueOf } from '@zeitpunkt/core/talk/registry';
import type { PaperWished } from '../../shared/paper/paper-maker';
import type { PAPER_WORDS } from './words';

/** Everything there is to print from, as far as it is there. */
export interface PaperMatter {
  readonly lesson: Lesson | null;
  readonly settings: LessonSettings;
  readonly rung: RungId;
  /** The one that a chart is wanted of. */
  readonly chartRung: RungId;
  readonly plan: ClassPlan | null;
  readonly versions: readonly SheetVersion[];
  /** Whether the versions are still being drawn. */
  readonly isDrawing: boolean;
  readonly copies: readonly SheetCopy[];
  readonly withKey: boolean;
  readonly cards: number;
}

type Words = ReturnType<typeof PAPER_WORDS>;

export type PaperId = keyof Words['papers'];

/** A paper in the list. */
export interface Paper {
  readonly id: PaperId;
  /** What is missing for it to be made; null where nothing is. */
  needs(matter: PaperMatter, words: Words['needs']): string | null;
  wish(matter: PaperMatter): PaperWished;
}

/** As many as a lesson file has room for. */
const MOST_QUESTIONS = 100;

const nothing = () => null;
const ofLesson: Paper['needs'] = ({ lesson }, words) => (lesson ? null : words.lesson);
function questionsOf({ lesson, versions, isDrawing }: PaperMatter, words: Words['needs']): string | null {
  if (lesson!.items.length === 0) return words.nothingAsked;
  if (isDrawing) return words.drawing;
  const count = versions.reduce((sum, { items }) => sum + items.length, 0);
  if (count === 0) return words.oneAtLeast;
  return count > MOST_QUESTIONS ? words.tooMany(MOST_QUESTIONS) : null;
}
const patternOf = ({ plan }: PaperMatter): CardPattern | null => plan?.cards?.pattern ?? null;

/** What can be printed: the things of a lesson first, then what every class uses. */
export const PAPERS: readonly Paper[] = [
  {
    id: 'sheet',
    needs: (matter, words) => ofLesson(matter, words) ?? questionsOf(matter, words),
    wish: ({ lesson, rung, versions, copies, withKey, settings }) => {
      return { kind: 'sheet', title: lesson!.title, code: '', versions, copies, withKey, rung, settings };
    },
  },
  {
    id: 'lesson',
    needs: ofLesson,
    wish: ({ lesson }) => ({ kind: 'lesson', lesson: lesson! }),
  },
  {
    id: 'chart',
    needs: nothing,
    wish: ({ chartRung, settings }) => ({ kind: 'chart', rung: chartRung, settings }),
  },
  {
    id: 'cut-out-dial',
    needs: nothing,
    wish: ({ settings }) => ({ kind: 'cut-out-dial', tongue: tongueOf(settings) }),
  },
  {
    id: 'zones',
    needs: nothing,
    wish: ({ settings }) => ({ kind: 'zones', tongue: tongueOf(settings) }),
  },
  {
    id: 'pencil-dial',
    needs: nothing,
    wish: ({ settings }) => ({ kind: 'pencil-dial', tongue: tongueOf(settings) }),
  },
  {
    id: 'fraction-strip',
    needs: nothing,
    wish: ({ settings }) => ({ kind: 'fraction-strip', tongue: tongueOf(settings) }),
  },
  {
    id: 'day-line',
    needs: nothing,
    wish: ({ plan, settings }) => ({ kind: 'day-line', events: plan?.daily ?? [], tongue: tongueOf(settings) }),
  },
  {
    id: 'daily-cards',
    needs: ({ plan }, words) => (plan === null ? words.class : plan.cards ? null : words.noCards),
    wish: (matter) => ({
      kind: 'daily-cards',
      pattern: patternOf(matter)!,
      from: (matter.plan?.cards?.shown ?? 0) + 1,
      count: matter.cards,
      settings: matter.settings,
    }),
  },
];
