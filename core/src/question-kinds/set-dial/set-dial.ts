import { talkOf, tongueOf } from '../../talk/registry.js';
import { countOnceMore, reasonLayers, whereToBegin } from '../kind-talk.js';
import { TEXTS } from './texts.js';
import { timeTyped, typedTime } from '../../acts/typed-time.js';
import { coherenceOf, STRICTNESS } from '../../dial/coherence.js';
import { nearestTime } from '../../dial/nearest-time.js';
import type { Pose } from '../../dial/pose.js';
import { gearedPose, hourHandDeg, minuteHandDeg, turnDeg, wrapDeg } from '../../dial/pose.js';
import { timeOnRung } from '../../ladder/rung-times.js';
import { reasonFor } from '../../talk/reason.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { dialOf, EMPTY_LAYERS, PLAIN_LAYERS } from '../../scene/dial-state.js';
import { CLEAR_STAGE, displayOf } from '../../scene/stage-state.js';
import { displayText, displayText24 } from '../../time/display.js';
import type { SecondOfDay } from '../../time/second-of-day.js';
import { hour12, minuteOfHour, toSecondOfDay, SECONDS_PER_HALF_DAY } from '../../time/second-of-day.js';
import { WORD_PACKS } from '../../words/registry.js';
import { bestWording } from '../../words/say.js';
import type { ItemBase, Judgement, QuestionKind, ViewBase } from '../question-kind.js';
import { NO_PICTURE } from '../picture.js';
import type { PoseAnswer, PoseShapeView } from '../shapes/pose.js';
import { oneOf, timeBeside } from '../slips.js';
import { setDialText } from './response-text.js';

/** A time is given on a display or in words; the pupil turns the hands to it. */
export interface SetDialItem extends ItemBase {
  readonly kind: 'set-dial';
  /** The time to be set, in seconds since midnight. */
  readonly timeSec: number;
  readonly from: 'display' | 'display-24' | 'words';
  /** Geared hands move together; free hands one by one, so that the hour hand can be left behind. */
  readonly hands: 'geared' | 'free';
}

export interface SetDialResponse extends PoseAnswer {
  readonly kind: 'set-dial';
}

export interface SetDialView extends ViewBase, PoseShapeView {
  readonly kind: 'set-dial';
}

/** Degrees a hand may be off the place that a misconception predicts: a tick, and for the hour hand less. */
const HIT_DEG = { hour: 4, minute: 6 } as const;
/** The minute hand of a response snaps to whole minutes; less than half a tick more is still that minute. */
const MINUTE_TOLERANCE_DEG = 3;

/** Hands that move together agree but for what rounding on the way does to an angle. */
const GEAR_PLAY_DEG = 0.1;
/** Hands that are meant farther off each other than this stand half way between two hours: they lead to neither. */
const NEARLY_GEARED_DEG = 14;

/** Degrees between the hands of two poses, each by the shorter way. */
function offOf(one: Pose, other: Pose): { readonly hour: number; readonly minute: number } {
  return { hour: Math.abs(turnDeg(one.hourDeg, other.hourDeg)), minute: Math.abs(turnDeg(one.minuteDeg, other.minuteDeg)) };
}

const responseOf = (pose: Pose): SetDialResponse => ({ kind: 'set-dial', ...pose });

/** Where the hands stand at first, in seconds since midnight: apart, so that either can be taken. */
const START_SEC = 36_000; // 10:00
const OTHER_START_SEC = 14_400; // 4:00

export const setDial: QuestionKind<SetDialItem, SetDialResponse, SetDialView> = {
  name: 'Set a dial',
  thinkSec: 26,
  // A pencil draws each hand by itself.
  onPaper: { item: (item) => ({ ...item, hands: 'free' }), stem: (item, settings) => stemOf(item, settings, 'onPaper') },
  shape: 'pose',
  timesOf: (item) => [toSecondOfDay(item.timeSec)],
  keyOf: (item) => responseOf(gearedPose(toSecondOfDay(item.timeSec))),
  viewOf: (item, settings) => ({
    kind: 'set-dial',
    shape: 'pose',
    itemId: item.id,
    stem: stemOf(item, settings),
    picture: NO_PICTURE,
    hands: item.hands,
    startSec: item.timeSec % SECONDS_PER_HALF_DAY === START_SEC ? OTHER_START_SEC : START_SEC,
    layers: PLAIN_LAYERS,
  }),
  judge,
  predict(item, acts, { pack }) {
    const at = toSecondOfDay(item.timeSec);
    const found = item.from === 'words' ? acts.mean(bestWording(at, WORD_PACKS[pack])) : item.from === 'display-24' ? acts.to12(at) : null;
    const meant = found ? found.map(timeTyped) : [at];
    const poses = meant.flatMap((time) => (time === null ? [] : acts.set(time)));
    if (item.hands === 'free') return poses.map(responseOf);
    // Hands that turn together cannot be put where they do not agree: whoever wants them half way between two hours ends up at either.
    return poses
      .filter((pose) => coherenceOf(pose).residualDeg <= NEARLY_GEARED_DEG)
      .map((pose) => responseOf(gearedPose(nearestTime(pose))));
  },
  isSame(item, predicted, given) {
    const off = offOf(predicted, given);
    if (off.hour > HIT_DEG.hour || off.minute > HIT_DEG.minute) return false;
    // Never past what lies between: nearer to the right place than to the one predicted, it is a slip.
    const offKey = offOf(gearedPose(toSecondOfDay(item.timeSec)), given);
    return off.hour + off.minute <= offKey.hour + offKey.minute;
  },
  isPossible: (item, response) => item.hands === 'free' || coherenceOf(response).residualDeg <= GEAR_PLAY_DEG,
  doing: (item) => (item.from === 'words' ? ['mean', 'set'] : item.from === 'display-24' ? ['to12', 'set'] : ['set']),
  hint,
  lookAt,
  reason: (item, settings) => reasonFor(toSecondOfDay(item.timeSec), settings),
  keySentence: (item, settings) => talkOf(settings).itIs(displayText(toSecondOfDay(item.timeSec), settings.separator)),
  responseText: (_item, response) => setDialText(response),
  asked: (item, settings) => ({
    ...CLEAR_STAGE,
    dial: dialOf({ hourDeg: 0, minuteDeg: 0 }, EMPTY_LAYERS),
    stem: stemOf(item, settings),
  }),
  answered(item, settings) {
    const at = toSecondOfDay(item.timeSec);
    const { hour, minute } = typedTime(at);
    return {
      ...CLEAR_STAGE,
      dial: dialOf(gearedPose(at), reasonLayers(settings)),
      display: displayOf(hour, minute, settings.separator),
      board: reasonFor(at, settings),
    };
  },
  slip(item, rng) {
    const beside = gearedPose(timeBeside(toSecondOfDay(item.timeSec), rng));
    // Sent before the hands were turned; at 12 o'clock that would be right.
    const untouched = { hourDeg: 0, minuteDeg: 0 };
    if (item.timeSec % SECONDS_PER_HALF_DAY !== 0 && rng() < 0.1) return responseOf(untouched);
    if (item.hands === 'geared') return responseOf(beside);
    // Free hands: one of them is put a place too far or too short, the other where it belongs.
    const { hourDeg, minuteDeg } = gearedPose(toSecondOfDay(item.timeSec));
    return responseOf(
      oneOf(
        [
          { hourDeg, minuteDeg: wrapDeg(minuteDeg + oneOf([6, -6, 30, -30], rng)) },
          { hourDeg: wrapDeg(hourDeg + oneOf([30, -30], rng)), minuteDeg },
        ],
        rng,
      ),
    );
  },
  make: (id, rng, rung) => ({
    id,
    kind: 'set-dial',
    timeSec: timeOnRung(rung, rng),
    // Where the rung is about 24 hours, they are what is given.
    from: rung.kinds.includes('convert-24') ? oneOf(['display-24', 'display-24', 'words'], rng) : oneOf(['display', 'words'], rng),
    hands: oneOf(['geared', 'free'], rng),
  }),
  samples: [
    { id: 'sample-24', kind: 'set-dial', timeSec: 63_900, from: 'display-24', hands: 'free' },
    ...[9000, 34_200, 0, 45_300, 57_900, 7500, 35_940].flatMap((timeSec, index) =>
      (['geared', 'free'] as const).map((hands) => ({
        id: `sample-${index}-${hands}`,
        kind: 'set-dial' as const,
        timeSec,
        from: index % 2 === 0 ? ('words' as const) : ('display' as const),
        hands,
      })),
    ),
  ],
};

function stemOf(item: SetDialItem, settings: LessonSettings, where: 'stem' | 'onPaper' = 'stem'): string {
  const at = toSecondOfDay(item.timeSec);
  const text = TEXTS[tongueOf(settings)][where];
  const { separator, pack } = settings;
  if (item.from === 'display-24') return text(displayText24(at, separator));
  return text(item.from === 'display' ? displayText(at, separator) : bestWording(at, WORD_PACKS[pack]));
}

function judge(item: SetDialItem, response: SetDialResponse, settings: LessonSettings): Judgement {
  const at = toSecondOfDay(item.timeSec);
  const minuteOffDeg = turnDeg(minuteHandDeg(at), response.minuteDeg);
  const minute = Math.abs(minuteOffDeg) < MINUTE_TOLERANCE_DEG;
  // The two hands are one time: a minute hand that is right but not quite in place takes the hour hand's place along.
  const hour = hourHandFits(at, wrapDeg(response.hourDeg - (minute ? minuteOffDeg / 12 : 0)), settings);
  return {
    verdict: hour && minute ? 'right' : hour || minute ? 'partly' : 'not-yet',
    parts: [
      { part: 'hour', right: hour },
      { part: 'minute', right: minute },
    ],
  };
}

/**
 * Whether the hour hand stands where the lesson's strictness wants it. Beginners need only the right hour's side: more is
 * allowed between the hour's numeral and the next, but no place from which another hour would be read.
 */
function hourHandFits(at: SecondOfDay, hourDeg: number, { strictness }: LessonSettings): boolean {
  const offDeg = Math.abs(turnDeg(hourHandDeg(at), hourDeg));
  if (strictness !== 'right-side' || offDeg <= STRICTNESS.proportion) return offDeg <= STRICTNESS[strictness];
  const isBetween = wrapDeg(hourDeg - hour12(at) * 30) <= 30;
  return isBetween && minuteOfHour(at) > 0 && offDeg <= STRICTNESS['right-side'];
}

/** Both hands within this are in place, whatever the lesson lets count. */
const IN_PLACE_DEG = STRICTNESS.exact;

function hint(item: SetDialItem, { verdict, parts }: Judgement, settings: LessonSettings, response: SetDialResponse): string {
  const at = toSecondOfDay(item.timeSec);
  const text = TEXTS[tongueOf(settings)];
  const right = parts.filter((one) => one.right).map(({ part }) => part);
  if (verdict === 'right') {
    const time = displayText(at, settings.separator);
    const offDeg = turnDeg(response.hourDeg, hourHandDeg(at));
    return Math.abs(offDeg) <= IN_PLACE_DEG ? text.right(time) : text.about(time, offDeg > 0);
  }
  // Hands that nobody has turned are praised for nothing.
  if (!isUntouched(response)) {
    if (right.includes('minute')) return text.minuteRight(talkOf(settings).where(hourHandDeg(at)));
    if (right.includes('hour')) return `${text.hourRight} ${countOnceMore(at, settings)}`;
  }
  return `${text.notYet} ${lookAt(item, settings)}`;
}

/** Where both hands stand before anybody turns them: at twelve. */
const isUntouched = ({ hourDeg, minuteDeg }: Pose): boolean => hourDeg === 0 && minuteDeg === 0;

function lookAt(item: SetDialItem, settings: LessonSettings): string {
  const at = toSecondOfDay(item.timeSec);
  return settings.readingOrder === 'minute-first' ? whereToBegin(at, settings) : TEXTS[tongueOf(settings)].start;
}
