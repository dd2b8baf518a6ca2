import { talkOf, tongueOf } from '../../talk/registry.js';
import type { Acts } from '../../acts/acts.js';
import { timeTyped, typedTime, type TypedTime } from '../../acts/typed-time.js';
import { gearedPose } from '../../dial/pose.js';
import { timeOnRung, type RungTimes } from '../../ladder/rung-times.js';
import { reasonFor } from '../../talk/reason.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { PLAIN_LAYERS } from '../../scene/dial-state.js';
import type { Rng } from '../../random/rng.js';
import { displayText, displayText24, minuteDigits } from '../../time/display.js';
import { halfOfDay } from '../../time/occurrence.js';
import { hour12, hour24, minuteOfHour, toSecondOfDay } from '../../time/second-of-day.js';
import { aboutForm, countOnceMore, haveAGo, opener, partRight, whereToBegin } from '../kind-talk.js';
import { dialPicture } from '../picture.js';
import type { ItemBase, Judgement, QuestionKind, ViewBase } from '../question-kind.js';
import { inHalfOf, written } from '../seen-as.js';
import { isRightPart, judgeTime, timeShape, type TimeAnswer, type TimeShapeView } from '../shapes/time.js';
import { slipOfTime } from '../slips.js';
import { timeStages } from '../time-stages.js';
import { TEXTS } from './texts.js';

/** A dial is shown; the pupil fills the two boxes of a display. */
export interface ReadDialItem extends ItemBase {
  readonly kind: 'read-dial';
  /** The time that is shown, in seconds since midnight. */
  readonly timeSec: number;
  /** Written as a 24-hour display has it; the part of the day is told. As a display of 12 hours where it is absent. */
  readonly as?: 'of-24';
}

export interface ReadDialResponse extends TimeAnswer {
  readonly kind: 'read-dial';
}

export interface ReadDialView extends ViewBase, TimeShapeView {
  readonly kind: 'read-dial';
}

const atOf = (item: ReadDialItem) => toSecondOfDay(item.timeSec);

export const readDial: QuestionKind<ReadDialItem, ReadDialResponse, ReadDialView> = {
  ...timeShape,
  name: 'Read a dial',
  thinkSec: 18,
  timesOf: (item) => [atOf(item)],
  keyOf: (item) => ({ kind: 'read-dial', ...keyTyped(item) }),
  viewOf: (item, settings) => ({
    kind: 'read-dial',
    shape: 'time',
    itemId: item.id,
    stem: stemOf(item, settings),
    picture: dialPicture(gearedPose(atOf(item)), PLAIN_LAYERS),
    separator: settings.separator,
    asks: 'time',
  }),
  judge: (item, response) => judgeTime(atOf(item), response, item.as ?? 'dial'),
  isSame: (item, predicted, given) =>
    item.as === 'of-24'
      ? given.hour !== '' && Number(predicted.hour) === Number(given.hour) && predicted.minute === given.minute
      : timeShape.isSame(item, predicted, given),
  predict: (item, acts) => written(found(item, acts), acts).map((typed) => ({ kind: 'read-dial', ...typed })),
  doing: (item) => (item.as === 'of-24' ? ['read', 'to24', 'digits'] : ['read', 'digits']),
  hint,
  lookAt: (item, settings) => whereToBegin(atOf(item), settings),
  reason: reasonOf,
  keySentence: (item, settings) => talkOf(settings).itIs(shownTime(item, settings)),
  asked: (item, settings) => timeStages(readDial.viewOf(item, settings)).asked,
  answered: (item, settings) =>
    timeStages(readDial.viewOf(item, settings)).answered(
      atOf(item),
      reasonOf(item, settings),
      settings,
      keyTyped(item),
      item.as === 'of-24',
    ),
  slip: (item, rng, settings) => ({
    kind: 'read-dial',
    ...slipOfTime(atOf(item), rng, (typed) => readDial.judge(item, { kind: 'read-dial', ...typed }, settings), keyTyped(item)),
  }),
  make,
  samples: [
    { id: 'sample-of-24', kind: 'read-dial', timeSec: 63_900, as: 'of-24' },
    ...[27_000, 0, 43_200, 45_300, 60_600, 21_900, 35_940, 3660].map((timeSec, index) => ({
      id: `sample-${index}`,
      kind: 'read-dial' as const,
      timeSec,
    })),
  ],
};

const keyTyped = (item: ReadDialItem): TypedTime =>
  item.as === 'of-24'
    ? { hour: displayText24(atOf(item)).slice(0, 2), minute: minuteDigits(minuteOfHour(atOf(item))) }
    : typedTime(atOf(item));

/** What somebody who does the acts so finds, before it is written: for 24 hours read first, then put into the part of the day. */
function found(item: ReadDialItem, acts: Acts): readonly TypedTime[] {
  const read = acts.read(gearedPose(atOf(item)));
  if (item.as !== 'of-24') return read;
  return read.flatMap((typed) => {
    const time = timeTyped(typed);
    return time === null ? [typed] : acts.to24(inHalfOf(time, item.timeSec));
  });
}

function stemOf(item: ReadDialItem, settings: LessonSettings): string {
  const { stem, of24 } = TEXTS[tongueOf(settings)];
  return item.as === 'of-24' ? of24(halfOfDay(atOf(item))) : stem;
}

const shownTime = (item: ReadDialItem, { separator }: LessonSettings): string =>
  item.as === 'of-24' ? displayText24(atOf(item), separator) : displayText(atOf(item), separator);

/** On to 24 hours from what the dial shows. */
function reasonOf(item: ReadDialItem, settings: LessonSettings): readonly string[] {
  const at = atOf(item);
  const reasons = reasonFor(at, settings);
  return item.as === 'of-24' ? [...reasons, TEXTS[tongueOf(settings)].to24(hour12(at), hour24(at))] : reasons;
}

/** Where the rung is about 24 hours, most of them are written so. */
function make(id: string, rng: Rng, rung: RungTimes): ReadDialItem {
  const timeSec = timeOnRung(rung, rng);
  const isOf24 = rung.kinds.includes('convert-24') && rng() < PART_OF_24;
  return { id, kind: 'read-dial', timeSec, ...(isOf24 && { as: 'of-24' as const }) };
}

const PART_OF_24 = 0.8;

function hint(item: ReadDialItem, judgement: Judgement, settings: LessonSettings): string {
  const at = atOf(item);
  const text = TEXTS[tongueOf(settings)];
  const time = shownTime(item, settings);
  const [hour, minute] = (['hour', 'minute'] as const).map((part) => isRightPart(judgement, part));
  if (judgement.verdict === 'blank') return haveAGo(settings);
  if (judgement.verdict === 'right') return text.right(time);
  if (judgement.verdict === 'right-other-form') return text.otherForm(time);
  if (hour && minute) return aboutForm('twoDigits', settings);
  if (minute) {
    const why = item.as === 'of-24' ? text.to24(hour12(at), hour24(at)) : talkOf(settings).hourReason(at, settings.betweenRule);
    return `${partRight('minutesRight', settings)} ${why}`;
  }
  if (hour) return `${partRight('hourRight', settings)} ${countOnceMore(at, settings)}`;
  return `${opener(judgement, settings)} ${whereToBegin(at, settings)}`;
}
