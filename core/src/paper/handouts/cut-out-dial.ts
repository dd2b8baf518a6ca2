import { EMPTY_LAYERS, dialOf } from '../../scene/dial-state.js';
import { dialGroup } from '../../scene/dial-scene.js';
import { dialHands, HAND_REACH } from '../../scene/dial-hands.js';
import { FACE_RADIUS } from '../../scene/dial-face.js';
import { arcPath, coordinate, pointAt, type SceneNode } from '../../scene/scene-node.js';
import type { Tongue } from '../../words/pack.js';
import { SHOWN_LAYERS } from '../dial-on-paper.js';
import { areaOf, pageOf, type PaperLook, type PaperPage } from '../paper-page.js';
import { cutBox } from '../strokes.js';
import { paragraph, word } from '../text.js';
import { paperTextsOf } from '../texts.js';
import { heading } from './heading.js';

/** How far a flap reaches beyond the rim, and half its width, in dial units and degrees. */
const FLAP = { from: FACE_RADIUS + 1.2, to: 122, halfDeg: 13.5 } as const;

/** A dial with twelve flaps that carry the minutes, and on a second page both hands, in proportion. */
export function cutOutDialPages(tongue: Tongue, look: PaperLook): PaperPage[] {
  const { title, steps, hour, minute } = paperTextsOf(tongue).cutDial;
  const area = areaOf(look);
  const scale = area.width / 2 / FLAP.to;
  const [cx, cy] = [area.x + area.width / 2, area.y + area.height / 2];
  const head = heading(title, '', look);
  const flaps: SceneNode = {
    type: 'group',
    id: '',
    x: cx,
    y: cy,
    scale,
    turnDeg: 0,
    nodes: Array.from({ length: 12 }, (_, five) => flap(five)).flat(),
  };
  const dial = dialGroup(dialOf({ hourDeg: 0, minuteDeg: 0 }, EMPTY_LAYERS), cx, cy, scale);
  const hole: SceneNode = { type: 'circle', id: '', cx, cy, r: 3, fill: 'paper', stroke: 'ink', strokeWidth: 1 };
  return [pageOf(look, title, [...head.nodes, flaps, dial, hole]), handsPage()];

  function handsPage(): PaperPage {
    const nodes: SceneNode[] = [];
    let y = area.y;
    const size = look.large ? 16 : 12.5;
    steps.forEach((text, index) => {
      nodes.push(word(`${index + 1}.`, area.x, y + size * 0.66, { size, bold: true }));
      const drawn = paragraph(text, area.x + size * 1.8, y, area.width - size * 1.8, { size }, look.measure);
      nodes.push(...drawn.nodes);
      y += drawn.height + size * 0.5;
    });
    y += size * 1.5;
    const hub = y + HAND_REACH.minute * scale + 14;
    nodes.push(...handToCut('hour', area.x + area.width * 0.3, hub, hour), ...handToCut('minute', area.x + area.width * 0.7, hub, minute));
    return pageOf(look, `${title}, 2`, nodes);
  }

  /** A hand on a strip that small scissors can follow. */
  function handToCut(which: 'hour' | 'minute', x: number, y: number, name: string): SceneNode[] {
    const layers = { ...SHOWN_LAYERS, hourHand: which === 'hour', minuteHand: which === 'minute' };
    const [half, up, down] = [(which === 'hour' ? 10 : 8) * scale, HAND_REACH[which] * scale + 6, 22 * scale];
    return [
      ...cutBox(x - half, y - up, 2 * half, up + down),
      { type: 'group', id: '', x, y, scale, turnDeg: 0, nodes: dialHands(dialOf({ hourDeg: 0, minuteDeg: 0 }, layers)) },
      { type: 'circle', id: '', cx: x, cy: y, r: 3, fill: 'paper', stroke: 'ink', strokeWidth: 1 },
      word(name, x, y + down + 16, { size: look.large ? 16 : 12, anchor: 'middle' }),
    ];
  }
}

function flap(five: number): SceneNode[] {
  const middle = five * 30;
  const at = (deg: number, radius: number) => pointAt(deg, radius).map(coordinate).join(' ');
  const [from, to] = [middle - FLAP.halfDeg, middle + FLAP.halfDeg];
  const outline = `M${at(from, FLAP.from)} L${at(from, FLAP.to)} A${FLAP.to} ${FLAP.to} 0 0 1 ${at(to, FLAP.to)} L${at(to, FLAP.from)}`;
  const [x, y] = pointAt(middle, 111.5);
  const folds = Array.from({ length: 7 }, (_, dash) => {
    const start = from + (dash * 2 * FLAP.halfDeg) / 7;
    return arcPath(start, start + FLAP.halfDeg / 7, FLAP.from);
  });
  return [
    { type: 'path', id: `flap-${five}`, d: outline, fill: 'none', stroke: 'ink', strokeWidth: 0.7 },
    { type: 'path', id: `fold-${five}`, d: folds.join(' '), fill: 'none', stroke: 'soft', strokeWidth: 0.7 },
    {
      type: 'text',
      id: `minutes-${five}`,
      x,
      y,
      text: String(five * 5).padStart(2, '0'),
      size: 12,
      bold: true,
      anchor: 'middle',
      fill: 'ink',
    },
  ];
}
