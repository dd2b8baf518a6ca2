import { RUNG_IDS, RUNGS, type RungId } from '../ladder/registry.js';
import type { Rung } from '../ladder/rung.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import type { MisconceptionId } from '../misconceptions/registry.js';
import { QUESTION_KINDS, type Item } from '../question-kinds/registry.js';
import { seededRng } from '../rehearsal/rng.js';
import { simulateResponse } from '../rehearsal/simulated-pupil.js';
import { designSet } from './design-set.js';
import { diagnose } from './diagnose.js';
import { LEAST_CHANCES, THRESHOLDS } from './model.js';
import { poolOf } from './pool.js';

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
const SKILLS = [0.5, 0.7, 0.88, 1] as const;
const POOL = 600;

interface Case {
  readonly rung: RungId;
  readonly idea: MisconceptionId;
  readonly skill: number;
  readonly count: number;
  readonly probability: number;
  readonly isHeld: boolean;
}

/**
 * Measures the diagnosis on simulated pupils, who answer the real kinds of questions by rules of their own (rehearsal/): each
 * holds none, one or two of the usual ideas of a rung and follows them at 75 to 95 of a hundred chances, has one of four
 * skills, and slips at up to 15 of a hundred answers. All rungs in turn, each with a set that was designed for its ideas.
 */
export function measureDiagnosis({ pupils, questions, seed }: { pupils: number; questions: number; seed: number }): MeasuredDiagnosis {
  const rng = seededRng(seed);
  const sets = new Map(RUNG_IDS.map((id) => [id, setFor(RUNGS[id], questions, seed)]));
  const cases: Case[] = [];
  const mistaken = new Map<string, number>();
  for (let pupil = 0; pupil < pupils; pupil++) {
    const rung = RUNG_IDS[pupil % RUNG_IDS.length]!;
    const usual: readonly MisconceptionId[] = RUNGS[rung].misconceptions;
    const count = Math.floor(rng() * 3);
    const held = new Set<MisconceptionId>();
    while (held.size < count) held.add(usual[Math.floor(rng() * usual.length)]!);
    const skill = SKILLS[Math.floor(rng() * SKILLS.length)]!;
    const profile = {
      misconceptions: [...held],
      firmness: 0.75 + 0.2 * rng(),
      carelessness: 0.15 * rng(),
      skill,
      paceMs: 8000,
    };
    const answered = sets.get(rung)!.map((item) => ({
      id: item.id,
      item,
      response: simulateResponse(profile, item, DEFAULT_SETTINGS, rng).response,
      settings: DEFAULT_SETTINGS,
      atMs: 0,
    }));
    const { ideas } = diagnose(answered, 0);
    const enough = ideas.filter(({ chances }) => chances >= LEAST_CHANCES);
    const isSaid = ({ probability }: { readonly probability: number }) => probability >= THRESHOLDS.likely.probability;
    for (const { id, probability } of enough) {
      cases.push({ rung, idea: id, skill, count: held.size, probability, isHeld: held.has(id) });
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

/** Twelve questions, say, for the usual ideas of a rung; ids differ, as they do in a lesson. */
function setFor(rung: Rung, questions: number, seed: number): Item[] {
  const ideas = rung.misconceptions.map((id) => ({ id, weight: 1 }));
  const pool = [...poolOf(POOL, rung, DEFAULT_SETTINGS, seed)];
  const set = designSet(
    pool,
    { count: questions, ideas },
    rung,
    DEFAULT_SETTINGS,
    seededRng(seed),
    ({ kind }) => QUESTION_KINDS[kind].thinkSec,
  );
  return (set?.items ?? []).map((item, index) => ({ ...item, id: `q${index + 1}` }));
}

function measured(cases: readonly Case[]): Measured {
  const isSaid = ({ probability }: Case) => probability >= THRESHOLDS.likely.probability;
  const held = cases.filter(({ isHeld }) => isHeld);
  const said = cases.filter(isSaid);
  const bins = binsOf(cases);
  const off = bins.reduce((sum, { count, mean, held: share }) => sum + count * Math.abs(mean - share), 0);
  return {
    recall: held.length === 0 ? 1 : held.filter(isSaid).length / held.length,
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
