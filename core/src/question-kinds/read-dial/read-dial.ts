import { talkOf, tongueOf } from '../../lesson/talk/registry.js';
import { typedTime } from '../../acts/typed-time.js';
import { gearedPose } from '../../dial/pose.js';
import { timeOnRung } from '../../ladder/rung.js';
import { reasonFor } from '../../lesson/reason.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { PLAIN_LAYERS } from '../../scene/dial-state.js';
import { displayText } from '../../time/display.js';
import { toSecondOfDay } from '../../time/second-of-day.js';
import { aboutForm, countOnceMore, haveAGo, opener, partRight, whereToBegin } from '../kind-talk.js';
import { dialPicture } from '../picture.js';
import type { ItemBase, Judgement, QuestionKind, ViewBase } from '../question-kind.js';
import { written } from '../seen-as.js';
import { isRightPart, judgeTime, timeShape, type TimeAnswer, type TimeShapeView } from '../shapes/time.js';
import { slipOfTime } from '../slips.js';
import { timeStages } from '../time-stages.js';
import { TEXTS } from './texts.js';

/** A dial is shown; the pupil fills the two boxes of a display. */
export interface ReadDialItem extends ItemBase {
  readonly kind: 'read-dial';
  /** The time that is shown, in seconds since midnight. */
  readonly timeSec: number;
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
  keyOf: (item) => ({ kind: 'read-dial', ...typedTime(atOf(item)) }),
  viewOf: (item, settings) => ({
    kind: 'read-dial',
    shape: 'time',
    itemId: item.id,
    stem: TEXTS[tongueOf(settings)].stem,
    picture: dialPicture(gearedPose(atOf(item)), PLAIN_LAYERS),
    separator: settings.separator,
    asks: 'time',
  }),
  judge: (item, response) => judgeTime(atOf(item), response, 'dial'),
  predict: (item, acts) => written(acts.read(gearedPose(atOf(item))), acts).map((typed) => ({ kind: 'read-dial', ...typed })),
  doing: () => ['read', 'digits'],
  hint,
  lookAt: (item, settings) => whereToBegin(atOf(item), settings),
  reason: (item, settings) => reasonFor(atOf(item), settings),
  keySentence: (item, settings) => talkOf(settings).itIs(displayText(atOf(item), settings.separator)),
  asked: (item, settings) => timeStages(readDial.viewOf(item, settings)).asked,
  answered: (item, settings) => timeStages(readDial.viewOf(item, settings)).answered(atOf(item), reasonFor(atOf(item), settings), settings),
  slip: (item, rng, settings) => ({
    kind: 'read-dial',
    ...slipOfTime(atOf(item), rng, (typed) => readDial.judge(item, { kind: 'read-dial', ...typed }, settings)),
  }),
  make: (id, rng, rung) => ({ id, kind: 'read-dial', timeSec: timeOnRung(rung, rng) }),
  samples: [27_000, 0, 43_200, 45_300, 60_600, 21_900, 35_940, 3660].map((timeSec, index) => ({
    id: `sample-${index}`,
    kind: 'read-dial',
    timeSec,
  })),
};

function hint(item: ReadDialItem, judgement: Judgement, settings: LessonSettings): string {
  const at = atOf(item);
  const text = TEXTS[tongueOf(settings)];
  const time = displayText(at, settings.separator);
  const [hour, minute] = (['hour', 'minute'] as const).map((part) => isRightPart(judgement, part));
  if (judgement.verdict === 'blank') return haveAGo(settings);
  if (judgement.verdict === 'right') return text.right(time);
  if (judgement.verdict === 'right-other-form') return text.otherForm(time);
  if (hour && minute) return aboutForm('twoDigits', settings);
  if (minute) return `${partRight('minutesRight', settings)} ${talkOf(settings).hourReason(at, settings.betweenRule)}`;
  if (hour) return `${partRight('hourRight', settings)} ${countOnceMore(at, settings)}`;
  return `${opener(judgement, settings)} ${whereToBegin(at, settings)}`;
}
