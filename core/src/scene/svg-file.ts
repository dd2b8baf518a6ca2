import type { Ink, Inks, Scene, SceneNode } from './scene-node.js';
import { geometryOf, SVG_TAGS } from './svg-geometry.js';

/** A scene as the text of an SVG file: colours as values, readable by any program. */
export function svgFile(scene: Scene, inks: Inks, title: string, background: Ink | null): string {
  const fill = (ink: Ink) => (ink === 'none' ? 'none' : inks[ink]);
  const paper = background ? `<rect width="${scene.width}" height="${scene.height}" fill="${fill(background)}"/>` : '';
  const body = scene.nodes.map((node) => element(node, fill)).join('');
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${scene.width} ${scene.height}" width="${scene.width}" height="${scene.height}" font-family="Andika, sans-serif" stroke-linejoin="round" stroke-linecap="round"><title>${escaped(title)}</title>${paper}${body}</svg>
`;
}

function element(node: SceneNode, colour: (ink: Ink) => string): string {
  const tag = SVG_TAGS[node.type];
  const attributes = { ...geometryOf(node), ...colours(node, colour) };
  const written = Object.entries(attributes).map(([name, value]) => ` ${name}="${escaped(value)}"`);
  const inside =
    node.type === 'group' ? node.nodes.map((child) => element(child, colour)).join('') : node.type === 'text' ? escaped(node.text) : '';
  return `<${tag}${written.join('')}>${inside}</${tag}>`;
}

function colours(node: SceneNode, colour: (ink: Ink) => string): Record<string, string> {
  if (node.type === 'group') return {};
  if (node.type === 'text') return { fill: colour(node.fill), ...(node.bold ? { 'font-weight': '700' } : {}) };
  return { fill: colour(node.fill), ...(node.stroke ? { stroke: colour(node.stroke) } : {}) };
}

function escaped(text: string): string {
  return text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/"/g, '&quot;');
}
