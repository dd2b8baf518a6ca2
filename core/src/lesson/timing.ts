import type { Beat } from '../beats/registry.js';
import { rungIdOf } from '../ladder/registry.js';
import { kindOf } from '../question-kinds/registry.js';
import { seededRng } from '../random/rng.js';
import { anotherLike } from '../run/another.js';
import { secondOfDay, minuteOfHour, toSecondOfDay } from '../time/second-of-day.js';
import type { Lesson } from './lesson.js';
import { addExample, addQuestion, removeBeat, type ScriptEdit } from '../edit/edit.js';
import { prepareLesson, type PreparedLesson } from './prepare.js';
import { thinkSecondsFor } from './think-times.js';

/** A change that brings a lesson nearer to the time it is to take. */
export interface TimingOffer {
  /** What the button says: "Take out the example of 4:20". */
  readonly label: string;
  /** Seconds that the lesson gets shorter (negative) or longer by. */
  readonly bySec: number;
  readonly apply: ScriptEdit;
}

/** How long a lesson takes against what was wanted, and the best places to change that. */
export interface Timing {
  readonly totalMs: number;
  readonly targetMs: number;
  /** Up to three, the one that comes nearest to the target first; none where the lesson is on time. */
  readonly offers: readonly TimingOffer[];
}

/** Off by less than this nobody minds. */
const ON_TIME_MS = 30_000;
export const isOnTime = (totalMs: number, targetMs: number): boolean => Math.abs(totalMs - targetMs) <= ON_TIME_MS;
const MOST_OFFERS = 3;

/** The timing of a lesson. */
export function timingOf(prepared: PreparedLesson): Timing {
  const { lesson, totalMs } = prepared;
  const targetMs = lesson.targetMinutes * 60_000;
  const offMs = totalMs - targetMs;
  if (isOnTime(totalMs, targetMs)) return { totalMs, targetMs, offers: [] };
  const candidates = offMs > 0 ? cutsOf(prepared) : stretchesOf(prepared);
  const measured = candidates.flatMap(({ label, apply }): TimingOffer[] => {
    const bySec = Math.round((prepareLesson(apply(lesson)).totalMs - totalMs) / 1000);
    const helps = offMs > 0 ? bySec < 0 : bySec > 0;
    return helps ? [{ label, bySec, apply }] : [];
  });
  const leftMs = ({ bySec }: TimingOffer) => Math.abs(offMs + bySec * 1000);
  const better = measured.filter((offer) => leftMs(offer) < Math.abs(offMs));
  return { totalMs, targetMs, offers: [...better].sort((a, b) => leftMs(a) - leftMs(b)).slice(0, MOST_OFFERS) };
}

type Candidate = Pick<TimingOffer, 'label' | 'apply'>;

const numberOf = (lesson: Lesson, beat: Beat) => lesson.beats.findIndex(({ id }) => id === beat.id) + 1;

/** What can go: examples of minutes that another one has, questions that are neither the first nor the last, long thinks, paper. */
function cutsOf({ lesson, context, steps }: PreparedLesson): Candidate[] {
  const examples = lesson.beats.flatMap((beat) => (beat.kind === 'worked-example' ? [beat] : []));
  const asks = lesson.beats.flatMap((beat) => (beat.kind === 'ask' ? [beat] : []));
  const isAgain = (timeSec: number) =>
    examples.filter((one) => minuteOfHour(toSecondOfDay(one.timeSec)) === minuteOfHour(toSecondOfDay(timeSec))).length > 1;
  const hasOthers = (itemId: string) => asks.filter((one) => context.itemOf(one.itemId).kind === context.itemOf(itemId).kind).length > 1;
  const cuts: Candidate[] = lesson.beats.flatMap((beat): Candidate[] => {
    const number = numberOf(lesson, beat);
    if (beat.kind === 'worked-example' && (isAgain(beat.timeSec) || examples.length > 2))
      return [{ label: `Take out the example, beat ${number}`, apply: removeBeat(beat.id) }];
    if (beat.kind === 'ask' && asks.length > 2 && beat !== asks[0] && beat !== asks.at(-1) && hasOthers(beat.itemId))
      return [{ label: `Take out the question, beat ${number}`, apply: removeBeat(beat.id) }];
    if (beat.kind === 'task' || beat.kind === 'chart' || beat.kind === 'possible' || beat.kind === 'mistake' || beat.kind === 'verse')
      return [{ label: `Take out beat ${number}`, apply: removeBeat(beat.id) }];
    return [];
  });
  const thinks = thinkTimes(lesson, context.itemOf);
  const shorter = thinks.filter(({ seconds, usual }) => seconds > usual);
  if (shorter.length > 0)
    cuts.push({ label: 'Give usual time to think', apply: withThinkTimes(shorter.map(({ id, usual }) => [id, usual])) });
  return steps.length > 1 ? cuts : [];
}

/** What can be added: time to think, an example of other minutes, questions of either direction. */
function stretchesOf({ lesson, context }: PreparedLesson): Candidate[] {
  const thinks = thinkTimes(lesson, context.itemOf);
  const items = lesson.items;
  const times = items.flatMap((item) => kindOf(item).timesOf(item));
  const lastExample = lesson.beats.findLastIndex(({ kind }) => kind === 'worked-example');
  const afterExample = lesson.beats[lastExample + 1]?.id ?? null;
  const lastAsk = lesson.beats.findLast(({ kind }) => kind === 'ask')?.id ?? null;
  const rng = seededRng(lesson.beats.length);
  const rung = lesson.rung ?? rungIdOf(times);
  const longer = thinks.map(({ id, seconds, usual }) => [id, Math.max(seconds, Math.round(usual * 1.5))] as const);
  const [first] = items;
  const offers: Candidate[] = [];
  if (thinks.length > 0) offers.push({ label: 'Give more time to think', apply: withThinkTimes(longer) });
  const minute = minuteOfHour(times.find((at) => minuteOfHour(at) > 0) ?? secondOfDay(0, 0));
  const taken = new Set(lesson.beats.flatMap((beat) => (beat.kind === 'worked-example' ? [beat.timeSec % 43_200] : [])));
  const hour = [5, 11, 9, 1, 7, 3, 12].find((one) => !taken.has((one % 12) * 3600 + minute * 60)) ?? 5;
  offers.push({ label: 'Add an example', apply: addExample(secondOfDay(hour % 12, minute), afterExample) });
  if (first) {
    const more = (count: number): ScriptEdit => {
      const made = Array.from({ length: count }, (_, index) => {
        const like = items[(items.length - 1 - index + items.length) % items.length]!;
        return anotherLike(like, items, 'new', lesson.settings, rng);
      });
      return (one) => made.reduce((now, item) => addQuestion(item, thinkSecondsFor(item.kind, rung), lastAsk)(now), one);
    };
    offers.push({ label: 'Add a question', apply: more(1) });
    if (items.length > 1) offers.push({ label: 'Add two questions', apply: more(2) });
  }
  return offers;
}

/** The thinks of a lesson with the time that is usual for their kind on its rung, in seconds. */
function thinkTimes(lesson: Lesson, itemOf: PreparedLesson['context']['itemOf']) {
  return lesson.beats.flatMap((beat) => {
    if (beat.kind !== 'think') return [];
    const item = itemOf(beat.itemId);
    const usual = thinkSecondsFor(item.kind, lesson.rung ?? rungIdOf(kindOf(item).timesOf(item)));
    return [{ id: beat.id, seconds: beat.seconds, usual }];
  });
}

const withThinkTimes =
  (times: readonly (readonly [id: string, seconds: number])[]): ScriptEdit =>
  (lesson) => {
    const byId = new Map(times);
    return {
      ...lesson,
      beats: lesson.beats.map((beat) =>
        beat.kind === 'think' && byId.has(beat.id) ? { ...beat, seconds: Math.min(300, byId.get(beat.id)!) } : beat,
      ),
    };
  };
