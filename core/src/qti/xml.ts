/** A piece of an XML document as plain data: an element, or text. */
export type XmlNode = XmlElement | string;

export interface XmlElement {
  /** Without a prefix: what stands in files of ours has none, and whoever reads takes it off. */
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: readonly XmlNode[];
}

/** An element; children that are null or false are left out. */
export function xml(
  name: string,
  attributes: Readonly<Record<string, string | number>> = {},
  ...children: readonly (XmlNode | null | false)[]
): XmlElement {
  return {
    name,
    attributes: Object.fromEntries(Object.entries(attributes).map(([key, value]) => [key, String(value)])),
    children: children.filter((child) => child !== null && child !== false),
  };
}

/** A whole document in UTF-8. Signs that XML does not allow are left out. */
export function xmlText(root: XmlElement): string {
  return `<?xml version="1.0" encoding="UTF-8"?>\n${written(root)}\n`;
}

function written(node: XmlNode): string {
  if (typeof node === 'string') return escaped(node);
  const attributes = Object.entries(node.attributes).map(([name, value]) => ` ${name}="${escaped(value)}"`);
  const inside = node.children.map(written).join('');
  return inside ? `<${node.name}${attributes.join('')}>${inside}</${node.name}>` : `<${node.name}${attributes.join('')}/>`;
}

function escaped(text: string): string {
  return text
    .replace(NOT_ALLOWED, '')
    .replace(/&/g, '&amp;')
    .replace(/</g, '&lt;')
    .replace(/>/g, '&gt;')
    .replace(/"/g, '&quot;')
    .replace(/\t/g, '&#9;')
    .replace(/\n/g, '&#10;');
}

/** Signs that XML allows. Source: XML 1.0, 2.2 Characters. */
const NOT_ALLOWED = /[^\t\n\u0020-\uD7FF\uE000-\uFFFD\u{10000}-\u{10FFFF}]/gu;

/** The element children of a name. */
export function childrenOf(parent: XmlElement, name: string): XmlElement[] {
  return parent.children.filter((child): child is XmlElement => typeof child !== 'string' && child.name === name);
}

/** Every element of a name within another, in document order. */
export function within(parent: XmlElement, name: string): XmlElement[] {
  return parent.children.flatMap((child) => {
    if (typeof child === 'string') return [];
    return [...(child.name === name ? [child] : []), ...within(child, name)];
  });
}

/** All text within a node, its white space as one space. */
export function textWithin(node: XmlNode): string {
  const all = (one: XmlNode): string => (typeof one === 'string' ? one : one.children.map(all).join(' '));
  return all(node).replace(/\s+/g, ' ').trim();
}
