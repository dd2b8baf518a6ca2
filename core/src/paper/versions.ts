import { RUNGS, type RungId } from '../ladder/registry.js';
import type { LessonSettings } from '../lesson/settings.js';
import { kindOf, QUESTION_KINDS, type Item } from '../question-kinds/registry.js';
import { predictionsOf } from '../question-kinds/predictions.js';
import { paperAnswerOf } from './answers/registry.js';
import { seededRng } from '../random/rng.js';
import { minuteOfHour, SECONDS_PER_HALF_DAY } from '../time/second-of-day.js';
import { dialLetter } from '../scene/describe-stage.js';

/** So many versions of a sheet there may be. */
export const MOST_VERSIONS = 6;

/** One version of a sheet: other questions, as hard as those of the others. */
export interface SheetVersion {
  /** "A" to "F". */
  readonly letter: string;
  readonly items: readonly Item[];
}

const DRAWS = 48;
/** So much of an id is kept in those of its versions, which have 40 characters at most. */
const LONGEST_STEM = 32;

/** A question as it is asked on paper. */
export const onPaper = (item: Item): Item => kindOf(item).onPaper?.item?.(item) ?? item;

/**
 * Versions of a set of questions: the first asks them as they are, each further one asks others of the same kinds in the same
 * order, about times of the same sort and with as many wrong ideas at work. No two versions ask the same where there is
 * anything else to ask.
 * @param seed whole number; the same one gives the same versions
 * @param count 1 to {@link MOST_VERSIONS}
 */
export function sheetVersions(items: readonly Item[], rung: RungId, settings: LessonSettings, count: number, seed: number): SheetVersion[] {
  const first: SheetVersion = { letter: dialLetter(0), items: items.map(onPaper) };
  const versions = [first];
  const ids = new Set(items.map(({ id }) => id));
  for (let version = 1; version < Math.min(MOST_VERSIONS, count); version++) {
    const own: Item[] = [];
    for (const [place, like] of items.entries()) {
      const taken = new Set([...versions.map((one) => one.items[place]!), ...own].map(textOf));
      const id = freeId(`${like.id.slice(0, LONGEST_STEM)}-${dialLetter(version).toLowerCase()}`);
      own.push(anotherAsHard(like, id, rung, settings, seed * 1009 + version * 131 + place, taken));
    }
    versions.push({ letter: dialLetter(version), items: own });
  }
  return versions;

  /** An id that no question of the sheet has: a lesson may have a “q1-b” of its own. */
  function freeId(wanted: string): string {
    let id = wanted;
    for (let more = 2; ids.has(id); more++) id = `${wanted}${more}`;
    ids.add(id);
    return id;
  }

  function textOf(item: Item): string {
    const { stem, picture } = kindOf(item).viewOf(item, settings);
    return JSON.stringify([item.kind, stem, picture, kindOf(item).keySentence(item, settings)]);
  }

  function anotherAsHard(like: Item, id: string, on: RungId, school: LessonSettings, from: number, taken: ReadonlySet<string>): Item {
    const rng = seededRng(from);
    const minutes = minutesLike(like);
    const wanted = hardnessOf(like, school);
    const ideas = predictionsOf(like, school).size;
    const rungs = [...(minutes ? [{ ...RUNGS[on], minutes }] : []), RUNGS[on]];
    let best: { readonly item: Item; readonly far: number } | null = null;
    for (let draw = 0; draw < DRAWS; draw++) {
      const item = onPaper(QUESTION_KINDS[like.kind].make(id, rng, rungs[draw < DRAWS / 2 ? 0 : rungs.length - 1]!, school) as Item);
      // What ideas make of a question takes longest to find out: only where the rest is as good.
      const plain = differenceBetween(hardnessOf(item, school), wanted);
      if (best && plain >= best.far) continue;
      const far = plain + (taken.has(textOf(item)) ? 100 : 0) + Math.abs(predictionsOf(item, school).size - ideas);
      if (!best || far < best.far) best = { item, far };
      if (best.far === 0) break;
    }
    return best!.item;
  }
}

/** Minutes of the same sort as those an item is about; null where it is about no time. */
function minutesLike(item: Item): readonly number[] | null {
  const sorts = [
    ...new Set(
      kindOf(item)
        .timesOf(item)
        .map((at) => sortOf(minuteOfHour(at))),
    ),
  ];
  if (sorts.length === 0) return null;
  return Array.from({ length: 60 }, (_, minute) => minute).filter((minute) => sorts.includes(sortOf(minute)));
}

/** What makes minutes as hard as others: whole, half, quarters; fives and ones, past and to. */
function sortOf(minute: number): string {
  if (minute === 0) return 'whole';
  if (minute % 15 === 0) return String(minute);
  return `${minute % 5 === 0 ? 'fives' : 'ones'} ${minute < 30 ? 'past' : 'to'}${minute < 10 ? ' one digit' : ''}`;
}

/** How far one question is from being as hard as another, ideas aside: 0 for the same form, sort of times and size. */
function differenceBetween(a: Hardness, b: Hardness): number {
  return (
    (a.form === b.form ? 0 : 20) +
    (a.sorts === b.sorts ? 0 : 10) +
    3 * Math.abs(a.size - b.size) +
    (a.acrossTwelve === b.acrossTwelve ? 0 : 2)
  );
}

/** How it is asked, not what about: words, switches and how many lines. */
function formOf({ id: _id, ...item }: Item): string {
  return JSON.stringify(
    Object.entries(item).filter(([name, value]) => typeof value === 'string' || typeof value === 'boolean' || name === 'lines'),
  );
}

type Hardness = ReturnType<typeof hardnessOf>;

function hardnessOf(item: Item, settings: LessonSettings) {
  const times = kindOf(item).timesOf(item);
  const view = kindOf(item).viewOf(item, settings);
  return {
    form: formOf(item),
    sorts: times.map((at) => sortOf(minuteOfHour(at))).join(),
    acrossTwelve: times.some((at) => at % SECONDS_PER_HALF_DAY < 3600),
    size: paperAnswerOf(view).isWide(view) && 'choices' in view ? view.choices.length : 0,
  };
}
