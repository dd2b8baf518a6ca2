import { tongueOf } from '../../talk/registry.js';
import { dialLetter } from '../../scene/describe-stage.js';
import { EMPTY_LAYERS } from '../../scene/dial-state.js';
import { numberKind } from '../number-kind.js';
import { dialPicture } from '../picture.js';
import type { ItemBase } from '../question-kind.js';
import { shuffled } from '../slips.js';
import { TEXTS } from './texts.js';

/** A face with letters in the places of some numerals; the pupil says which numerals belong there. */
export interface FillFaceItem extends ItemBase {
  readonly kind: 'fill-face';
  /** One to six numerals, 1 to 12, that are missing, in the order of their letters. */
  readonly gaps: readonly number[];
}

const NO_HANDS = { hourDeg: 0, minuteDeg: 0 };
/** Where numerals stand, from the centre, in dial units. */
const NUMERAL_RADIUS = 74;
const ALL = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12];

export const fillFace = numberKind<'fill-face', FillFaceItem>({
  kind: 'fill-face',
  name: 'Fill the face',
  thinkSec: 24,
  stem: (_item, settings) => TEXTS[tongueOf(settings)].stem,
  picture: ({ gaps }) =>
    dialPicture(
      NO_HANDS,
      { ...EMPTY_LAYERS, numeralGaps: gaps },
      gaps.map((gap, place) => ({ type: 'letter', letter: dialLetter(place), deg: (gap % 12) * 30, radius: NUMERAL_RADIUS })),
    ),
  labels: ({ gaps }) => gaps.map((_, place) => dialLetter(place)),
  key: ({ gaps }) => gaps,
  values: ({ gaps }, acts) => gaps.map((gap) => acts.numeral(gap)),
  doing: () => ['numeral'],
  lookAt: (_item, settings) => TEXTS[tongueOf(settings)].lookAt,
  reason: ({ gaps }, settings) => [TEXTS[tongueOf(settings)].are(gaps.map((numeral, place) => ({ letter: dialLetter(place), numeral })))],
  answered: () => dialPicture(NO_HANDS, EMPTY_LAYERS),
  make: (id, rng) => ({ id, kind: 'fill-face', gaps: shuffled(ALL, rng).slice(0, 2 + Math.floor(rng() * 2)) }),
  samples: [[7], [2, 10], [12, 1, 11], [5, 8, 4]].map((gaps, index) => ({ id: `sample-${index}`, kind: 'fill-face' as const, gaps })),
});
