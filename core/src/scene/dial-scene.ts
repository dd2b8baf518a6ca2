import type { DialMark, DialState } from './dial-state.js';
import { dialFace, DIAL_EXTENT, FACE_RADIUS, NUMERAL_RADIUS, RING_RADIUS, ringNumber } from './dial-face.js';
import { dialHands } from './dial-hands.js';
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
      ...dial.marks.flatMap(markOnRim),
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

function markOnRim(mark: DialMark, index: number): SceneNode[] {
  if (mark.type === 'arc') return arc(mark, index);
  if (mark.type === 'ink') return [{ type: 'path', id: `ink-${mark.id}`, d: mark.d, fill: 'accent' }];
  return mark.type === 'count' ? count(mark) : [];
}

const COUNT_WORDS = { 1: ['one', 'ones'], 5: ['five', 'fives'], 15: ['quarter', 'quarters'] } as const;

/** An arc from one place of the rim to another with its count in the middle, on a plate outside the rim. */
function arc({ fromMinute, toMinute, by }: Extract<DialMark, { type: 'arc' }>, index: number): SceneNode[] {
  const span = (((toMinute - fromMinute) % 60) + 60) % 60 || 60;
  const many = Math.floor(span / by);
  const [x, y] = pointAt((fromMinute + span / 2) * 6, FACE_RADIUS - 34);
  const text = `${many} ${COUNT_WORDS[by][many === 1 ? 0 : 1]}`;
  const width = text.length * 3 + 5;
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
      strokeWidth: 14,
    },
    { type: 'text', id: `arc-text-${index}`, x, y, text, size: 11, bold: true, anchor: 'middle', fill: 'ink' },
  ];
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
