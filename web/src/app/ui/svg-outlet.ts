import type { GroupNode, PathNode, Scene, SceneNode } from '@zeitpunkt/core/scene/scene-node';
import { outlineOf, turnedPoints } from '@zeitpunkt/core/scene/outline';
import { geometryOf, strokingOf, SVG_TAGS } from '@zeitpunkt/core/scene/svg-geometry';

/** A shape of a hand, as the points that it has where the hand is turned to. */
interface Turned extends Omit<PathNode, 'type' | 'd'> {
  readonly type: 'turned';
  readonly points: string;
}
type Drawn = SceneNode | Turned;

const TAGS = { ...SVG_TAGS, turned: 'polygon' } as const;

type Attributes = Readonly<Record<string, string>>;

const SVG = 'http://www.w3.org/2000/svg';

interface Slot {
  readonly element: SVGElement;
  node: Drawn;
  /** What stands in the element's attributes. */
  written: Attributes;
  readonly children: Map<string, Slot>;
}

/**
 * Draws scenes into an SVG element. Elements are kept by node id; a node that is the same object as before is skipped, so
 * that a turning hand costs one shape. Angular is not involved.
 *
 * What turns in place (a hand) is drawn by its turned points and not by a transform: what has a transform that changes is a
 * layer to a browser, and with every change of one all layers of the page are put together anew. Points and not path data:
 * that is a style in SVG 2, and would have to be reckoned anew.
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

function patch(parent: SVGElement, nodes: readonly Drawn[], slots: Map<string, Slot>): void {
  let cursor = parent.firstChild;
  for (const [place, node] of nodes.entries()) {
    let slot = slots.get(node.id);
    const isAsBefore = slot?.node === node;
    if (!slot || slot.node.type !== node.type) {
      slot?.element.remove();
      if (slot?.element === cursor) cursor = parent.childNodes[place] ?? null;
      slots.set(node.id, (slot = create(node)));
    } else if (!isAsBefore) {
      write(slot, node);
    }
    if (node.type === 'group' && !isAsBefore) patch(slot.element, nodesOf(node), slot.children);
    if (slot.element === cursor) cursor = cursor.nextSibling;
    else parent.insertBefore(slot.element, cursor);
  }
  if (slots.size > nodes.length) {
    const seen = new Set(nodes.map(({ id }) => id));
    for (const [id, slot] of slots) {
      if (seen.has(id)) continue;
      slot.element.remove();
      slots.delete(id);
    }
  }
}

function create(node: Drawn): Slot {
  const slot: Slot = { element: document.createElementNS(SVG, TAGS[node.type]), node, written: {}, children: new Map() };
  write(slot, node);
  if (node.type === 'text') writeText(slot.element, node.text);
  return slot;
}

function write(slot: Slot, node: Drawn): void {
  const { element, written: before, node: old } = slot;
  const now = attributesWithClass(node);
  for (const name in now) if (now[name] !== before[name]) element.setAttribute(name, now[name]!);
  for (const name in before) if (!(name in now)) element.removeAttribute(name);
  if (node.type === 'text' && (old as typeof node).text !== node.text) writeText(element, node.text);
  slot.node = node;
  slot.written = now;
}

/** Another text in the same node: a node that comes and goes has styles reckoned anew. */
function writeText(element: SVGElement, text: string): void {
  if (element.firstChild) element.firstChild.nodeValue = text;
  else element.textContent = text;
}

/** Whether a group does nothing but turn outlines about the middle of where it stands. */
const turnsInPlace = ({ x, y, scale, nodes }: GroupNode) =>
  x === 0 && y === 0 && scale === 1 && nodes.every((node) => node.type === 'path' && outlineOf(node.d) !== null);

function nodesOf(group: GroupNode): readonly Drawn[] {
  if (!turnsInPlace(group)) return group.nodes;
  return (group.nodes as readonly PathNode[]).map(({ d, ...node }) => {
    return { ...node, type: 'turned', points: turnedPoints(outlineOf(d)!, group.turnDeg) };
  });
}

function attributesWithClass(node: Drawn): Attributes {
  if (node.type === 'group') return turnsInPlace(node) ? turningOf(node) : geometryOf(node);
  const geometry = node.type === 'turned' ? { points: node.points, ...strokingOf(node) } : geometryOf(node);
  return Object.assign(classOf(node), geometry);
}

/** A hand says its angle, in degrees, since no transform does. */
function turningOf({ role, turnDeg }: GroupNode): Attributes {
  return { ...(role ? { 'data-role': role } : {}), 'data-deg': String(Math.round(turnDeg * 1000) / 1000) };
}

function classOf(node: Exclude<Drawn, GroupNode>): Attributes {
  if (node.type === 'text') return { class: `f-${node.fill}${node.bold ? ' bold' : ''}` };
  return { class: `f-${node.fill}${node.stroke ? ` s-${node.stroke}` : ''}` };
}
