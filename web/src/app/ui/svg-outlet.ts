import type { Scene, SceneNode } from '@zeitpunkt/core';
import { geometryOf, SVG_TAGS } from '@zeitpunkt/core/scene/svg-geometry';

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

function create(node: SceneNode): Slot {
  const element = document.createElementNS(SVG, SVG_TAGS[node.type]);
  write(element, node, null);
  return { element, node, children: new Map() };
}

function write(element: SVGElement, node: SceneNode, old: SceneNode | null): void {
  const now = attributesWithClass(node);
  const before = old ? attributesWithClass(old) : {};
  for (const [name, value] of Object.entries(now)) if (value !== before[name]) element.setAttribute(name, value);
  for (const name of Object.keys(before)) if (!(name in now)) element.removeAttribute(name);
  if (node.type === 'text' && (old as typeof node | null)?.text !== node.text) element.textContent = node.text;
}

function attributesWithClass(node: SceneNode): Record<string, string> {
  return { ...classOf(node), ...geometryOf(node) };
}

function classOf(node: SceneNode): Record<string, string> {
  if (node.type === 'group') return {};
  if (node.type === 'text') return { class: `f-${node.fill}${node.bold ? ' bold' : ''}` };
  return { class: `f-${node.fill}${node.stroke ? ` s-${node.stroke}` : ''}` };
}
