import type { GroupNode, Scene, SceneNode } from '@zeitpunkt/core';

const SVG = 'http://www.w3.org/2000/svg';

interface Slot {
  readonly element: SVGElement;
  node: SceneNode;
  readonly children: Map<string, Slot>;
}

/**
 * Draws scenes into an SVG element. Elements are kept by node id; a node that is the same object as before is skipped, so
 * that a turning hand costs one attribute. Angular is not involved.
 */
export class SvgOutlet {
  private readonly slots = new Map<string, Slot>();
  private viewBox = '';

  constructor(private readonly svg: SVGSVGElement) {}

  draw(scene: Scene): void {
    const viewBox = `0 0 ${scene.width} ${scene.height}`;
    if (viewBox !== this.viewBox) this.svg.setAttribute('viewBox', (this.viewBox = viewBox));
    patch(this.svg, scene.nodes, this.slots);
  }
}

function patch(parent: SVGElement, nodes: readonly SceneNode[], slots: Map<string, Slot>): void {
  let cursor = parent.firstChild;
  const seen = new Set<string>();
  for (const node of nodes) {
    seen.add(node.id);
    let slot = slots.get(node.id);
    if (!slot || slot.node.type !== node.type) {
      slot?.element.remove();
      if (slot?.element === cursor) cursor = parent.childNodes[seen.size - 1] ?? null;
      slots.set(node.id, (slot = create(node)));
    } else if (slot.node !== node) {
      write(slot.element, node, slot.node);
      slot.node = node;
    }
    if (node.type === 'group') patch(slot.element, node.nodes, slot.children);
    if (slot.element === cursor) cursor = cursor.nextSibling;
    else parent.insertBefore(slot.element, cursor);
  }
  if (slots.size > seen.size) {
    for (const [id, slot] of slots) {
      if (seen.has(id)) continue;
      slot.element.remove();
      slots.delete(id);
    }
  }
}

const TAGS = { group: 'g', circle: 'circle', path: 'path', text: 'text' } as const;

function create(node: SceneNode): Slot {
  const element = document.createElementNS(SVG, TAGS[node.type]);
  write(element, node, null);
  return { element, node, children: new Map() };
}

function write(element: SVGElement, node: SceneNode, old: SceneNode | null): void {
  const now = attributesOf(node);
  const before = old ? attributesOf(old) : {};
  for (const [name, value] of Object.entries(now)) if (value !== before[name]) element.setAttribute(name, value);
  for (const name of Object.keys(before)) if (!(name in now)) element.removeAttribute(name);
  if (node.type === 'text' && (old as typeof node | null)?.text !== node.text) element.textContent = node.text;
}

function attributesOf(node: SceneNode): Record<string, string> {
  switch (node.type) {
    case 'group':
      return { transform: transformOf(node), ...(node.role ? { 'data-role': node.role } : {}) };
    case 'circle':
      return { cx: String(node.cx), cy: String(node.cy), r: String(node.r), ...paint(node) };
    case 'path':
      return { d: node.d, ...paint(node) };
    case 'text':
      return {
        x: String(node.x),
        // The scene gives the middle of the digits; 0.36 of the size is half the height of this typeface's digits.
        y: String(Math.round((node.y + node.size * 0.36) * 100) / 100),
        'font-size': String(node.size),
        'text-anchor': node.anchor,
        class: `f-${node.fill}${node.bold ? ' bold' : ''}`,
      };
  }
}

function transformOf({ x, y, scale, turnDeg }: GroupNode): string {
  return `translate(${x} ${y}) rotate(${Math.round(turnDeg * 1000) / 1000}) scale(${scale})`;
}

function paint(node: Extract<SceneNode, { type: 'circle' | 'path' }>): Record<string, string> {
  return {
    class: `f-${node.fill}${node.stroke ? ` s-${node.stroke}` : ''}`,
    ...(node.strokeWidth ? { 'stroke-width': String(node.strokeWidth) } : {}),
    ...(node.opacity !== undefined ? { opacity: String(node.opacity) } : {}),
  };
}
