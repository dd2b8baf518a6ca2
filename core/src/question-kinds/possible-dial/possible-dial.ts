import { CoreError } from '../../errors.js';
import type { Acts } from '../../acts/acts.js';
import { reportPose } from '../../dial/possible.js';
import { gearedPose, type Pose } from '../../dial/pose.js';
import { nearestTime } from '../../dial/nearest-time.js';
import { rungsToTry, timeOnRung, type RungTimes } from '../../ladder/rung-times.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { talkOf, tongueOf } from '../../talk/registry.js';
import { actsOf } from '../../misconceptions/distorted-acts.js';
import { MISCONCEPTION_IDS } from '../../misconceptions/registry.js';
import type { Rng } from '../../random/rng.js';
import { dialLetter } from '../../scene/describe-stage.js';
import { PLAIN_LAYERS } from '../../scene/dial-state.js';
import { choiceKind } from '../choice-kind.js';
import { dialPicture, NO_PICTURE } from '../picture.js';
import type { ItemBase } from '../question-kind.js';
import { looksPossible } from '../seen-as.js';
import { shuffled } from '../slips.js';
import { TEXTS } from './texts.js';

/** Hands that agree, or do not: of one dial the pupil says whether it can be; of several, which one cannot. */
export interface PossibleDialItem extends ItemBase {
  readonly kind: 'possible-dial';
  /** One dial, or two to four of which one cannot be. */
  readonly poses: readonly Pose[];
}

const isOne = (item: PossibleDialItem) => item.poses.length === 1;
const [YES, NO] = [0, 1];
/** Hands that stand a tick from where they belong are no matter of the eye here. */
const CLEARLY_DEG = 8;

export const possibleDial = choiceKind<'possible-dial', PossibleDialItem>({
  kind: 'possible-dial',
  name: 'Possible or impossible',
  thinkSec: 22,
  timesOf: (item) => item.poses.filter((pose) => reportPose(pose).possible).map(nearestTime),
  stem: (item, settings) => TEXTS[tongueOf(settings)][isOne(item) ? 'one' : 'several'],
  picture: (item) => (isOne(item) ? dialPicture(item.poses[0]!, PLAIN_LAYERS) : NO_PICTURE),
  choices(item, settings) {
    const { yes, no } = TEXTS[tongueOf(settings)];
    return isOne(item) ? [{ text: yes }, { text: no }] : item.poses.map((pose) => ({ ...pose, numerals: 'all' }));
  },
  taken(item, acts, settings) {
    const looks = item.poses.map((pose) => looksRight(pose, acts, settings));
    if (isOne(item)) return [[looks[0] ? YES : NO]];
    return looks.flatMap((possible, place) => (possible ? [] : [[place]]));
  },
  doing: () => ['set'],
  lookAt: (_item, settings) => TEXTS[tongueOf(settings)].lookAt,
  reason(item, settings, [key = 0]) {
    const { verdict } = talkOf(settings).possible;
    if (isOne(item)) return [verdict(item.poses[0]!)];
    return [TEXTS[tongueOf(settings)].cannot(dialLetter(key)), verdict(item.poses[key]!)];
  },
  make,
  samples: [
    { id: 'sample-left', kind: 'possible-dial', poses: [{ hourDeg: 270, minuteDeg: 180 }] },
    { id: 'sample-can', kind: 'possible-dial', poses: [{ hourDeg: 285, minuteDeg: 180 }] },
    { id: 'sample-half', kind: 'possible-dial', poses: [{ hourDeg: 225, minuteDeg: 270 }] },
    { id: 'sample-two', kind: 'possible-dial', poses: [gearedPose(0 as never), { hourDeg: 15, minuteDeg: 0 }] },
    {
      id: 'sample-three',
      kind: 'possible-dial',
      poses: [
        { hourDeg: 307.5, minuteDeg: 90 },
        { hourDeg: 150, minuteDeg: 270 },
        { hourDeg: 97.5, minuteDeg: 90 },
      ],
    },
  ],
});

/** Nobody without an idea about the hour hand compares with anything but the gears. */
function looksRight(pose: Pose, acts: Acts, settings: LessonSettings): boolean {
  return acts.set === actsOf([], settings).set ? reportPose(pose).possible : looksPossible(pose, acts);
}

/** Dials as gears have them, and one as somebody with an idea sets it. */
function make(id: string, rng: Rng, wanted: RungTimes, settings: LessonSettings): PossibleDialItem {
  for (const rung of rungsToTry(wanted)) {
    const times = [timeOnRung(rung, rng), timeOnRung(rung, rng)];
    const isCan = rng() < 0.25;
    if (isCan) return { id, kind: 'possible-dial', poses: [gearedPose(times[0]!)] };
    const wrong = shuffled(MISCONCEPTION_IDS, rng)
      .flatMap((idea) => actsOf([idea], settings).set(times[0]!))
      .find((pose) => !reportPose(pose, CLEARLY_DEG).possible);
    // At a full hour nobody leaves the hour hand behind: half way to the next is what cannot be then.
    const [hourDeg, minuteDeg] = [gearedPose(times[0]!).hourDeg, gearedPose(times[0]!).minuteDeg];
    const pose = wrong ?? { hourDeg: (hourDeg + 15) % 360, minuteDeg };
    if (reportPose(pose, CLEARLY_DEG).possible) continue;
    return { id, kind: 'possible-dial', poses: rng() < 0.5 ? [pose] : shuffled([pose, gearedPose(times[1]!)], rng) };
  }
  throw new CoreError('ITEM_NOT_MADE', 'No such question could be made on this rung.');
}
