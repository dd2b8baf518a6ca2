import type { LessonSettings } from '../lesson/settings.js';
import { tongueOf } from '../talk/registry.js';
import { kindOf, type Item, type ItemView } from '../question-kinds/registry.js';
import { displayShown } from './display-shown.js';
import { bandKindOf } from '../scene/bands/registry.js';
import type { SceneNode } from '../scene/scene-node.js';
import { paperAnswerOf } from './answers/registry.js';
import { dialOnPaper } from './dial-on-paper.js';
import type { Block } from './flow.js';
import type { PaperLook } from './paper-page.js';
import { plate } from './strokes.js';
import { paragraph, type Drawn } from './text.js';
import { paperTextsOf } from './texts.js';

/** Font size of what pupils read, in points. */
export const readingSize = ({ large }: PaperLook): number => (large ? 18 : 12.5);

const BAND = { width: 1180, height: 210 };

/** A question with its number, what it shows, and room for the answer. */
export function questionBlock(item: Item, number: number, settings: LessonSettings, look: PaperLook): Block {
  const kind = kindOf(item);
  const view = kind.viewOf(item, settings);
  const answer = paperAnswerOf(view);
  const size = readingSize(look);
  const stem = kind.onPaper?.stem?.(item, settings) ?? view.stem;
  return {
    wide: look.large || answer.isWide(view),
    draw(x, top, width) {
      const indent = size * 2;
      const [left, room] = [x + indent, width - indent];
      const nodes: SceneNode[] = plate(String(number), x + size * 0.8, top + size * 0.8, size * 0.95);
      let y = top;
      const add = ({ nodes: drawn, height }: Drawn, gap: number) => {
        nodes.push(...drawn);
        y += height + gap;
      };
      add(paragraph(stem, left, y, room, { size, bold: true }, look.measure), size * 0.5);
      add(pictureDrawn(view, left, y, room, look), 0);
      add(answer.draw(view, { x: left, top: y, width: room, size, texts: paperTextsOf(tongueOf(settings)), settings, look }), 0);
      return { nodes, height: y - top };
    },
  };
}

/** What a question shows beside its words. */
function pictureDrawn({ picture, shape }: ItemView, x: number, top: number, width: number, look: PaperLook): Drawn {
  const size = readingSize(look);
  const nodes: SceneNode[] = [];
  let y = top;
  for (const line of picture.lines) {
    const { nodes: drawn, height } = paragraph(line, x, y, width, { size: size * 1.15 }, look.measure);
    nodes.push(...drawn);
    y += height + size * 0.3;
  }
  if (picture.dial) {
    const side = Math.min(width, look.large ? 250 : shape === 'numbers' || shape === 'pairs' ? 170 : 140);
    nodes.push(dialOnPaper(picture.dial, picture.dial.layers, x, y, side, picture.dial.letters));
    y += side + size * 0.7;
  }
  if (picture.display) {
    const { nodes: drawn, height } = displayShown(picture.display, x, y, size * 1.5);
    nodes.push(...drawn);
    y += height + size * 0.7;
  }
  if (picture.band) {
    const scale = width / (BAND.width * 1.08);
    const band = bandKindOf(picture.band).nodes(picture.band, { x: BAND.width * 0.04, y: 0, ...BAND }, 'band');
    nodes.push({ type: 'group', id: '', x, y, scale, turnDeg: 0, nodes: band });
    y += BAND.height * scale + size * 0.4;
  }
  return { nodes, height: y - top };
}
