import type { HandId, Pose } from '../dial/pose.js';
import { gearedPose, turnDeg } from '../dial/pose.js';
import type { SecondOfDay } from '../time/second-of-day.js';
import { capital } from '../words/capital.js';
import type { WordPack } from '../words/pack.js';
import type { LessonSettings } from '../lesson/settings.js';

type BetweenRule = LessonSettings['betweenRule'];

/**
 * How a lesson talks about a dial, in one language: as a teacher says it to a six-year-old. What a question kind or a
 * misconception says of itself stands in its own folder; what several of them say is here.
 */
export interface Talk {
  /** Opens a worked example. */
  readonly look: string;
  /** The same, with what is special about where the hands of a time stand: one over the other, both up. */
  lookAt(at: SecondOfDay): string;
  /** What is to be set: "Set the clock to 7:40." */
  setTo(given: string): string;
  /** What the taught wording of a time means in digits. */
  means(at: SecondOfDay, pack: WordPack): string;
  /** The full hour from which hands are set. */
  startAt(at: SecondOfDay): string;
  /** Where the short hand goes, and the long one. */
  putHour(at: SecondOfDay): string;
  putMinute(at: SecondOfDay): string;
  /** A look at hands that are set: where the short hand has come to. */
  isSet(at: SecondOfDay): string;
  /** Said in a recording at a question. */
  readonly stopHere: string;
  /** Parts of a recorded lesson, and its questions by their numbers, from and to. */
  readonly chapters: {
    readonly beginning: string;
    readonly watch: string;
    readonly turn: (from: number, to: number) => string;
    readonly end: string;
  };
  /** Opens the way round for those without a printer. */
  readonly noPrinter: string;
  /** One hand alone: what is asked, and what it tells. */
  readonly oneHand: Readonly<Record<HandId, (at: SecondOfDay) => string>> & {
    readonly ask: Readonly<Record<HandId, string>>;
    readonly both: (words: string) => string;
  };
  /** Two hands put by themselves: what is asked, whether they can be a time and why, and what comes after. */
  readonly possible: {
    readonly ask: string;
    readonly verdict: (pose: Pose) => string;
    readonly moved: string;
    readonly mended: string;
  };
  /** A wrong reading to be explained. */
  readonly mistake: { readonly wrote: (reading: string) => string; readonly how: (reading: string) => string };
  /** Opens the talk about an answer that somebody gave. */
  readonly howCouldSomebody: string;
  readonly cards: { readonly number: (card: number) => string; readonly guess: string };
  /** How a pupil goes about it: which hand first, and how the hour is found between two numerals. */
  readonly criteria: {
    readonly order: Readonly<Record<LessonSettings['readingOrder'], string>>;
    readonly between: Readonly<Record<BetweenRule, string>>;
  };
  /** What each hand is for. */
  readonly tells: Readonly<Record<HandId, string>>;
  /** Where a hand points: "at 6", "just past 6", "between 6 and 7", "almost at 7". */
  where(deg: number): string;
  /** Why the hour is this one, once it is clear that the short hand is meant: "It has passed 7, not 8 yet: 7." */
  shortHour(at: SecondOfDay, rule: BetweenRule): string;
  /** The same as a whole sentence, for a board or a pupil who reads it alone. */
  hourReason(at: SecondOfDay, rule: BetweenRule): string;
  /** The minutes as they are counted, once it is clear that the long hand is meant: "5, 10, 15 … 35." */
  shortMinutes(at: SecondOfDay): string;
  minuteReason(at: SecondOfDay): string;
  /** How long it is to the coming hour, past the half. */
  left(at: SecondOfDay): string;
  /** How the time is said: the wording that is taught first, and others as what others say. */
  wordings(at: SecondOfDay, pack: WordPack): string;
  /** Lines of the board. */
  readonly board: {
    readonly hand: (where: string) => string;
    readonly hour: (hour: number) => string;
    readonly longHand: string;
    readonly noMinutes: string;
    readonly left: (at: SecondOfDay) => string;
  };
  /** What to ask about the short hand where it stands between two numerals: "which numeral has it passed?" */
  readonly whichHour: Readonly<Record<BetweenRule, string>>;
  /** What to ask where it points at one. */
  readonly whichNumeral: string;
  /** A time in digits or words as a sentence: "It is 7:30." */
  itIs(time: string): string;
}

/** Minutes before and after a full hour in which the short hand seems to be at its numeral. */
export const CLOSE_MIN = 4;

/** From this minute on the short hand seems to be at the next numeral already. */
export const SEEMS_NEXT_MIN = 50;

/** Degrees within which the hands look like one, or nearly so. */
const TOGETHER_DEG = 10;

/** Whether both hands of a time point the same way, as far as a child can see. */
export function handsTogether(at: SecondOfDay): boolean {
  const { hourDeg, minuteDeg } = gearedPose(at);
  return Math.abs(turnDeg(hourDeg, minuteDeg)) <= TOGETHER_DEG;
}

/** How far the short hand has gone from its numeral, in the words that a child has for it. */
export function partOfHour(minute: number): PartOfHour {
  if (minute === 0) return 'at';
  if (minute <= CLOSE_MIN) return 'just-past';
  if (minute < 11) return 'a-little';
  if (minute < 23) return 'quarter';
  if (minute <= 37) return 'half';
  if (minute < 50) return 'three-quarters';
  return minute < 60 - CLOSE_MIN ? 'close' : 'almost';
}

/** "Just past" and "almost" are a few minutes, here as everywhere. */
type PartOfHour = 'at' | 'just-past' | 'a-little' | 'quarter' | 'half' | 'three-quarters' | 'close' | 'almost';

/** The numbers of a count round the dial: in fives, and tick by tick from the last of them; the middle of a long one left out. */
export function countedTo(minute: number, and: ', and' | ' und'): string {
  const fives = Math.floor(minute / 5) * 5;
  const ones = Array.from({ length: minute - fives }, (_, index) => fives + index + 1).join(', ');
  if (fives === 0) return ones;
  const counted = fives <= 20 ? [5, 10, 15, 20].filter((one) => one <= fives).join(', ') : `5, 10, 15 … ${fives}`;
  return ones ? `${counted}${and} ${ones}` : counted;
}

/** The sentence with a capital letter and a full stop. */
export const sentence = (words: string): string => `${capital(words)}.`;
