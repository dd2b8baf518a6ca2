import { seededRng, type Rng } from '../random/rng.js';
import { masteryOf, type MasteryAnswer } from './mastery.js';
import { MS_PER_DAY } from '../time/spans.js';

/** How often what is said of the mastery of simulated learners is so. */
export interface MeasuredMastery {
  readonly learners: number;
  /** Share of learners whose true mastery lies in the interval that is told. */
  readonly covered: number;
  /** The same by how many answers there were: up to 5, 6 to 12, more. */
  readonly coveredBy: readonly { readonly answers: string; readonly learners: number; readonly covered: number; readonly width: number }[];
  /** For each word: how many learners, their mean true mastery, and the lowest and highest tenth of it. */
  readonly words: readonly {
    readonly word: string;
    readonly learners: number;
    readonly mean: number;
    readonly from: number;
    readonly to: number;
  }[];
}

const logistic = (x: number) => 1 / (1 + Math.exp(-x));

/**
 * Learners who come to a rung knowing more or less of it, learn from each lesson by different amounts, forget between lessons
 * towards where they began with half-lives of their own, and answer 2 to 6 questions a lesson, some of which can be guessed.
 * None of this is how the model thinks of them: it knows neither gains nor half-lives.
 */
export function measureMastery(learners: number, seed: number): MeasuredMastery {
  const rng = seededRng(seed);
  const cases = Array.from({ length: learners }, () => oneLearner(rng));
  const share = (some: typeof cases) => (some.length === 0 ? 0 : some.filter(({ covered }) => covered).length / some.length);
  const groups = [
    { answers: 'up to 5', is: (count: number) => count <= 5 },
    { answers: '6 to 12', is: (count: number) => count > 5 && count <= 12 },
    { answers: 'more than 12', is: (count: number) => count > 12 },
  ];
  return {
    learners,
    covered: share(cases),
    coveredBy: groups.map(({ answers, is }) => {
      const some = cases.filter(({ count }) => is(count));
      const width = some.reduce((sum, one) => sum + one.width, 0) / Math.max(1, some.length);
      return { answers, learners: some.length, covered: share(some), width };
    }),
    words: ['sure', 'nearly', 'partly', 'not-yet', 'too-few'].map((word) => {
      const truths = cases
        .filter((one) => one.word === word)
        .map(({ truth }) => truth)
        .sort((one, other) => one - other);
      const at = (part: number) => truths[Math.floor(part * (truths.length - 1))] ?? 0;
      const mean = truths.reduce((sum, one) => sum + one, 0) / Math.max(1, truths.length);
      return { word, learners: truths.length, mean, from: at(0.1), to: at(0.9) };
    }),
  };
}

function oneLearner(rng: Rng) {
  const start = -1.4 + 3.2 * rng();
  const gain = 0.15 + 0.75 * rng();
  const halfLifeDays = 12 + 60 * rng();
  const lessons = 1 + Math.floor(6 * rng());
  const most = 2 + Math.floor(5 * rng());
  let learnt = 0;
  let atMs = 0;
  const answers: MasteryAnswer[] = [];
  for (let lesson = 0; lesson < lessons; lesson++) {
    if (lesson > 0) {
      const days = 2 + Math.floor(9 * rng());
      atMs += days * MS_PER_DAY;
      learnt *= 0.5 ** (days / halfLifeDays);
    }
    for (let question = 0; question < most; question++) {
      const guess = rng() < 0.3 ? 0.25 : 0.03;
      answers.push({ right: rng() < guess + (1 - guess) * logistic(start + learnt), guess, atMs: atMs + question * 90_000 });
      learnt += gain / most;
    }
  }
  const days = Math.floor(21 * rng());
  learnt *= 0.5 ** (days / halfLifeDays);
  const truth = logistic(start + learnt);
  const { interval, word } = masteryOf(answers, atMs + days * MS_PER_DAY);
  return { truth, word, count: answers.length, width: interval[1] - interval[0], covered: truth >= interval[0] && truth <= interval[1] };
}
