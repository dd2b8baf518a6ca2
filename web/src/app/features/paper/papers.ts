import {
  tongueOf,
  type CardPattern,
  type ClassPlan,
  type Lesson,
  type LessonSettings,
  type RungId,
  type SheetCopy,
  type SheetVersion,
} from '@zeitpunkt/core';
import type { PaperWished } from '../../shared/paper/paper-maker';

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

/** A paper in the list. */
export interface Paper {
  readonly id: string;
  readonly name: string;
  /** What it is for. */
  readonly what: string;
  /** What is missing for it to be made; null where nothing is. */
  needs(matter: PaperMatter): string | null;
  wish(matter: PaperMatter): PaperWished;
}

/** As many as a lesson file has room for. */
const MOST_QUESTIONS = 100;

const nothing = () => null;
const ofLesson = ({ lesson }: PaperMatter) => (lesson ? null : 'Choose a lesson.');
function questionsOf({ lesson, versions, isDrawing }: PaperMatter): string | null {
  if (lesson!.items.length === 0) return 'This lesson asks nothing yet.';
  if (isDrawing) return 'The versions are being drawn …';
  const count = versions.reduce((sum, { items }) => sum + items.length, 0);
  if (count === 0) return 'Choose at least one question.';
  return count > MOST_QUESTIONS ? `A sheet holds ${MOST_QUESTIONS} questions in all of its versions: choose fewer of either.` : null;
}
const patternOf = ({ plan }: PaperMatter): CardPattern | null => plan?.cards?.pattern ?? null;

/** What can be printed: the things of a lesson first, then what every class uses. */
export const PAPERS: readonly Paper[] = [
  {
    id: 'sheet',
    name: 'Sheet of questions',
    what: 'The questions of the lesson with room for the answers, in versions of the same difficulty, and the key.',
    needs: (matter) => ofLesson(matter) ?? questionsOf(matter),
    wish: ({ lesson, rung, versions, copies, withKey, settings }) => {
      return { kind: 'sheet', title: lesson!.title, code: '', versions, copies, withKey, rung, settings };
    },
  },
  {
    id: 'lesson',
    name: 'Lesson on one page',
    what: 'For you, beside the screen: when each beat begins, what is said, and the answers.',
    needs: ofLesson,
    wish: ({ lesson }) => ({ kind: 'lesson', lesson: lesson! }),
  },
  {
    id: 'chart',
    name: 'Reference chart',
    what: 'The times of this rung as dial, display and words, to lay beside the work.',
    needs: nothing,
    wish: ({ chartRung, settings }) => ({ kind: 'chart', rung: chartRung, settings }),
  },
  {
    id: 'cut-out-dial',
    name: 'Dial to cut out',
    what: 'A dial with twelve flaps that fold up to show the minutes, and both hands. Thin card holds best.',
    needs: nothing,
    wish: ({ settings }) => ({ kind: 'cut-out-dial', tongue: tongueOf(settings) }),
  },
  {
    id: 'zones',
    name: 'Zones to colour',
    what: 'Each hour has a zone from its numeral to the next; then short hands alone.',
    needs: nothing,
    wish: ({ settings }) => ({ kind: 'zones', tongue: tongueOf(settings) }),
  },
  {
    id: 'pencil-dial',
    name: 'Dial with a pencil',
    what: 'For homes without a printer: read these six steps out, or send the page.',
    needs: nothing,
    wish: ({ settings }) => ({ kind: 'pencil-dial', tongue: tongueOf(settings) }),
  },
  {
    id: 'fraction-strip',
    name: 'Hour as a strip',
    what: 'Whole, halves, quarters and fives of an hour, to cut and lay under each other.',
    needs: nothing,
    wish: ({ settings }) => ({ kind: 'fraction-strip', tongue: tongueOf(settings) }),
  },
  {
    id: 'day-line',
    name: 'Day line',
    what: 'Four strips to glue together, with the daily times of the class that is chosen.',
    needs: nothing,
    wish: ({ plan, settings }) => ({ kind: 'day-line', events: plan?.daily ?? [], tongue: tongueOf(settings) }),
  },
  {
    id: 'daily-cards',
    name: 'Daily cards',
    what: 'The next cards of the class: a dial each, its time folded behind.',
    needs: ({ plan }) =>
      plan === null ? 'Choose a class.' : plan.cards ? null : 'This class has no daily cards. Begin them on the ladder.',
    wish: (matter) => ({
      kind: 'daily-cards',
      pattern: patternOf(matter)!,
      from: (matter.plan?.cards?.shown ?? 0) + 1,
      count: matter.cards,
      settings: matter.settings,
    }),
  },
];
