import type { ActId } from '../acts/acts.js';
import { changesAnyOf } from '../misconceptions/distorted-acts.js';
import { rungAfter, RUNG_IDS, RUNGS, type RungId } from '../ladder/registry.js';
import type { LessonSettings } from '../lesson/settings.js';
import { tongueOf } from '../talk/registry.js';
import type { MisconceptionId } from '../misconceptions/registry.js';
import type { Tongue } from '../words/pack.js';
import { isHeld, type PupilPicture } from './class-picture.js';
import { openRungs } from './stands-on.js';

/** One page about a pupil for whoever is at home with them: kind, without ranks and probabilities. The teacher edits it before it goes out. */
export interface HomePage {
  readonly can: string;
  readonly next: string;
  readonly tryThis: string;
}

/** What stands over each part of the page, in the language of the class's lessons. */
export interface HomeHeadings extends Readonly<Record<keyof HomePage, string>> {
  readonly title: string;
}

const HEADINGS: Readonly<Record<Tongue, HomeHeadings>> = {
  en: { title: 'Reading the clock', can: 'This works already', next: 'What comes next', tryThis: 'One thing to try at home' },
  de: { title: 'Die Uhr lesen', can: 'Das geht schon', next: 'Was als Nächstes kommt', tryThis: 'Etwas zum Ausprobieren zu Hause' },
};

export const homeHeadings = (tongue: Tongue): HomeHeadings => HEADINGS[tongue];

/** The parts of the page in the order in which they stand on it. */
export const HOME_PARTS = ['can', 'next', 'tryThis'] as const satisfies readonly (keyof HomePage)[];

interface Texts {
  can(name: string, topics: readonly string[]): string;
  begun(name: string): string;
  nearly(topics: readonly string[]): string;
  next(topic: string): string;
  /** What the pupil goes on with while the class is further. */
  again(name: string, topic: string): string;
  last: string;
  /** What to look at together, by the act that an idea is about. */
  together: Partial<Record<ActId, string>>;
}

const TEXTS: Record<Tongue, Texts> = {
  en: {
    can: (name, topics) => `${name} is sure of ${joined(topics, 'and')}.`,
    begun: (name) => `${name} has begun to read the clock.`,
    nearly: (topics) => `Nearly there: ${joined(topics, 'and')}.`,
    next: (topic) => `Next in class: ${topic}.`,
    again: (name, topic) => `${name} looks once more at ${topic}.`,
    last: 'All that we planned is learnt: now the clock is read whenever there is one.',
    together: {
      read: 'Whenever you look at a clock together, ask about the short hand first: which number has it passed already?',
      set: 'When you set hands together, look where the short hand goes while the long one turns: it moves on, too.',
      mean: 'Say a time in words and point at once: is it before or after the full hour?',
      digits: 'Write a time as a digital clock shows it, always with two digits for the minutes: 6:05.',
      count: 'Count the minutes aloud from the 12, in fives, the way the hands go.',
      word: 'Say each time in two ways: “ten to four” and “three fifty”.',
      later: 'Count on aloud past twelve: ten, eleven, twelve, one, two.',
      between: 'Count how long something takes in two steps: up to the full hour first, then the rest.',
    },
  },
  de: {
    can: (name, topics) => `${name} kann schon sicher: ${joined(topics, 'und')}.`,
    begun: (name) => `${name} hat angefangen, die Uhr zu lesen.`,
    nearly: (topics) => `Fast geschafft: ${joined(topics, 'und')}.`,
    next: (topic) => `Als Nächstes in der Klasse: ${topic}.`,
    again: (name, topic) => `${name} schaut sich noch einmal an: ${topic}.`,
    last: 'Alles, was wir vorhatten, ist gelernt: Jetzt wird die Uhr gelesen, wo immer eine ist.',
    together: {
      read: 'Fragt bei jeder Uhr zuerst nach dem kurzen Zeiger: An welcher Zahl ist er schon vorbei?',
      set: 'Schaut beim Stellen, wohin der kurze Zeiger geht, während sich der lange dreht: Er wandert mit.',
      mean: 'Sagt eine Zeit in Wörtern und zeigt sofort: Ist das vor oder nach der vollen Stunde?',
      digits: 'Schreibt eine Zeit wie auf einer Digitaluhr, die Minuten immer mit zwei Ziffern: 6:05.',
      count: 'Zählt die Minuten laut von der 12 aus, in Fünferschritten, in der Richtung der Zeiger.',
      word: 'Sagt jede Zeit auf zwei Weisen: „zehn vor vier“ und „drei Uhr fünfzig“.',
      later: 'Zählt laut über zwölf hinaus: zehn, elf, zwölf, eins, zwei.',
      between: 'Zählt in zwei Schritten, wie lange etwas dauert: erst bis zur vollen Stunde, dann den Rest.',
    },
  },
};

const joined = (list: readonly string[], and: string) =>
  list.length < 2 ? list.join('') : `${list.slice(0, -1).join(', ')} ${and} ${list.at(-1)}`;

/**
 * The first wording of a pupil's page for home, in the language of the class's lessons.
 * @param reached the highest rung that the class was taught; what comes next is said from there
 */
export function homePage({ name, mastery, diagnosis }: PupilPicture, reached: RungId | null, settings: LessonSettings): HomePage {
  const tongue = tongueOf(settings);
  const texts = TEXTS[tongue];
  const sure = RUNG_IDS.filter((id) => mastery[id]?.word === 'sure');
  const open = openRungs({ mastery });
  const nearly = open.filter((id) => mastery[id]?.word === 'nearly');
  const topics = (ids: readonly RungId[]) => ids.map((id) => RUNGS[id].topic[tongue]);
  const can = [
    sure.length > 0 ? texts.can(name, topics(sure)) : texts.begun(name),
    ...(nearly.length > 0 ? [texts.nearly(topics(nearly))] : []),
  ];
  const rung = open[0] ?? (reached ? rungAfter(reached) : 'whole-hours');
  const held = diagnosis.ideas.find(isHeld);
  const together = held && texts.together[actOf(held.id, settings) ?? 'read'];
  return {
    can: can.join(' '),
    next: nextWords(name, rung, reached, tongue),
    tryThis: [RUNGS[rung ?? 'any-minute'].atHome[tongue], ...(together ? [together] : [])].join(' '),
  };
}

/** What comes next for this pupil: what the class goes on with, or what it has had already and this pupil has not got yet. */
function nextWords(name: string, rung: RungId | null, reached: RungId | null, tongue: Tongue): string {
  const texts = TEXTS[tongue];
  if (!rung) return texts.last;
  const hasHad = reached !== null && RUNG_IDS.indexOf(rung) <= RUNG_IDS.indexOf(reached);
  if (!hasHad) return texts.next(RUNGS[rung].topic[tongue]);
  const ofClass = rungAfter(reached);
  return [texts.again(name, RUNGS[rung].topic[tongue]), ...(ofClass ? [texts.next(RUNGS[ofClass].topic[tongue])] : [])].join(' ');
}

/** The first act that an idea distorts, of those that there is something to say about. */
function actOf(id: MisconceptionId, settings: LessonSettings): ActId | null {
  return (Object.keys(TEXTS.en.together) as ActId[]).find((act) => changesAnyOf(id, [act], settings)) ?? null;
}
