import { type MasteryWord, masteryAnswer, masteryOf } from '@zeitpunkt/core/insight/mastery';
import { RUNG_IDS, type RungId } from '@zeitpunkt/core/ladder/registry';
import type { MisconceptionId } from '@zeitpunkt/core/misconceptions/registry';
import { isNotSure } from '@zeitpunkt/core/question-kinds/not-sure';
import { isRightVerdict } from '@zeitpunkt/core/question-kinds/verdict';
import { rungOfItem } from '@zeitpunkt/core/insight/rung-of-item';
import { ideaPair, pairOfAnswer } from '@zeitpunkt/core/misconceptions/idea-pair';
import type { ClassStanding, InsightLine, Pupil } from '@zeitpunkt/contract';
import { setImmediate } from 'node:timers/promises';

type Given = ReturnType<typeof masteryAnswer>;
type SessionLine = Extract<InsightLine, { line: 'session' }>;
type StoodOut = NonNullable<ClassStanding['stoodOut']>;

/** So many ideas are told of a lesson. */
const MOST_IDEAS = 3;

/** Where a class stands on each rung on which anything was answered, and what its lessons showed. @param lines all that it answered */
export async function classStanding(lines: AsyncIterable<string>, pupils: readonly Pupil[], nowMs: number): Promise<ClassStanding> {
  const answers = new Map(pupils.map(({ id }) => [id, new Map<RungId, Given[]>()]));
  const lastMs = new Map<string, number>();
  const lessons: ClassStanding['lessons'][number][] = [];
  let last: SessionLine | null = null;
  for await (const text of lines) {
    const line = JSON.parse(text) as InsightLine;
    // Which lesson cannot be read is told in the class review.
    if (line.line !== 'session') continue;
    lessons.push(countsOf(line));
    // What runs at own pace for days is looked on at; what stood out is told of the last lesson that was taught.
    if (line.answers.length > 0 && (line.pace === 'live' || last === null || last.pace === 'own')) last = line;
    const asked = new Map(line.askings.map(({ id, item }) => [id, { item, rung: rungOfItem(item, line) }]));
    for (const { pupilId, askingId, verdict, atMs } of line.answers) {
      const [own, question] = [answers.get(pupilId), asked.get(askingId)];
      if (!own || !question) continue;
      lastMs.set(pupilId, Math.max(atMs, lastMs.get(pupilId) ?? 0));
      const given = masteryAnswer({ item: question.item, settings: line.settings, verdict, atMs });
      const before = own.get(question.rung);
      if (before) before.push(given);
      else own.set(question.rung, [given]);
    }
  }
  const words = new Map<RungId, Record<MasteryWord, number>>();
  const reached = new Map<string, RungId>();
  for (const [pupilId, own] of answers) {
    await setImmediate();
    for (const rung of RUNG_IDS) {
      const given = own.get(rung);
      if (!given) continue;
      const counts = words.get(rung) ?? { sure: 0, nearly: 0, partly: 0, 'not-yet': 0, 'too-few': 0 };
      given.sort((one, other) => one.atMs - other.atMs);
      const { word } = masteryOf(given, nowMs);
      counts[word] += 1;
      words.set(rung, counts);
      if (word === 'sure' || word === 'nearly') reached.set(pupilId, rung);
    }
  }
  return {
    rungs: RUNG_IDS.flatMap((rung) => (words.has(rung) ? [{ rung, words: words.get(rung)! }] : [])),
    names: pupils,
    pupils: [...lastMs].map(([id, atMs]) => ({ id, rung: reached.get(id) ?? null, lastMs: atMs })),
    lessons,
    stoodOut: last && stoodOutIn(last, new Set(pupils.map(({ id }) => id))),
  };
}

function countsOf({ id, askings, answers }: SessionLine): ClassStanding['lessons'][number] {
  const questions = askings.map((asking) => {
    const own = answers.filter(({ askingId }) => askingId === asking.id);
    return { right: own.filter(({ verdict }) => isRightVerdict(verdict)).length, answers: own.length };
  });
  return { id, answered: new Set(answers.map(({ pupilId }) => pupilId)).size, questions };
}

/** Ideas that alone explain an answer, with whoever gave it: an answer that several explain counts for none of them. */
function stoodOutIn(line: SessionLine, present: ReadonlySet<string>): StoodOut {
  const items = new Map(line.askings.map(({ id, item }) => [id, item]));
  const found = new Map<MisconceptionId, { pupils: Set<string>; pair: StoodOut['ideas'][number]['pair'] }>();
  for (const { pupilId, askingId, response, ideas, verdict } of line.answers) {
    const [id] = ideas;
    const item = items.get(askingId);
    if (!id || !item || ideas.length > 1 || isRightVerdict(verdict) || isNotSure(response) || !present.has(pupilId)) continue;
    const idea = found.get(id) ?? { pupils: new Set(), pair: null };
    idea.pupils.add(pupilId);
    idea.pair ??= pairOfAnswer(item, response);
    found.set(id, idea);
  }
  const ideas = [...found]
    .map(([id, { pupils, pair }]) => ({ id, pupilIds: [...pupils], pair: pair ?? exampleOf(id, line) }))
    .sort((one, other) => other.pupilIds.length - one.pupilIds.length)
    .slice(0, MOST_IDEAS);
  const answered = new Set(line.answers.map(({ pupilId }) => pupilId)).size;
  return { sessionId: line.id, title: line.title, createdAtMs: line.createdAtMs, answered, ideas };
}

function exampleOf(id: MisconceptionId, line: SessionLine) {
  const [first] = line.askings;
  return first ? ideaPair(id, line.rung ?? rungOfItem(first.item, line), line.settings) : null;
}
