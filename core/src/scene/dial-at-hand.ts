import { DIAL_EXTENT } from './dial-face.js';
import type { GroupNode, Scene } from './scene-node.js';

/**
 * The scene with a ring round one of several dials: the one that keys, fields and tools act on. For whoever builds, not for pupils.
 * @param place among all dials of the scene, from 0
 */
export function withDialAtHand(scene: Scene, place: number): Scene {
  const dial = scene.nodes.filter((node): node is GroupNode => node.type === 'group' && node.role === 'dial')[place];
  if (!dial) return scene;
  const { x: cx, y: cy, scale } = dial;
  const ring = { type: 'circle', id: 'at-hand', cx, cy, r: DIAL_EXTENT * scale, fill: 'none', stroke: 'accent', strokeWidth: 5 } as const;
  return { ...scene, nodes: [...scene.nodes, ring] };
}
