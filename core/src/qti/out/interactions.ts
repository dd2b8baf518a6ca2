import { hear } from '../../words/hear.js';
import { say } from '../../words/say.js';
import { WORD_PACKS } from '../../words/registry.js';
import { predictionsOf } from '../../question-kinds/predictions.js';
import { gearedPose, type Pose } from '../../dial/pose.js';
import { PLAIN_LAYERS, dialOf } from '../../scene/dial-state.js';
import { dialLetter } from '../../scene/describe-stage.js';
import { shuffled } from '../../question-kinds/slips.js';
import { seededRng } from '../../random/rng.js';
import type { ShapeId } from '../../question-kinds/shapes/shape.js';
import { toSecondOfDay } from '../../time/second-of-day.js';
import { kindOf, type KindResponse } from '../../question-kinds/registry.js';
import { xml } from '../xml.js';
import { choiceShown, dialPictureOf, imageOf } from './pictures.js';
import type { QtiBody, QtiPlace, QtiResponse } from './qti-out.js';
import type { ViewOfShape } from '../../paper/answers/paper-answer.js';

type Out<Shape extends ShapeId> = (view: ViewOfShape<Shape>, place: QtiPlace) => QtiBody;

const BY_PARTS = 'It is right or not: parts are not marked by themselves.';
/** More dials beside each other are not looked at. */
const MOST_DIALS = 4;

const textEntry = (id: string, length: number, before = '', behind = '') =>
  xml(
    'p',
    {},
    before && `${before} `,
    xml('qti-text-entry-interaction', { 'response-identifier': id, 'expected-length': length }),
    behind && ` ${behind}`,
  );

const entry = (id: string, correct: string, alsoRight: readonly string[] = []): QtiResponse => ({
  id,
  cardinality: 'single',
  baseType: 'string',
  correct: [correct],
  alsoRight,
});

const keyOf = <T>({ item, settings }: QtiPlace) => kindOf(item).keyOf(item, settings) as unknown as T;

interface Typed {
  readonly hour: string;
  readonly minute: string;
}

/** The ways in which a time may be typed, the best first. */
function typedWays({ hour, minute }: Typed, separator: string): readonly [string, ...string[]] {
  const padded = hour.padStart(2, '0');
  const hours = padded === hour ? [hour] : [hour, padded];
  const [first, ...others] = hours.flatMap((one) =>
    [separator, ...[':', '.'].filter((sign) => sign !== separator)].map((sign) => `${one}${sign}${minute}`),
  );
  return [first!, ...others];
}

const time: Out<'time'> = ({ separator, asks }, place) => {
  const [correct, ...others] = typedWays(keyOf<Typed>(place), separator);
  return {
    responses: [entry('RESPONSE', correct, others)],
    interaction: [textEntry('RESPONSE', 5, '', asks === 'length' ? '(h:min)' : '')],
    pictures: [],
    lost: [BY_PARTS],
  };
};

const times: Out<'times'> = ({ row, separator }, place) => {
  const gaps = keyOf<{ readonly times: readonly Typed[] }>(place).times;
  const ids = gaps.map((_, index) => `RESPONSE${index + 1}`);
  let gap = 0;
  const shown = row.map((one) => one ?? xml('qti-text-entry-interaction', { 'response-identifier': ids[gap++]!, 'expected-length': 5 }));
  return {
    responses: gaps.map((one, index) => {
      const [correct, ...others] = typedWays(one, separator);
      return entry(ids[index]!, correct, others);
    }),
    interaction: [xml('p', {}, ...shown.flatMap((one, index) => (index === 0 ? [one] : [', ', one])))],
    pictures: [],
    lost: [],
  };
};

const numbers: Out<'numbers'> = ({ labels, unit }, place) => {
  const { values } = keyOf<{ readonly values: readonly string[] }>(place);
  const ids = values.map((_, index) => `RESPONSE${index + 1}`);
  return {
    responses: values.map((value, index) => ({ id: ids[index]!, cardinality: 'single', baseType: 'integer', correct: [value] })),
    interaction: ids.map((id, index) => textEntry(id, 3, labels[index] ?? '', unit)),
    pictures: [],
    lost: [],
  };
};

const words: Out<'words'> = ({ lines }, place) => {
  const pack = WORD_PACKS[place.settings.pack];
  const [first = ''] = keyOf<{ readonly lines: readonly string[] }>(place).lines;
  const heard = hear(first, pack);
  const wordings = heard.kind === 'time' ? say(toSecondOfDay(heard.minuteOfDay * 60), pack) : [first];
  const ids = Array.from({ length: lines }, (_, index) => (lines === 1 ? 'RESPONSE' : `RESPONSE${index + 1}`));
  return {
    responses: ids.map((id, index) => {
      const correct = wordings[index] ?? wordings[0]!;
      return entry(
        id,
        correct,
        wordings.filter((one) => one !== correct),
      );
    }),
    interaction: ids.map((id) => textEntry(id, 40)),
    pictures: [],
    lost: ['Spelling slips are not told from wrong times.', ...(lines > 1 ? ['The same wording twice counts as two.'] : [])],
  };
};

const choices: Out<'choices'> = ({ choices: all, several, layers, itemId }, place) => {
  const { chosen } = keyOf<{ readonly chosen: readonly number[] }>(place);
  const shown = all.map((choice, index) => choiceShown(choice, layers, `media/${itemId}-${dialLetter(index)}.svg`));
  const response: QtiResponse = {
    id: 'RESPONSE',
    cardinality: several ? 'multiple' : 'single',
    baseType: 'identifier',
    correct: chosen.map(dialLetter),
  };
  const simple = shown.map(({ node }, index) => xml('qti-simple-choice', { identifier: dialLetter(index) }, node));
  const interaction = xml(
    'qti-choice-interaction',
    { 'response-identifier': 'RESPONSE', 'max-choices': several ? 0 : 1, shuffle: 'false' },
    ...simple,
  );
  return {
    responses: [response],
    interaction: [interaction],
    pictures: shown.flatMap(({ pictures }) => pictures),
    lost: several ? [BY_PARTS] : [],
  };
};

const pairs: Out<'pairs'> = ({ cards, partners, layers, itemId }, place) => {
  const key = keyOf<{ readonly pairs: readonly (number | null)[] }>(place).pairs;
  const left = cards.map((card, index) => choiceShown(card, layers, `media/${itemId}-${dialLetter(index)}.svg`));
  const right = partners.map((partner, index) => choiceShown(partner, layers, `media/${itemId}-${index + 1}.svg`));
  const set = (shown: typeof left, name: (index: number) => string) =>
    xml(
      'qti-simple-match-set',
      {},
      ...shown.map(({ node }, index) => xml('qti-simple-associable-choice', { identifier: name(index), 'match-max': 1 }, node)),
    );
  const numbered = (index: number) => `P${index + 1}`;
  return {
    responses: [
      {
        id: 'RESPONSE',
        cardinality: 'multiple',
        baseType: 'directedPair',
        correct: key.flatMap((partner, card) => (partner === null ? [] : [`${dialLetter(card)} ${numbered(partner)}`])),
      },
    ],
    interaction: [
      xml(
        'qti-match-interaction',
        { 'response-identifier': 'RESPONSE', 'max-associations': cards.length, shuffle: 'false' },
        set(left, dialLetter),
        set(right, numbered),
      ),
    ],
    pictures: [...left, ...right].flatMap(({ pictures }) => pictures),
    lost: [BY_PARTS],
  };
};

const order: Out<'order'> = ({ cards, layers, itemId }, place) => {
  const key = keyOf<{ readonly order: readonly number[] }>(place).order;
  const shown = cards.map((card, index) => choiceShown(card, layers, `media/${itemId}-${dialLetter(index)}.svg`));
  const simple = shown.map(({ node }, index) => xml('qti-simple-choice', { identifier: dialLetter(index) }, node));
  return {
    responses: [{ id: 'RESPONSE', cardinality: 'ordered', baseType: 'identifier', correct: key.map(dialLetter) }],
    interaction: [xml('qti-order-interaction', { 'response-identifier': 'RESPONSE', shuffle: 'false' }, ...simple)],
    pictures: shown.flatMap(({ pictures }) => pictures),
    lost: [],
  };
};

const line: Out<'line'> = ({ fromSec, toSec, stepSec }, place) => {
  const { atSec } = keyOf<{ readonly atSec: number }>(place);
  const minutes = (sec: number) => Math.round((sec - fromSec) / 60);
  return {
    responses: [{ id: 'RESPONSE', cardinality: 'single', baseType: 'integer', correct: [String(minutes(atSec))] }],
    interaction: [
      xml('qti-slider-interaction', {
        'response-identifier': 'RESPONSE',
        'lower-bound': 0,
        'upper-bound': minutes(toSec),
        step: Math.max(1, Math.round(stepSec / 60)),
        'step-label': 'true',
      }),
    ],
    pictures: [],
    lost: ['The line becomes a slider in minutes, and a place near the right one is not right.'],
  };
};

/** Hands cannot be set by any standard interaction: the right dial is chosen among those that wrong ideas would set. */
const pose: Out<'pose'> = ({ itemId }, place) => {
  const right = keyOf<Pose>(place);
  const same = (one: Pose, other: Pose) =>
    kindOf(place.item).isSame(place.item, one as unknown as KindResponse, other as unknown as KindResponse, place.settings);
  const poses: Pose[] = [right];
  for (const responses of predictionsOf(place.item, place.settings).values()) {
    for (const wrong of responses as unknown as Pose[]) {
      if (poses.length < MOST_DIALS && poses.every((one) => !same(one, wrong) && !same(wrong, one))) poses.push(wrong);
    }
  }
  for (let hour = 1; poses.length < 3; hour++)
    poses.push(gearedPose(toSecondOfDay((Math.round(right.hourDeg * 120) + hour * 3600) % 43200)));
  const standing = shuffled(poses, seededRng(Math.round(right.hourDeg * 2 + right.minuteDeg)));
  const pictures = standing.map((one, index) => dialPictureOf(dialOf(one, PLAIN_LAYERS), `media/${itemId}-${dialLetter(index)}.svg`));
  const simple = pictures.map((picture, index) => xml('qti-simple-choice', { identifier: dialLetter(index) }, imageOf(picture)));
  return {
    responses: [{ id: 'RESPONSE', cardinality: 'single', baseType: 'identifier', correct: [dialLetter(standing.indexOf(right))] }],
    interaction: [xml('qti-choice-interaction', { 'response-identifier': 'RESPONSE', 'max-choices': 1, shuffle: 'false' }, ...simple)],
    pictures,
    lost: ['Hands cannot be set there: the right dial is chosen among wrong ones.'],
  };
};

/** Every way of answering as a standard interaction. */
const OUT: { readonly [Shape in ShapeId]: Out<Shape> } = { time, times, numbers, words, choices, pairs, order, line, pose };

/** An item's view as the nearest standard interaction. */
export function interactionOf(view: ViewOfShape<ShapeId>, place: QtiPlace): QtiBody {
  return (OUT[view.shape] as unknown as Out<ShapeId>)(view, place);
}
