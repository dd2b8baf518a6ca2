import { RUNG_IDS, RUNGS, type RungId } from '../ladder/registry.js';
import type { Rung } from '../ladder/rung.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import type { MisconceptionId } from '../misconceptions/registry.js';
import { QUESTION_KINDS, type Item } from '../question-kinds/registry.js';
import { predictionsOf } from '../question-kinds/predictions.js';
import { seededRng, type Rng } from '../random/rng.js';
import { simulateResponse, type PupilProfile } from '../rehearsal/simulated-pupil.js';
import { designSet } from './design-set.js';
import { diagnose, type Answered, type IdeaFinding } from './diagnose.js';
import { LEAST_CHANCES } from './model.js';
import { poolOf } from './pool.js';
import { MS_PER_DAY } from '../time/spans.js';

/** How often what the diagnosis says of simulated pupils is so, over ideas that had enough chances. */
export interface Measured {
  /** Of the ideas that are held, the share that is said to be; 1 where none is held. */
  readonly recall: number;
  /** Of the ideas that are said to be held, the share that is; 1 where none is said to be. */
  readonly precision: number;
  /** How far probabilities are off the share that is held, in ten bins, weighted by how many fall in each. */
  readonly calibrationError: number;
  /** Ideas that are held and had enough chances. */
  readonly held: number;
  /** Ideas that are said to be held, with or without reason, and had enough chances. */
  readonly said: number;
}

export interface MeasuredDiagnosis {
  readonly all: Measured;
  readonly byRung: ReadonlyMap<RungId, Measured>;
  readonly byIdea: ReadonlyMap<MisconceptionId, Measured>;
  readonly bySkill: ReadonlyMap<number, Measured>;
  readonly byCount: ReadonlyMap<number, Measured>;
  /** Ideas that were taken for others, the most frequent first. */
  readonly mistaken: readonly { readonly held: MisconceptionId; readonly said: MisconceptionId; readonly count: number }[];
  /** For each bin of ten, how many probabilities fell in it, their mean, and the share that is held. */
  readonly bins: readonly { readonly count: number; readonly mean: number; readonly held: number }[];
}

/** Skills of simulated pupils: other numbers than those that the model takes for granted. */
const SKILLS = [0.55, 0.8, 0.92, 1] as const;
const POOL = 300;
/** Questions of a set; more than that are further sets, in further lessons. */
const SET = 8;
const DAYS_BETWEEN = 3;
const MS_PER_ANSWER = 60_000;

interface Case {
  readonly rung: RungId;
  readonly idea: MisconceptionId;
  readonly skill: number;
  readonly count: number;
  readonly probability: number;
  readonly isHeld: boolean;
  readonly isSaid: boolean;
}

/** A pupil with habits unlike the model's: rote o'clock, ideas held in reading alone, unevenly, some careless, some weak. */
function profileOf(held: readonly MisconceptionId[], skill: number, rng: Rng): PupilProfile {
  const heart = rng();
  return {
    misconceptions: held,
    firmness: 0.6 + 0.35 * rng(),
    carelessness: 0.03 + 0.15 * rng(),
    skill,
    paceMs: 8000,
    habits: {
      ...(heart < 0.7 && { byHeart: heart < 0.35 ? ('halves' as const) : ('hours' as const) }),
      ...(rng() < 0.35 && { onlyReads: true as const }),
      uneven: 0.2 * rng(),
      usualMistakes: rng() < 0.5 ? 0.6 * rng() : 0,
    },
  };
}

/** Half of the pupils hold no idea, a third one, the rest two. */
const heldBy = (share: number): number => (share < 0.5 ? 0 : share < 0.83 ? 1 : 2);

const isSaid = ({ sureness }: Pick<IdeaFinding, 'sureness'>): boolean => sureness === 'settled' || sureness === 'likely';

/**
 * Measures the diagnosis on simulated pupils, who answer the real kinds of questions by rules of their own (rehearsal/): half
 * hold none of the usual ideas of a rung, a third one, the rest two, followed at 60 to 95 of a hundred chances, with habits that
 * the model does not have. All rungs in turn, each with sets that were designed for its ideas, a lesson for each eight questions.
 */
export function measureDiagnosis({ pupils, questions, seed }: { pupils: number; questions: number; seed: number }): MeasuredDiagnosis {
  const rng = seededRng(seed);
  const sets = new Map(RUNG_IDS.map((id) => [id, setsFor(RUNGS[id], questions, seed)]));
  const cases: Case[] = [];
  const mistaken = new Map<string, number>();
  for (let pupil = 0; pupil < pupils; pupil++) {
    const rung = RUNG_IDS[pupil % RUNG_IDS.length]!;
    const usual: readonly MisconceptionId[] = RUNGS[rung].misconceptions;
    const count = heldBy(rng());
    const held = new Set<MisconceptionId>();
    while (held.size < count) held.add(usual[Math.floor(rng() * usual.length)]!);
    const skill = SKILLS[Math.floor(rng() * SKILLS.length)]!;
    const profile = profileOf([...held], skill, rng);
    const answered = sets.get(rung)!.map((item, place) => answer(profile, item, place, rng));
    const { ideas } = diagnose(answered, answered.at(-1)?.atMs ?? 0);
    const enough = ideas.filter(({ chances }) => chances >= LEAST_CHANCES);
    for (const one of enough) {
      cases.push({
        rung,
        idea: one.id,
        skill,
        count: held.size,
        probability: one.probability,
        isHeld: held.has(one.id),
        isSaid: isSaid(one),
      });
    }
    const missed = enough.filter((one) => held.has(one.id) && !isSaid(one));
    for (const said of enough.filter((one) => isSaid(one) && !held.has(one.id))) {
      for (const { id } of missed) mistaken.set(`${id} ${said.id}`, (mistaken.get(`${id} ${said.id}`) ?? 0) + 1);
    }
  }
  return {
    all: measured(cases),
    byRung: grouped(cases, ({ rung }) => rung),
    byIdea: grouped(cases, ({ idea }) => idea),
    bySkill: grouped(cases, ({ skill }) => skill),
    byCount: grouped(cases, ({ count }) => count),
    mistaken: [...mistaken]
      .map(([key, count]) => {
        const [held, said] = key.split(' ') as [MisconceptionId, MisconceptionId];
        return { held, said, count };
      })
      .sort((one, other) => other.count - one.count),
    bins: binsOf(cases),
  };
}

/** One answer, in the lesson in which it comes. */
function answer(profile: PupilProfile, item: Item, place: number, rng: Rng): Answered {
  const atMs = Math.floor(place / SET) * DAYS_BETWEEN * MS_PER_DAY + (place % SET) * MS_PER_ANSWER;
  return { id: item.id, item, response: simulateResponse(profile, item, DEFAULT_SETTINGS, rng).response, settings: DEFAULT_SETTINGS, atMs };
}

/** Sets for the usual ideas of a rung, one after the other; ids differ, as they do in lessons. */
function setsFor(rung: Rung, questions: number, seed: number): Item[] {
  const ideas = rung.misconceptions.map((id) => ({ id, weight: 1 }));
  const items: Item[] = [];
  for (let set = 0; items.length < questions; set++) {
    const pool = [...poolOf(POOL, rung, DEFAULT_SETTINGS, seed + set)];
    const count = Math.min(SET, questions - items.length);
    const designed = designSet(
      pool,
      { count, ideas },
      rung,
      DEFAULT_SETTINGS,
      seededRng(seed + set),
      ({ kind }) => QUESTION_KINDS[kind].thinkSec,
    );
    if (!designed || designed.items.length === 0) break;
    items.push(...designed.items.map((item, index) => ({ ...item, id: `s${set}-${index + 1}` })));
  }
  return items;
}

/** Of pupils who were said to hold an idea and have let go of it: how many are said to hold it still, after so many answers that could have shown it. */
export function measureLettingGo({
  pupils,
  seed,
}: {
  pupils: number;
  seed: number;
}): readonly { readonly answers: number; readonly pupils: number; readonly said: number }[] {
  const rng = seededRng(seed);
  const after = [0, 1, 2, 4, 8, 12].map((answers) => ({ answers, pupils: 0, said: 0 }));
  const sets = new Map(RUNG_IDS.map((id) => [id, setsFor(RUNGS[id], 2 * SET, seed)]));
  for (let pupil = 0; pupil < pupils; pupil++) {
    const rung = RUNG_IDS[pupil % RUNG_IDS.length]!;
    const usual: readonly MisconceptionId[] = RUNGS[rung].misconceptions;
    const idea = usual[Math.floor(rng() * usual.length)]!;
    const profile = profileOf([idea], 0.95, rng);
    const before = sets.get(rung)!.map((item, place) => answer(profile, item, place, rng));
    const saysIt = (answered: readonly Answered[]) =>
      diagnose(answered, answered.at(-1)!.atMs).ideas.some((one) => one.id === idea && isSaid(one));
    if (!saysIt(before)) continue;
    const could = [...poolOf(POOL, RUNGS[rung], DEFAULT_SETTINGS, seed + pupil)].filter((item) =>
      predictionsOf(item, DEFAULT_SETTINGS).has(idea),
    );
    const free = { ...profile, misconceptions: [] };
    const since = could.slice(0, 12).map((item, place) => answer(free, { ...item, id: `n${place}` }, 2 * SET + place, rng));
    for (const one of after) {
      if (since.length < one.answers) continue;
      one.pupils += 1;
      if (saysIt([...before, ...since.slice(0, one.answers)])) one.said += 1;
    }
  }
  return after;
}

function measured(cases: readonly Case[]): Measured {
  const held = cases.filter(({ isHeld }) => isHeld);
  const said = cases.filter((one) => one.isSaid);
  const bins = binsOf(cases);
  const off = bins.reduce((sum, { count, mean, held: share }) => sum + count * Math.abs(mean - share), 0);
  return {
    recall: held.length === 0 ? 1 : held.filter((one) => one.isSaid).length / held.length,
    precision: said.length === 0 ? 1 : said.filter(({ isHeld }) => isHeld).length / said.length,
    calibrationError: cases.length === 0 ? 0 : off / cases.length,
    held: held.length,
    said: said.length,
  };
}

function binsOf(cases: readonly Case[]): { readonly count: number; readonly mean: number; readonly held: number }[] {
  return Array.from({ length: 10 }, (_, bin) => {
    const inBin = cases.filter(({ probability }) => Math.min(9, Math.floor(probability * 10)) === bin);
    const count = inBin.length;
    const mean = count === 0 ? 0 : inBin.reduce((sum, { probability }) => sum + probability, 0) / count;
    return { count, mean, held: count === 0 ? 0 : inBin.filter(({ isHeld }) => isHeld).length / count };
  });
}

function grouped<Key>(cases: readonly Case[], keyOf: (one: Case) => Key): Map<Key, Measured> {
  const groups = new Map<Key, Case[]>();
  for (const one of cases) groups.set(keyOf(one), [...(groups.get(keyOf(one)) ?? []), one]);
  return new Map([...groups].map(([key, group]) => [key, measured(group)]));
}
