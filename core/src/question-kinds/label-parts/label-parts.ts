import type { ClockPart } from '../../acts/acts.js';
import { gearedPose } from '../../dial/pose.js';
import type { RungTimes } from '../../ladder/rung-times.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { tongueOf } from '../../talk/registry.js';
import type { Rng } from '../../random/rng.js';
import { dialLetter } from '../../scene/describe-stage.js';
import { PLAIN_LAYERS, type DialLayers } from '../../scene/dial-state.js';
import { displayOf } from '../../scene/stage-state.js';
import { secondOfDay } from '../../time/second-of-day.js';
import { pairKind } from '../pair-kind.js';
import { dialPicture, NO_PICTURE, type DialLetter, type Picture } from '../picture.js';
import type { ItemBase } from '../question-kind.js';
import { shuffled } from '../slips.js';
import { TEXTS } from './texts.js';

/** A dial or a display with letters at its parts; the pupil puts a name to each. */
export interface LabelPartsItem extends ItemBase {
  readonly kind: 'label-parts';
  /** Two to five parts of one of them, in the order of their letters. */
  readonly parts: readonly ClockPart[];
  /** Names in the order they stand: the same parts. */
  readonly names: readonly ClockPart[];
}

const DISPLAY_PARTS: readonly ClockPart[] = ['hours', 'colon', 'minutes'];
const DIAL_PARTS: readonly ClockPart[] = ['short-hand', 'long-hand', 'numeral', 'tick'];
/** Where there is a third hand, the three are told apart. */
const THREE_HANDS: readonly ClockPart[] = ['short-hand', 'long-hand', 'second-hand', 'tick'];
const isDisplay = ({ parts }: LabelPartsItem) => parts.every((part) => DISPLAY_PARTS.includes(part));

/** Ten past eight: the hands stand apart from each other and from the letters at numeral and tick. */
const SHOWN = secondOfDay(8, 10);
const PLACES: Readonly<Partial<Record<ClockPart, Omit<DialLetter, 'letter'>>>> = {
  'short-hand': { type: 'letter', deg: gearedPose(SHOWN).hourDeg, radius: 36 },
  'long-hand': { type: 'letter', deg: gearedPose(SHOWN).minuteDeg, radius: 52 },
  'second-hand': { type: 'letter', deg: 0, radius: 60 },
  numeral: { type: 'letter', deg: 150, radius: 54 },
  tick: { type: 'letter', deg: 312, radius: 92 },
};

export const labelParts = pairKind<'label-parts', LabelPartsItem>({
  kind: 'label-parts',
  name: 'Label the parts',
  thinkSec: 28,
  timesOf: () => [],
  stem: (item, settings) => TEXTS[tongueOf(settings)].stem[isDisplay(item) ? 'display' : 'dial'],
  picture: pictureOf,
  cards: (item) => item.parts.map((part, place) => ({ text: nameOfPlace(item, part, place) })),
  partners: (item, settings) => item.names.map((name) => ({ text: TEXTS[tongueOf(settings)].parts[name] })),
  pairs: (item, acts) =>
    item.parts.map((part) => {
      const [called] = acts.name(part);
      const place = item.names.indexOf(called!);
      return place < 0 ? null : place;
    }),
  doing: () => ['name'],
  lookAt: (item, settings) => TEXTS[tongueOf(settings)].lookAt[isDisplay(item) ? 'display' : 'dial'],
  keySentence(item, settings) {
    const { are, parts } = TEXTS[tongueOf(settings)];
    return are(item.parts.map((part, place) => `${nameOfPlace(item, part, place)} ${parts[part]}`).join(', '));
  },
  make,
  samples: [
    { id: 'sample-hands', kind: 'label-parts', parts: ['short-hand', 'long-hand'], names: ['long-hand', 'short-hand'] },
    {
      id: 'sample-dial',
      kind: 'label-parts',
      parts: ['tick', 'short-hand', 'numeral', 'long-hand'],
      names: ['short-hand', 'numeral', 'long-hand', 'tick'],
    },
    { id: 'sample-display', kind: 'label-parts', parts: ['hours', 'colon', 'minutes'], names: ['minutes', 'hours', 'colon'] },
    { id: 'sample-two', kind: 'label-parts', parts: ['hours', 'minutes'], names: ['minutes', 'hours'] },
  ],
});

/** The display in pieces: what stands before its colon, the colon, and what stands behind. */
const PIECES: Readonly<Partial<Record<ClockPart, string>>> = { hours: '8', colon: ':', minutes: '10' };

const nameOfPlace = (item: LabelPartsItem, part: ClockPart, place: number) => (isDisplay(item) ? `“${PIECES[part]!}”` : dialLetter(place));

const WITH_SECOND_HAND: DialLayers = { ...PLAIN_LAYERS, secondHand: true };

function pictureOf(item: LabelPartsItem): Picture {
  if (isDisplay(item)) return { ...NO_PICTURE, display: { ...displayOf('8', '10', ':'), plain: true } };
  const letters = item.parts.flatMap((part, place) => (PLACES[part] ? [{ ...PLACES[part], letter: dialLetter(place) }] : []));
  const layers = item.parts.includes('second-hand') ? WITH_SECOND_HAND : PLAIN_LAYERS;
  return dialPicture(gearedPose(SHOWN), layers, letters);
}

function make(id: string, rng: Rng, rung: RungTimes, _settings: LessonSettings): LabelPartsItem {
  const of = rung.kinds.includes('second-hand') ? THREE_HANDS : rng() < 0.6 ? DIAL_PARTS : DISPLAY_PARTS;
  return { id, kind: 'label-parts', parts: shuffled(of, rng), names: shuffled(of, rng) };
}
