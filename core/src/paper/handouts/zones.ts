import { gearedPose } from '../../dial/pose.js';
import { FACE_RADIUS } from '../../scene/dial-face.js';
import { dialGroup } from '../../scene/dial-scene.js';
import { dialOf, EMPTY_LAYERS, PLAIN_LAYERS } from '../../scene/dial-state.js';
import { coordinate, pointAt, type SceneNode } from '../../scene/scene-node.js';
import { secondOfDay } from '../../time/second-of-day.js';
import type { Tongue } from '../../words/pack.js';
import { blank, blankHeight, blankWidth } from '../answers/blanks.js';
import { areaOf, pageOf, type PaperLook, type PaperPage } from '../paper-page.js';
import { paragraph } from '../text.js';
import { paperTextsOf } from '../texts.js';
import { heading } from './heading.js';

/** Where short hands stand that are to be read: soon after a numeral, half way, just before the next, and past the 12. */
const READ = [secondOfDay(3, 10), secondOfDay(7, 30), secondOfDay(9, 50), secondOfDay(12, 30)];

/** A dial whose hour zones are coloured in, and short hands whose zone is told. */
export function zonesPages(tongue: Tongue, look: PaperLook): PaperPage[] {
  const { title, say, which } = paperTextsOf(tongue).zones;
  const area = areaOf(look);
  const head = heading(title, say, look);
  const size = look.large ? 18 : 12.5;
  const small = (area.width - 3 * 16) / 4;
  const tasksHeight = small + blankHeight(size) + size * 3.4;
  const side = Math.min(area.width, area.height - head.height - tasksHeight - 12);
  const nodes: SceneNode[] = [...head.nodes, ...zoned(area.x + area.width / 2, area.y + head.height + side / 2, side, null)];
  let y = area.y + head.height + side + 14;
  const asked = paragraph(which, area.x, y, area.width, { size, bold: true }, look.measure);
  nodes.push(...asked.nodes);
  y += asked.height + size * 0.4;
  READ.forEach((at, index) => {
    const x = area.x + index * (small + 16);
    nodes.push(...zoned(x + small / 2, y + small / 2, small, gearedPose(at).hourDeg));
    nodes.push(blank(x + small / 2 - blankWidth(size) / 2, y + small + size * 0.5, size));
  });
  return [pageOf(look, title, nodes)];
}

/** A dial cut into its zones, with a short hand or none. */
function zoned(cx: number, cy: number, side: number, hourDeg: number | null): SceneNode[] {
  const scale = side / 2 / (FACE_RADIUS + 2);
  const layers = hourDeg === null ? EMPTY_LAYERS : { ...PLAIN_LAYERS, minuteHand: false };
  const dial = dialGroup(dialOf({ hourDeg: hourDeg ?? 0, minuteDeg: 0 }, { ...layers, ticks: false }), cx, cy, scale);
  const rays = Array.from({ length: 12 }, (_, hour): SceneNode => {
    const [from, to] = [pointAt(hour * 30, 0), pointAt(hour * 30, 60)];
    const [rim, edge] = [pointAt(hour * 30, 84), pointAt(hour * 30, FACE_RADIUS)];
    const at = ([x, y]: readonly [number, number]) => `${coordinate(x)} ${coordinate(y)}`;
    return {
      type: 'path',
      id: `ray-${hour}`,
      d: `M${at(from)} L${at(to)} M${at(rim)} L${at(edge)}`,
      fill: 'none',
      stroke: 'soft',
      strokeWidth: 0.8,
    };
  });
  const [face, ...others] = dial.nodes;
  return [{ ...dial, nodes: [face!, ...rays, ...others] }];
}
