import type { GroupNode, PathNode, SceneNode } from './scene-node.js';

/** The SVG element of each kind of node. */
export const SVG_TAGS = { group: 'g', circle: 'circle', path: 'path', text: 'text' } as const;

/** Half the height of this typeface's digits in parts of the font size: the scene gives the middle of the digits. */
export const DIGIT_MIDDLE = 0.36;

/** The attributes of a node without its colours; on screen those are classes, in a file they are values. */
export function geometryOf(node: SceneNode): Record<string, string> {
  switch (node.type) {
    case 'group':
      return { transform: transformOf(node), ...(node.role ? { 'data-role': node.role } : {}) };
    case 'circle':
      return { cx: short(node.cx), cy: short(node.cy), r: String(node.r), ...strokingOf(node) };
    case 'path':
      return { d: node.d, ...strokingOf(node) };
    case 'text':
      return {
        x: short(node.x),
        y: short(node.y + node.size * DIGIT_MIDDLE),
        'font-size': String(node.size),
        'text-anchor': node.anchor,
      };
  }
}

function transformOf({ x, y, scale, turnDeg }: GroupNode): string {
  return `translate(${x} ${y}) rotate(${Math.round(turnDeg * 1000) / 1000}) scale(${scale})`;
}

/** How a shape is painted, beside its colours. */
export function strokingOf(node: Omit<PathNode, 'type' | 'd'>): Record<string, string> {
  return {
    ...(node.strokeWidth ? { 'stroke-width': String(node.strokeWidth) } : {}),
    ...(node.opacity !== undefined ? { [opacityOf(node)]: String(node.opacity) } : {}),
  };
}

/** What is painted once is clear by its paint alone: as a whole, a browser would take it for a picture of its own, at every move. */
function opacityOf({ fill, stroke = 'none' }: Omit<PathNode, 'type' | 'd'>): string {
  if (stroke === 'none') return 'fill-opacity';
  return fill === 'none' ? 'stroke-opacity' : 'opacity';
}

/** At most two decimals: a hundredth of a scene unit is less than a pixel on any screen. */
function short(value: number): string {
  return String(Math.round(value * 100) / 100 + 0);
}
