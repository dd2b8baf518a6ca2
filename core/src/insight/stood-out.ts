import { misconceptionOf, type MisconceptionId } from '../misconceptions/registry.js';
import { isNotSure } from '../question-kinds/not-sure.js';
import { isRightVerdict } from '../question-kinds/verdict.js';
import { capital } from '../words/capital.js';
import { answersByPupil } from './by-pupil.js';
import type { InsightAnswer } from './insight-answer.js';
import type { ItemFacts } from './item-facts.js';

/** A sentence on what stood out in a lesson, with the answers that it is about. */
export interface StoodOut {
  readonly text: string;
  readonly answers: readonly InsightAnswer[];
}

/** What is looked at for what stood out. */
export interface LessonSeen {
  /** In the order asked, with the name that each is known by ("1", on one version of a sheet "1 B"), and what it asks again. */
  readonly questions: readonly { readonly name: string; readonly facts: ItemFacts; readonly againOf: string | null }[];
  /** The answers that count, each with the ideas that its mark names. */
  readonly answers: readonly (InsightAnswer & { readonly ideas: readonly MisconceptionId[] })[];
}

export const MOST_SENTENCES = 5;
/** Below such a share a question was hard, from such a number of answers on. */
const HARD = 0.5;
const ENOUGH = 5;
/** So many answers of one pupil tell something. */
const ENOUGH_OF_ONE = 3;

/**
 * What a teacher should know of a lesson first, in at most five sentences: doubtful keys, ideas, pupils whom it was too hard for,
 * changes, hard questions.
 */
export function stoodOut(seen: LessonSeen): StoodOut[] {
  const found = [
    ...doubts(seen),
    ...ideas(seen),
    ...tooHardFor(seen),
    ...changes(seen),
    ...hardest(seen),
    ...notSure(seen),
    ...nothingNew(seen),
  ];
  return found.slice(0, MOST_SENTENCES);
}

const all = ({ facts }: LessonSeen['questions'][number]) => facts.groups.flatMap(({ answers }) => answers);
const people = (count: number) => (count === 1 ? 'one pupil' : `${count} pupils`);

/** "question 1", "questions 1, 2 and 4". */
function namesOf(word: string, names: readonly string[]): string {
  return names.length === 1 ? `${word} ${names[0]}` : `${word}s ${names.slice(0, -1).join(', ')} and ${names.at(-1)}`;
}

function doubts({ questions }: LessonSeen): StoodOut[] {
  return questions.flatMap(({ name, facts: { doubt } }) =>
    doubt
      ? [
          {
            text: `Look at the key of question ${name}: most of those who got the rest right gave “${doubt.text}”.`,
            answers: doubt.answers,
          },
        ]
      : [],
  );
}

/** The two ideas that would explain most. An answer that several ideas explain counts for each in part. */
function ideas({ questions, answers }: LessonSeen): StoodOut[] {
  const byIdea = new Map<MisconceptionId, { weight: number; answers: InsightAnswer[] }>();
  for (const one of answers) {
    for (const id of one.ideas) {
      const idea = byIdea.get(id) ?? { weight: 0, answers: [] };
      idea.weight += 1 / one.ideas.length;
      idea.answers.push(one);
      byIdea.set(id, idea);
    }
  }
  return [...byIdea]
    .sort(([, one], [, other]) => other.weight - one.weight)
    .filter(([, { answers: shows }]) => new Set(shows.map(({ pupilId }) => pupilId)).size >= 2)
    .slice(0, 2)
    .map(([id, { answers: shows }]) => {
      const count = new Set(shows.map(({ pupilId }) => pupilId)).size;
      const askings = new Set(shows.map(({ askingId }) => askingId));
      const where = questions.filter(({ facts }) => askings.has(facts.askingId)).map(({ name }) => name);
      const places = where.length > 3 ? `${where.length} questions` : namesOf('question', where);
      return { text: `“${misconceptionOf(id).name}” would explain answers of ${people(count)}, in ${places}.`, answers: shows };
    });
}

/** Pupils who had fewer than half right, whether an idea explains that or not: in a small class nothing else may show it. */
function tooHardFor({ answers }: LessonSeen): StoodOut[] {
  const isRight = ({ verdict }: InsightAnswer) => isRightVerdict(verdict);
  const lost = [...answersByPupil(answers).values()].filter(
    (own) => own.length >= ENOUGH_OF_ONE && own.filter(isRight).length / own.length < HARD,
  );
  if (lost.length === 0) return [];
  const shows = lost.flat().filter((one) => !isRight(one));
  const unsure = shows.filter(({ response }) => isNotSure(response)).length;
  const said = unsure > 0 ? ` “Not sure” was said ${unsure === 1 ? 'once' : unsure === 2 ? 'twice' : `${unsure} times`}.` : '';
  return [{ text: `${capital(people(lost.length))} had fewer than half of their answers right.${said}`, answers: shows }];
}

/** Questions that were asked again: how many more got them right. */
function changes({ questions }: LessonSeen): StoodOut[] {
  return questions.flatMap((again) => {
    const first = questions.find(({ facts }) => facts.askingId === again.againOf);
    if (!first || again.facts.answered === 0 || first.facts.answered === 0) return [];
    const { right, answered } = again.facts;
    const before = `${first.facts.right} of ${first.facts.answered}`;
    return [{ text: `Asked again, question ${first.name} was right for ${right} of ${answered}; at first for ${before}.`, answers: all(again) }]; // prettier-ignore
  });
}

function hardest({ questions }: LessonSeen): StoodOut[] {
  const share = ({ facts }: LessonSeen['questions'][number]) => facts.right / facts.answered;
  const hard = questions.filter(({ facts }) => facts.answered >= ENOUGH && facts.right / facts.answered < HARD);
  const [one] = hard.sort((a, b) => share(a) - share(b));
  if (!one) return [];
  return [{ text: `Question ${one.name} was the hardest: right for ${one.facts.right} of ${one.facts.answered}.`, answers: all(one) }];
}

function notSure({ questions }: LessonSeen): StoodOut[] {
  const [most] = questions
    .map((one) => ({ one, unsure: all(one).filter(({ response }) => isNotSure(response)) }))
    .sort((a, b) => b.unsure.length - a.unsure.length);
  if (!most || most.unsure.length < 2) return [];
  return [{ text: `In question ${most.one.name}, ${people(most.unsure.length)} said that they were not sure.`, answers: most.unsure }];
}

function nothingNew({ questions }: LessonSeen): StoodOut[] {
  const known = questions.filter(({ facts }) => facts.separates === 'all-right' && facts.answered >= ENOUGH);
  if (known.length === 0) return [];
  const names = `${namesOf(
    'Question',
    known.map(({ name }) => name),
  )} ${known.length === 1 ? 'was' : 'were'}`;
  return [{ text: `${names} right for everybody: nothing was to be found out there.`, answers: known.flatMap(all) }];
}
