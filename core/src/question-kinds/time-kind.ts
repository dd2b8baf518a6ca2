import type { ActId, Acts } from '../acts/acts.js';
import { typedTime, type TypedTime } from '../acts/typed-time.js';
import type { RungTimes } from '../ladder/rung-times.js';
import type { LessonSettings } from '../lesson/settings.js';
import { talkOf } from '../talk/registry.js';
import type { Rng } from '../random/rng.js';
import { displayText } from '../time/display.js';
import type { SecondOfDay } from '../time/second-of-day.js';
import { aboutForm, haveAGo, opener, partRight } from './kind-talk.js';
import { NO_PICTURE, type Picture } from './picture.js';
import type { ItemBase, Judgement, Kinded, QuestionKind, ViewBase } from './question-kind.js';
import { isOf12, isRightPart, judgeTime, timeShape, type HourForm, type TimeAnswer, type TimeShapeView } from './shapes/time.js';
import { slipOfTime } from './slips.js';
import { timeStages } from './time-stages.js';

/** What a kind whose answer is one time in two boxes says of itself; the rest follows. */
export interface TimeKindParts<Kind extends string, Item extends ItemBase & Kinded<Kind>> {
  readonly kind: Kind;
  readonly name: string;
  readonly thinkSec: number;
  /** Which hours are the same. */
  readonly form: HourForm;
  /** The time that is right. */
  at(item: Item, settings: LessonSettings): SecondOfDay;
  /** The key as it is typed best; as a 12-hour display has it where it is absent. */
  readonly key?: (item: Item) => TypedTime;
  timesOf(item: Item): readonly SecondOfDay[];
  stem(item: Item, settings: LessonSettings): string;
  readonly picture?: (item: Item, settings: LessonSettings) => Picture;
  /** What somebody who does the acts so types. */
  typed(item: Item, acts: Acts, settings: LessonSettings): readonly TypedTime[];
  readonly judge?: (item: Item, given: TimeAnswer, settings: LessonSettings) => Judgement;
  doing(item: Item): readonly ActId[];
  lookAt(item: Item, settings: LessonSettings): string;
  /** What to look at again where only this part is wrong; the same as at first where it is absent. */
  readonly lookAgain?: (item: Item, part: 'hour' | 'minute', settings: LessonSettings) => string;
  reason(item: Item, settings: LessonSettings): readonly string[];
  /** The key as a sentence, where it is not just the time. */
  readonly keySentence?: (item: Item, settings: LessonSettings) => string;
  make(id: string, rng: Rng, rung: RungTimes, settings: LessonSettings): Item;
  readonly samples: readonly Item[];
}

/** A question kind whose answer is one time of day. */
export function timeKind<Kind extends string, Item extends ItemBase & Kinded<Kind>>(
  parts: TimeKindParts<Kind, Item>,
): QuestionKind<Item, TimeAnswer & Kinded<Kind>, ViewBase & TimeShapeView & Kinded<Kind>> {
  const { kind, form } = parts;
  const give = ({ hour, minute }: TypedTime) => ({ kind, hour, minute });
  const keyOf = (item: Item, settings: LessonSettings) => give(parts.key?.(item) ?? typedTime(parts.at(item, settings)));
  const judge = (item: Item, given: TimeAnswer, settings: LessonSettings) =>
    parts.judge?.(item, given, settings) ?? judgeTime(parts.at(item, settings), given, form);
  const viewOf = (item: Item, settings: LessonSettings) => ({
    kind,
    shape: 'time' as const,
    itemId: item.id,
    stem: parts.stem(item, settings),
    picture: parts.picture?.(item, settings) ?? NO_PICTURE,
    separator: settings.separator,
    asks: 'time' as const,
  });
  return {
    ...timeShape,
    isSame: (item, predicted, given) =>
      form === 'dial'
        ? timeShape.isSame(item, predicted, given)
        : given.hour !== '' && Number(predicted.hour) === Number(given.hour) && predicted.minute === given.minute,
    name: parts.name,
    thinkSec: parts.thinkSec,
    timesOf: parts.timesOf,
    keyOf,
    viewOf,
    judge,
    predict: (item, acts, settings) => parts.typed(item, acts, settings).map(give),
    doing: parts.doing,
    hint: (item, judgement, settings, response) => hintOf(parts, item, judgement, settings, response),
    lookAt: parts.lookAt,
    reason: parts.reason,
    keySentence: (item, settings) => {
      if (parts.keySentence) return parts.keySentence(item, settings);
      const { hour, minute } = keyOf(item, settings);
      return talkOf(settings).itIs(
        form === 'of-24' ? `${hour}${settings.separator}${minute}` : displayText(parts.at(item, settings), settings.separator),
      );
    },
    asked: (item, settings) => timeStages(viewOf(item, settings)).asked,
    answered: (item, settings) =>
      timeStages(viewOf(item, settings)).answered(
        parts.at(item, settings),
        parts.reason(item, settings),
        settings,
        keyOf(item, settings),
        form === 'of-24',
      ),
    slip: (item, rng, settings) =>
      give(slipOfTime(parts.at(item, settings), rng, (typed) => judge(item, typed, settings), keyOf(item, settings))),
    make: parts.make,
    samples: parts.samples,
  };
}

/** What is right, and what to look at again. */
function hintOf<Kind extends string, Item extends ItemBase & Kinded<Kind>>(
  parts: TimeKindParts<Kind, Item>,
  item: Item,
  judgement: Judgement,
  settings: LessonSettings,
  response: TimeAnswer,
): string {
  const [hour, minute] = [isRightPart(judgement, 'hour'), isRightPart(judgement, 'minute')];
  const lookAt = parts.lookAt(item, settings);
  if (judgement.verdict === 'blank') return haveAGo(settings);
  if (judgement.verdict === 'right') return opener(judgement, settings);
  if (hour && minute) {
    // Only the form is left: one digit for the minutes, or an hour above 12.
    return aboutForm(isOf12(response) ? 'twoDigits' : 'hoursTo12', settings);
  }
  const again = (part: 'hour' | 'minute') => parts.lookAgain?.(item, part, settings) ?? lookAt;
  if (minute) return `${partRight('minutesRight', settings)} ${again('hour')}`;
  if (hour) return `${partRight('hourRight', settings)} ${again('minute')}`;
  return `${opener(judgement, settings)} ${lookAt}`;
}
