import { CoreError } from '../../errors.js';
import { sameTyped, typedTime, type TypedTime } from '../../acts/typed-time.js';
import { gearedPose } from '../../dial/pose.js';
import { rungsToTry, timeOnRung, type RungTimes } from '../../ladder/rung-times.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { tongueOf } from '../../talk/registry.js';
import { actsOf } from '../../misconceptions/distorted-acts.js';
import { MISCONCEPTION_IDS, misconceptionOf, type MisconceptionId } from '../../misconceptions/registry.js';
import type { Rng } from '../../random/rng.js';
import { PLAIN_LAYERS } from '../../scene/dial-state.js';
import { displayText } from '../../time/display.js';
import { toSecondOfDay, type SecondOfDay } from '../../time/second-of-day.js';
import { choiceKind } from '../choice-kind.js';
import { dialPicture } from '../picture.js';
import type { ItemBase } from '../question-kind.js';
import { written } from '../seen-as.js';
import { shuffled } from '../slips.js';
import { TEXTS } from './texts.js';

/** A dial with a wrong reading of it; the pupil says how it came about. Whoever reads so finds nothing wrong. */
export interface ExplainMistakeItem extends ItemBase {
  readonly kind: 'explain-mistake';
  /** The time that is shown, in seconds since midnight. */
  readonly timeSec: number;
  /** The idea that the wrong reading comes from. */
  readonly misconception: MisconceptionId;
  /** Ideas that may explain it, that one among them, in the order they stand; the last choice is that nothing is wrong. */
  readonly choices: readonly MisconceptionId[];
}

const atOf = (item: ExplainMistakeItem) => toSecondOfDay(item.timeSec);

/** Ideas that can explain a wrong reading. */
const READING_IDEAS = MISCONCEPTION_IDS.filter((id) => misconceptionOf(id).howItCame !== undefined);
const MOST_OTHERS = 2;

/** The wrong reading that an idea leads to at a time; null where it makes no difference. */
function wrongReading(at: SecondOfDay, idea: MisconceptionId, settings: LessonSettings): TypedTime | null {
  const acts = actsOf([idea], settings);
  const typed = written(acts.read(gearedPose(at)), acts);
  return typed.find((one) => !sameTyped(one, typedTime(at))) ?? null;
}

export const explainMistake = choiceKind<'explain-mistake', ExplainMistakeItem>({
  kind: 'explain-mistake',
  name: 'Explain the mistake',
  thinkSec: 34,
  timesOf: (item) => [atOf(item)],
  stem: (item, settings) => TEXTS[tongueOf(settings)].stem(readingText(item, settings)),
  picture: (item) => dialPicture(gearedPose(atOf(item)), PLAIN_LAYERS),
  choices: (item, settings) => [
    ...item.choices.map((id) => ({ text: howItCame(id, settings) })),
    { text: TEXTS[tongueOf(settings)].itIsRight },
  ],
  taken(item, acts, settings) {
    const wrong = wrongReading(atOf(item), item.misconception, settings);
    const isTheirs = wrong !== null && written(acts.read(gearedPose(atOf(item))), acts).some((typed) => sameTyped(typed, wrong));
    return [[isTheirs ? item.choices.length : item.choices.indexOf(item.misconception)]];
  },
  doing: () => ['read', 'digits'],
  lookAt: (_item, settings) => TEXTS[tongueOf(settings)].lookAt,
  reason(item, settings) {
    const text = TEXTS[tongueOf(settings)];
    return [text.key(howItCame(item.misconception, settings)), text.right(displayText(atOf(item), settings.separator))];
  },
  make,
  samples: (
    [
      [9900, 'nearest-hour', ['hands-exchanged', 'nearest-hour', 'numeral-as-minutes']],
      [27_000, 'hands-exchanged', ['hands-exchanged', 'coming-hour']],
      [21_900, 'zero-dropped', ['count-starts-on-12', 'zero-dropped']],
      [8400, 'count-starts-on-12', ['numeral-as-minutes', 'count-starts-on-12', 'counts-other-way']],
    ] as const
  ).map(([timeSec, misconception, choices], index) => ({
    id: `sample-${index}`,
    kind: 'explain-mistake' as const,
    timeSec,
    misconception,
    choices,
  })),
});

function howItCame(id: MisconceptionId, settings: LessonSettings): string {
  const { howItCame: says, sayToPupil } = misconceptionOf(id);
  return (says ?? sayToPupil)(settings);
}

function readingText(item: ExplainMistakeItem, settings: LessonSettings): string {
  const { hour, minute } = wrongReading(atOf(item), item.misconception, settings) ?? typedTime(atOf(item));
  return `${hour}${settings.separator}${minute}`;
}

/** The other explanations are ideas that lead to other readings of this dial. */
function make(id: string, rng: Rng, wanted: RungTimes, settings: LessonSettings): ExplainMistakeItem {
  for (const rung of rungsToTry(wanted)) {
    const at = timeOnRung(rung, rng);
    const readings = shuffled(READING_IDEAS, rng).flatMap((idea) => {
      const wrong = wrongReading(at, idea, settings);
      return wrong ? [{ idea, wrong: `${wrong.hour}:${wrong.minute}` }] : [];
    });
    const [asked, ...others] = readings;
    if (!asked) continue;
    const misconception = asked.idea;
    const unlike = others.filter(({ idea, wrong }) => wrong !== asked.wrong && !leadsTo(at, idea, asked.wrong, settings));
    const choices = shuffled([misconception, ...unlike.slice(0, MOST_OTHERS).map(({ idea }) => idea)], rng);
    return { id, kind: 'explain-mistake', timeSec: at, misconception, choices };
  }
  throw new CoreError('ITEM_NOT_MADE', 'No such question could be made on this rung.');
}

function leadsTo(at: SecondOfDay, idea: MisconceptionId, reading: string, settings: LessonSettings): boolean {
  const acts = actsOf([idea], settings);
  return written(acts.read(gearedPose(at)), acts).some(({ hour, minute }) => `${hour}:${minute}` === reading);
}
