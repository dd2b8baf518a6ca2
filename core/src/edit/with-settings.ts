import type { Beat } from '../beats/registry.js';
import { criteriaOf } from '../ladder/criteria.js';
import { RUNGS } from '../ladder/registry.js';
import { kindOf } from '../question-kinds/registry.js';
import type { SecondOfDay } from '../time/second-of-day.js';
import { WORD_PACKS } from '../words/registry.js';
import { bestWording, say } from '../words/say.js';
import type { Lesson } from '../lesson/lesson.js';
import type { LessonSettings } from '../lesson/settings.js';
import { talkOf, tongueOf } from '../talk/registry.js';

type Swap = readonly [from: string, to: string];

/**
 * The lesson in another school of practice, with everything in it that was written for the one before: what pupils are to know,
 * and in parts that were drafted the sentences that follow the school and the wordings of times. Own words stay as they are.
 */
export function withSettings(lesson: Lesson, change: Partial<LessonSettings>): Lesson {
  const settings = { ...lesson.settings, ...change };
  const criteria = swapsOfCriteria(lesson, settings);
  const swaps = [...criteria, ...swapsOfTalk(lesson.settings, settings), ...swapsOfWordings(lesson, settings)];
  return {
    ...lesson,
    settings,
    successCriteria: lesson.successCriteria.map((one) => criteria.find(([from]) => from === one)?.[1] ?? one),
    beats: lesson.beats.map((beat) => ('text' in beat ? ({ ...beat, text: swapped(beat.text, swaps) } as Beat) : beat)),
  };
}

/** Each place of a text is changed once, by the longest that fits there: "half past two" before "two". */
function swapped(text: string, swaps: readonly Swap[]): string {
  const to = new Map(swaps.filter(([from, next]) => from !== '' && from !== next));
  if (to.size === 0 || text === '') return text;
  const longestFirst = [...to.keys()].sort((one, other) => other.length - one.length).map((one) => one.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')); // prettier-ignore
  const places = new RegExp(`(^|\\P{L})(${longestFirst.join('|')})(?!\\p{L})`, 'gu');
  return text.replace(places, (_, before: string, found: string) => before + to.get(found)!);
}

/** What pupils are to know, as the rung of the lesson says it in either school. */
function swapsOfCriteria({ rung, settings }: Lesson, next: LessonSettings): readonly Swap[] {
  if (!rung) return [];
  const after = criteriaOf(RUNGS[rung], next);
  return criteriaOf(RUNGS[rung], settings).map((one, place) => [one, after[place]!]);
}

/** Sentences of the talk about mistakes that follow the rule of a school. */
function swapsOfTalk(before: LessonSettings, next: LessonSettings): readonly Swap[] {
  if (tongueOf(before) !== tongueOf(next)) return [];
  return [[talkOf(before).whichHour[before.betweenRule], talkOf(next).whichHour[next.betweenRule]]];
}

/** The times of the lesson as either school words them, in the same language. */
function swapsOfWordings(lesson: Lesson, next: LessonSettings): readonly Swap[] {
  const { settings } = lesson;
  if (settings.pack === next.pack || tongueOf(settings) !== tongueOf(next)) return [];
  return timesIn(lesson).flatMap((at) => {
    const best = [settings, next].map(({ pack }) => bestWording(at, WORD_PACKS[pack])) as [string, string];
    const known = say(at, WORD_PACKS[next.pack]);
    const others = say(at, WORD_PACKS[settings.pack]).filter((one) => one !== best[0] && !known.includes(one));
    return [best, ...others.map((one): Swap => [one, best[1]])];
  });
}

function timesIn({ items, beats }: Lesson): readonly SecondOfDay[] {
  const shown = beats.flatMap((beat) => ('timeSec' in beat ? [beat.timeSec as SecondOfDay] : []));
  return [...items.flatMap((item) => kindOf(item).timesOf(item)), ...shown];
}
