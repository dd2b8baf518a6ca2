import { UNITS, type UnitQuestion } from '../../acts/acts.js';
import type { RungTimes } from '../../ladder/rung-times.js';
import { tongueOf } from '../../talk/registry.js';
import type { Rng } from '../../random/rng.js';
import { numberKind } from '../number-kind.js';
import type { ItemBase } from '../question-kind.js';
import { TEXTS } from './texts.js';

/** How many of one unit are in another. */
export interface UnitsItem extends ItemBase {
  readonly kind: 'units';
  readonly asks: UnitQuestion;
}

const QUESTIONS = Object.keys(UNITS) as UnitQuestion[];
const ABOUT: Readonly<Record<UnitQuestion, keyof typeof TEXTS.en.lookAt>> = {
  'seconds-in-minute': 'minute',
  'minutes-in-hour': 'minute',
  'minutes-in-half-hour': 'part',
  'minutes-in-quarter': 'part',
  'minutes-in-three-quarters': 'part',
  'hours-in-day': 'day',
  'rounds-in-day': 'day',
  'rounds-from-noon': 'day',
};

export const units = numberKind<'units', UnitsItem>({
  kind: 'units',
  name: 'Units of time',
  thinkSec: 12,
  stem: ({ asks }, settings) => TEXTS[tongueOf(settings)].stems[asks],
  labels: () => [''],
  key: ({ asks }) => [UNITS[asks]],
  values: ({ asks }, acts) => [acts.unit(asks)],
  doing: () => ['unit'],
  lookAt: ({ asks }, settings) => TEXTS[tongueOf(settings)].lookAt[ABOUT[asks]],
  reason: ({ asks }, settings) => [TEXTS[tongueOf(settings)].keys[asks]],
  make,
  samples: QUESTIONS.map((asks) => ({ id: `sample-${asks}`, kind: 'units' as const, asks })),
});

/** Parts of an hour where the rung knows them; days and seconds from where minutes are known. */
function make(id: string, rng: Rng, { minutes }: RungTimes): UnitsItem {
  const known = QUESTIONS.filter((asks) => {
    if (asks === 'minutes-in-half-hour') return minutes.includes(30);
    if (asks === 'minutes-in-quarter') return minutes.includes(15);
    return asks === 'minutes-in-three-quarters' ? minutes.includes(45) : true;
  });
  return { id, kind: 'units', asks: known[Math.floor(rng() * known.length)]! };
}
