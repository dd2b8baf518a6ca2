import type { DialMark, DialState } from './dial-state.js';
import { dialFace, DIAL_EXTENT, FACE_RADIUS, NUMERAL_RADIUS, RING_RADIUS, ringNumber } from './dial-face.js';
import { dialHands, HAND_REACH } from './dial-hands.js';
import type { GroupNode, Scene, SceneNode } from './scene-node.js';
import { arcPath, coordinate, pointAt, sectorPath } from './scene-node.js';

/** A dial as one group about its own centre, placed and scaled by whoever lays out the scene. */
export function dialGroup(dial: DialState, x: number, y: number, scale: number, id = 'dial'): GroupNode {
  return {
    type: 'group',
    id,
    role: 'dial',
    x,
    y,
    scale,
    turnDeg: 0,
    nodes: [
      ...dialFace(dial.layers),
      ...shade(dial),
      ...trail(dial),
      ...dial.marks.flatMap(markBehind),
      ...dialHands(dial),
      ...dial.marks.flatMap((mark, index) => markOnRim(mark, index, dial)),
    ],
  };
}

/** A scene that holds one dial and nothing else, square. */
export function dialScene(dial: DialState): Scene {
  const extent = dial.layers.minuteRing !== 'none' || dial.marks.some((mark) => mark.type === 'count') ? DIAL_EXTENT : FACE_RADIUS + 4;
  return { width: extent * 2, height: extent * 2, nodes: [dialGroup(dial, extent, extent, 1)] };
}

function shade(dial: DialState): SceneNode[] {
  if (!dial.layers.shaded || dial.pose.minuteDeg === 0) return [];
  return [{ type: 'path', id: 'shade', d: sectorPath(0, dial.pose.minuteDeg, FACE_RADIUS - 1.2), fill: 'minute', opacity: 0.16 }];
}

/** A fast sweep as a fan behind the minute hand. */
function trail({ trailDeg, pose }: DialState): SceneNode[] {
  if (!trailDeg) return [];
  const behind = pose.minuteDeg - trailDeg;
  return [
    {
      type: 'path',
      id: 'trail',
      d: sectorPath(Math.min(behind, pose.minuteDeg), Math.max(behind, pose.minuteDeg), 82),
      fill: 'minute',
      opacity: 0.14,
    },
  ];
}

function markBehind(mark: DialMark): SceneNode[] {
  switch (mark.type) {
    case 'numeral': {
      const [cx, cy] = pointAt(mark.numeral * 30, NUMERAL_RADIUS);
      return [{ type: 'circle', id: `mark-numeral-${mark.numeral}`, cx, cy, r: 13.5, fill: 'none', stroke: 'accent', strokeWidth: 3.6 }];
    }
    case 'ray': {
      const [x, y] = pointAt(mark.deg, FACE_RADIUS - 2).map(coordinate);
      return [{ type: 'path', id: `mark-ray-${mark.deg}`, d: `M0 0 L${x} ${y}`, fill: 'none', stroke: 'accent', strokeWidth: 3 }];
    }
    default:
      return [];
  }
}

function markOnRim(mark: DialMark, index: number, dial: DialState): SceneNode[] {
  if (mark.type === 'arc') return arc(mark, index, dial);
  if (mark.type === 'letter') return letter(mark);
  if (mark.type === 'ink') return [{ type: 'path', id: `ink-${mark.id}`, d: mark.d, fill: 'accent' }];
  return mark.type === 'count' ? count(mark) : [];
}

/** A letter on a round plate, so that it can be read on a hand or a numeral. */
function letter({ letter: text, deg, radius }: Extract<DialMark, { type: 'letter' }>): SceneNode[] {
  const [x, y] = pointAt(deg, radius);
  return [
    { type: 'circle', id: `letter-plate-${text}`, cx: x, cy: y, r: 9.5, fill: 'face', stroke: 'accent', strokeWidth: 2.4 },
    { type: 'text', id: `letter-${text}`, x, y, text, size: 13, bold: true, anchor: 'middle', fill: 'ink' },
  ];
}

const COUNT_WORDS = { 1: ['one', 'ones'], 5: ['five', 'fives'], 15: ['quarter', 'quarters'] } as const;

/** Half the height of the plate that a count is written on. */
const PLATE = 7;
/** Where along its arc a count may stand, best first. */
const COUNT_PLACES = [1 / 2, 1 / 3, 2 / 3, 1 / 5, 4 / 5, 1 / 10, 9 / 10];

/** An arc from one place of the rim to another; its count stands on a plate within the numerals, beside the hands where it can. */
function arc({ fromMinute, toMinute, by }: Extract<DialMark, { type: 'arc' }>, index: number, dial: DialState): SceneNode[] {
  const span = (((toMinute - fromMinute) % 60) + 60) % 60 || 60;
  const many = Math.floor(span / by);
  const text = `${many} ${COUNT_WORDS[by][many === 1 ? 0 : 1]}`;
  const width = text.length * 2.75 + 3;
  const places = COUNT_PLACES.map((part) => {
    const deg = (fromMinute + span * part) * 6;
    const [outX, outY] = pointAt(deg, 1);
    return pointAt(deg, NUMERAL_RADIUS - 10 - Math.abs(outX) * width - Math.abs(outY) * PLATE);
  });
  const [x, y] = places.find((place) => !handsCross(dial, place, width)) ?? places[0]!;
  return [
    {
      type: 'path',
      id: `arc-${index}`,
      d: arcPath(fromMinute * 6, (fromMinute + span) * 6, FACE_RADIUS - 16),
      fill: 'none',
      stroke: 'accent',
      strokeWidth: 4,
    },
    {
      type: 'path',
      id: `arc-plate-${index}`,
      d: `M${coordinate(x - width)} ${coordinate(y)} L${coordinate(x + width)} ${coordinate(y)}`,
      fill: 'none',
      stroke: 'face',
      strokeWidth: 2 * PLATE,
    },
    { type: 'text', id: `arc-text-${index}`, x, y, text, size: 10, bold: true, anchor: 'middle', fill: 'ink' },
  ];
}

/** Whether a shown hand runs through a plate. */
function handsCross({ pose, layers }: DialState, [x, y]: readonly [number, number], width: number): boolean {
  const hands = [
    layers.hourHand && ([pose.hourDeg, HAND_REACH.hour] as const),
    layers.minuteHand && ([pose.minuteDeg, HAND_REACH.minute] as const),
  ];
  return hands.some((hand) => {
    if (!hand) return false;
    for (let r = 0; r <= hand[1]; r += 4) {
      const [handX, handY] = pointAt(hand[0], r);
      if (Math.abs(handX - x) < width + 4 && Math.abs(handY - y) < PLATE + 4) return true;
    }
    return false;
  });
}

/** A count round the dial: an arc on the rim and the numbers counted so far. */
function count(mark: Extract<DialMark, { type: 'count' }>): SceneNode[] {
  if (mark.toMinute <= 0) return [];
  const nodes: SceneNode[] = [
    { type: 'path', id: 'count-arc', d: arcPath(0, mark.toMinute * 6, FACE_RADIUS + 1.5), fill: 'none', stroke: 'accent', strokeWidth: 4 },
  ];
  for (let minute: number = mark.by; minute <= mark.toMinute; minute += mark.by) {
    // One by one there is no room for every number: the fives and the last one are written.
    if (mark.by === 1 && minute % 5 !== 0 && minute !== Math.floor(mark.toMinute)) continue;
    const [cx, cy] = pointAt(minute * 6, RING_RADIUS);
    nodes.push({ type: 'circle', id: `count-plate-${minute}`, cx, cy, r: 8.6, fill: 'paper', stroke: 'accent', strokeWidth: 1.6 });
    nodes.push(ringNumber(`count-${minute}`, minute, minute === 60 ? '00' : String(minute)));
  }
  return nodes;
}
