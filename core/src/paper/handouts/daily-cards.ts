import { gearedPose } from '../../dial/pose.js';
import { cardTime, type CardPattern } from '../../lesson/card-pattern.js';
import type { LessonSettings } from '../../lesson/settings.js';
import { tongueOf } from '../../talk/registry.js';
import type { SceneNode } from '../../scene/scene-node.js';
import { displayText } from '../../time/display.js';
import { bestWording } from '../../words/say.js';
import { WORD_PACKS } from '../../words/registry.js';
import { dialOnPaper, SHOWN_LAYERS } from '../dial-on-paper.js';
import { areaOf, pageOf, type PaperLook, type PaperPage } from '../paper-page.js';
import { cutBox, dashed } from '../strokes.js';
import { paragraph, word } from '../text.js';
import { paperTextsOf } from '../texts.js';

/** Cards of a pattern, a dial each; display and words are folded behind it until it was guessed. @param from number of the first card, from 1 */
export function dailyCardsPages(pattern: CardPattern, from: number, count: number, settings: LessonSettings, look: PaperLook): PaperPage[] {
  const { title, card: nameOf } = paperTextsOf(tongueOf(settings)).cards;
  const area = areaOf(look);
  const rows = look.large ? 3 : 5;
  const gap = 10;
  const height = (area.height - gap * (rows - 1)) / rows;
  const size = look.large ? 22 : 15;
  const pages: PaperPage[] = [];
  for (let first = 0; first < count; first += rows) {
    const nodes: SceneNode[] = [];
    for (let row = 0; row < Math.min(rows, count - first); row++) {
      const at = cardTime(pattern, from + first + row);
      const y = area.y + row * (height + gap);
      const half = area.width / 2;
      const side = height - 16;
      nodes.push(...cutBox(area.x, y, area.width, height), dashed(area.x + half, y, area.x + half, y + height));
      nodes.push(word(nameOf(from + first + row), area.x + 10, y + 14, { size: 10, fill: 'soft' }));
      nodes.push(dialOnPaper(gearedPose(at), SHOWN_LAYERS, area.x + (half - side) / 2, y + 8, side));
      nodes.push(
        word(displayText(at, settings.separator), area.x + half * 1.5, y + height / 2 - size * 0.9, {
          size: size * 1.8,
          bold: true,
          anchor: 'middle',
        }),
      );
      nodes.push(
        ...paragraph(
          bestWording(at, WORD_PACKS[settings.pack]),
          area.x + half + 10,
          y + height / 2 + size * 0.6,
          half - 20,
          { size, anchor: 'middle' },
          look.measure,
        ).nodes,
      );
    }
    pages.push(pageOf(look, `${title}, ${from + first}`, nodes));
  }
  return pages;
}
