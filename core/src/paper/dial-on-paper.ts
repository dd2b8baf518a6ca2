import type { Pose } from '../dial/pose.js';
import { DIAL_EXTENT, FACE_RADIUS } from '../scene/dial-face.js';
import { dialGroup } from '../scene/dial-scene.js';
import { dialOf, PLAIN_LAYERS, type DialLayers, type DialMark } from '../scene/dial-state.js';
import type { SceneNode } from '../scene/scene-node.js';

/** A dial that explains: hands in their own colours, where the paper has some. Dials of questions are told by shape alone. */
export const SHOWN_LAYERS: DialLayers = { ...PLAIN_LAYERS, handInk: 'own' };

/** Half the width of a dial in its own units: with the minute numbers round it, or the rim alone. */
const reach = ({ minuteRing }: DialLayers) => (minuteRing === 'none' ? FACE_RADIUS + 2 : DIAL_EXTENT);

/** A dial in a square. */
export function dialOnPaper(
  pose: Pose & { readonly secondDeg?: number },
  layers: DialLayers,
  x: number,
  y: number,
  side: number,
  marks: readonly DialMark[] = [],
): SceneNode {
  return dialGroup(
    { ...dialOf(pose, layers, marks), secondDeg: pose.secondDeg ?? 0 },
    x + side / 2,
    y + side / 2,
    side / 2 / reach(layers),
  );
}
