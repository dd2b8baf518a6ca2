import { CoreError } from '../../errors.js';
import type { Acts } from '../../acts/acts.js';
import { timeTyped, typedTime, type TypedTime } from '../../acts/typed-time.js';
import { rungsToTry, timeOnRung, type RungTimes } from '../../ladder/rung-times.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { tongueOf } from '../../talk/registry.js';
import type { Rng } from '../../random/rng.js';
import { displayText } from '../../time/display.js';
import { later } from '../../time/duration.js';
import { minuteOfHour, toSecondOfDay, type SecondOfDay } from '../../time/second-of-day.js';
import { plainHint } from '../kind-talk.js';
import { NO_PICTURE, pictureOnStage } from '../picture.js';
import type { ItemBase, Judgement, QuestionKind, ViewBase } from '../question-kind.js';
import { judgeTime } from '../shapes/time.js';
import { sameTimes, timesText, type TimesAnswer, type TimesShapeView } from '../shapes/times.js';
import { oneOf, slipOfTime } from '../slips.js';
import { isRightVerdict } from '../verdict.js';
import { TEXTS } from './texts.js';

/** A row of times with equal steps and gaps; the pupil fills the gaps. */
export interface PatternItem extends ItemBase {
  readonly kind: 'pattern';
  /** The first time, in seconds since midnight. */
  readonly startSec: number;
  /** From each time to the next, in minutes; backwards when negative. */
  readonly stepMin: number;
  /** How many times there are, 3 to 6. */
  readonly count: number;
  /** Places from 0 that are gaps, in order; the first two are never gaps, so that the step can be seen. */
  readonly gaps: readonly number[];
}

export interface PatternResponse extends TimesAnswer {
  readonly kind: 'pattern';
}

export interface PatternView extends ViewBase, TimesShapeView {
  readonly kind: 'pattern';
}

const timeAt = ({ startSec, stepMin }: PatternItem, place: number): SecondOfDay => later(toSecondOfDay(startSec), place * stepMin * 60);
const give = (times: readonly TypedTime[]): PatternResponse => ({
  kind: 'pattern',
  times: times.map(({ hour, minute }) => ({ hour, minute })),
});
const rowOf = (item: PatternItem, settings: LessonSettings, withGaps: boolean) =>
  Array.from({ length: item.count }, (_, place) =>
    withGaps && item.gaps.includes(place) ? null : displayText(timeAt(item, place), settings.separator),
  );

export const pattern: QuestionKind<PatternItem, PatternResponse, PatternView> = {
  name: 'Pattern with gaps',
  thinkSec: 34,
  shape: 'times',
  timesOf: (item) => Array.from({ length: item.count }, (_, place) => timeAt(item, place)),
  keyOf: (item) => give(item.gaps.map((place) => typedTime(timeAt(item, place)))),
  viewOf: (item, settings) => ({
    kind: 'pattern',
    shape: 'times',
    itemId: item.id,
    stem: TEXTS[tongueOf(settings)].stem,
    picture: NO_PICTURE,
    row: rowOf(item, settings, true),
    separator: settings.separator,
  }),
  judge,
  predict,
  isSame: (_item, predicted, given) => sameTimes(predicted, given),
  isPossible: (item, { times }) => times.length === item.gaps.length,
  doing: () => ['later', 'digits'],
  hint: (item, judgement, settings) => plainHint(judgement, pattern.lookAt(item, settings), settings),
  lookAt: (_item, settings) => TEXTS[tongueOf(settings)].lookAt,
  reason(item, settings) {
    const { step, back, minutes } = TEXTS[tongueOf(settings)];
    return [(item.stepMin > 0 ? step : back)(minutes(Math.abs(item.stepMin))), pattern.keySentence(item, settings)];
  },
  keySentence: (item, settings) =>
    TEXTS[tongueOf(settings)].are(item.gaps.map((place) => displayText(timeAt(item, place), settings.separator))),
  responseText: (_item, response) => timesText(response),
  asked: (item, settings) => ({
    ...pictureOnStage({
      ...NO_PICTURE,
      lines: [
        rowOf(item, settings, true)
          .map((time) => time ?? '___')
          .join('   '),
      ],
    }),
    stem: TEXTS[tongueOf(settings)].stem,
  }),
  answered: (item, settings) =>
    pictureOnStage({ ...NO_PICTURE, lines: [rowOf(item, settings, false).join('   '), ...pattern.reason(item, settings)] }),
  slip(item, rng) {
    const place = Math.floor(rng() * item.gaps.length);
    return give(
      item.gaps.map((gap, index) => {
        const at = timeAt(item, gap);
        return index === place ? slipOfTime(at, rng, (typed) => judgeTime(at, typed, 'of-12')) : typedTime(at);
      }),
    );
  },
  make,
  samples: [
    { id: 'sample-half', kind: 'pattern', startSec: 7200, stepMin: 30, count: 5, gaps: [2, 4] },
    { id: 'sample-hours', kind: 'pattern', startSec: 36_000, stepMin: 60, count: 5, gaps: [3, 4] },
    { id: 'sample-quarters', kind: 'pattern', startSec: 29_700, stepMin: 15, count: 5, gaps: [2, 3] },
    { id: 'sample-back', kind: 'pattern', startSec: 10_800, stepMin: -60, count: 4, gaps: [2, 3] },
    { id: 'sample-ten', kind: 'pattern', startSec: 24_600, stepMin: 10, count: 5, gaps: [2] },
  ],
};

function judge(item: PatternItem, { times }: PatternResponse): Judgement {
  const each = item.gaps.map((place, index) => judgeTime(timeAt(item, place), times[index] ?? { hour: '', minute: '' }, 'of-12'));
  const parts = each.flatMap((one) => one.parts);
  if (each.every(({ verdict }) => verdict === 'blank')) return { verdict: 'blank', parts };
  if (each.every(({ verdict }) => isRightVerdict(verdict))) return { verdict: 'right', parts };
  return { verdict: parts.some(({ part, right }) => part !== 'form' && right) ? 'partly' : 'not-yet', parts };
}

/** Each gap is filled from the time before it: from what they wrote there themselves where that was a gap, too. */
function predict(item: PatternItem, acts: Acts): PatternResponse[] {
  const ways = Math.max(...item.gaps.map((gap) => acts.later(timeAt(item, gap - 1), item.stepMin).length));
  return Array.from({ length: ways }, (_, way) => {
    const written = new Map<number, TypedTime>();
    for (const gap of item.gaps) {
      const own = written.get(gap - 1);
      const before = own ? nextFrom(own) : timeAt(item, gap - 1);
      if (before === null) written.set(gap, goneOn(own!, item.stepMin));
      else {
        const typed = acts.later(before, item.stepMin);
        const next = typed[Math.min(way, typed.length - 1)]!;
        written.set(gap, own && Number(own.hour) > 12 ? goneOn(own, item.stepMin) : next);
      }
    }
    return give(item.gaps.map((gap) => acts.digits(written.get(gap)!, null)[0]!));
  });
}

const nextFrom = (typed: TypedTime): SecondOfDay | null => timeTyped(typed);

/** Whoever has left the dial behind goes on as with plain numbers: 13, 14; 2:70, 2:80. */
function goneOn({ hour, minute }: TypedTime, stepMin: number): TypedTime {
  if (stepMin % 60 === 0) return { hour: String(Math.abs(Number(hour) + stepMin / 60)), minute };
  const minutes = Math.abs(Number(minute) + stepMin);
  const isCarried = Number(hour) > 12 && minutes > 59;
  return isCarried
    ? { hour: String(Number(hour) + 1), minute: String(minutes % 60).padStart(2, '0') }
    : { hour, minute: String(minutes).padStart(2, '0').slice(-2) };
}

/** Steps that stay on the rung; one in two rows goes over 12. */
function make(id: string, rng: Rng, wanted: RungTimes, _settings: LessonSettings): PatternItem {
  const count = 5;
  for (const rung of rungsToTry(wanted)) {
    const overTwelve = rng() < 0.5;
    const steps = [5, 10, 15, 20, 30, 60, 60, -60].filter((step) => rung.minutes.includes(Math.abs(step) % 60));
    const stepMin = steps[Math.floor(rng() * steps.length)]!;
    const drawn = timeOnRung(rung, rng);
    const startSec =
      overTwelve && stepMin > 0 ? later(toSecondOfDay(43_200 + (minuteOfHour(drawn) % stepMin) * 60), -2 * stepMin * 60) : drawn;
    const gaps = oneOf([[2, 3], [2, 4], [3, 4], [3]] as readonly (readonly number[])[] as [number[]], rng);
    const item: PatternItem = { id, kind: 'pattern', startSec, stepMin, count, gaps };
    if (pattern.timesOf(item).every((at) => rung.minutes.includes(minuteOfHour(at)))) return item;
  }
  throw new CoreError('ITEM_NOT_MADE', 'No such question could be made on this rung.');
}
