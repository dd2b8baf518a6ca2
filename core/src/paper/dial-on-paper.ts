import type { Pose } from '../dial/pose.js';
import { DIAL_EXTENT, FACE_RADIUS } from '../scene/dial-face.js';
import { dialGroup } from '../scene/dial-scene.js';
import { dialOf, type DialLayers, type DialMark } from '../scene/dial-state.js';
import type { SceneNode } from '../scene/scene-node.js';

/** Half the width of a dial in its own units: with the minute numbers round it, or the rim alone. */
const reach = ({ minuteRing }: DialLayers) => (minuteRing === 'none' ? FACE_RADIUS + 2 : DIAL_EXTENT);

const alike = new WeakMap<DialLayers, DialLayers>();

/** The same layers each time, so that a class of sheets shares one face. */
function alikeOf(layers: DialLayers): DialLayers {
  const known = alike.get(layers) ?? { ...layers, handInk: 'alike' as const };
  alike.set(layers, known);
  return known;
}

/** A dial in a square. Its hands are told apart by shape alone, since most paper is black and white. */
export function dialOnPaper(
  pose: Pose,
  layers: DialLayers,
  x: number,
  y: number,
  side: number,
  marks: readonly DialMark[] = [],
): SceneNode {
  return dialGroup(dialOf(pose, alikeOf(layers), marks), x + side / 2, y + side / 2, side / 2 / reach(layers));
}
