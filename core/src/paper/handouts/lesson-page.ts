import { criteriaOf } from '../../ladder/criteria.js';
import { MATERIALS } from '../../ladder/materials.js';
import { RUNGS } from '../../ladder/registry.js';
import { nameInLesson } from '../../lesson/beat-words.js';
import { narrationAt } from '../../stage/player.js';
import type { PreparedLesson } from '../../lesson/prepare.js';
import { rungOfLesson } from '../../lesson/rung-of-lesson.js';
import { tongueOf } from '../../talk/registry.js';
import { kindOf } from '../../question-kinds/registry.js';
import type { SceneNode } from '../../scene/scene-node.js';
import { lengthText } from '../../time/length-text.js';
import { areaOf, pageOf, type PaperLook, type PaperPage } from '../paper-page.js';
import { line } from '../strokes.js';
import { lineHeight, linesOf, paragraph, word } from '../text.js';

interface Row {
  readonly at: string;
  readonly name: string;
  readonly said: string;
}

/** Ways to get everything on one page, the most readable first; without lines of their own words stand behind the name. */
const WAYS = [
  { size: 9.5, lines: 3, columns: 1 },
  { size: 9, lines: 2, columns: 1 },
  { size: 8.5, lines: 1, columns: 1 },
  { size: 8, lines: 2, columns: 2 },
  { size: 7.5, lines: 1, columns: 2 },
  { size: 6.5, lines: 1, columns: 2 },
  { size: 6.5, lines: 0, columns: 2 },
] as const;
const GUTTER = 16;

/** A lesson on one page for the teacher: when each beat begins, what it is and what is said, and the answers to its questions. */
export function lessonPage(prepared: PreparedLesson, look: PaperLook): PaperPage {
  const { lesson } = prepared;
  const area = areaOf(look);
  const rung = RUNGS[rungOfLesson(lesson)];
  const nodes: SceneNode[] = [];
  let top = area.y;
  const say = (text: string, size: number, bold = false) => {
    const drawn = paragraph(text, area.x, top, area.width, { size, bold }, look.measure);
    nodes.push(...drawn.nodes);
    top += drawn.height;
  };
  say(`${lesson.title} (${lengthText(prepared.totalMs)})`, 16, true);
  if (lesson.goal) say(lesson.goal, 9.5);
  const criteria = lesson.successCriteria.length > 0 ? lesson.successCriteria : criteriaOf(rung, lesson.settings);
  say(criteria.join(' '), 8.5);
  const things = rung.materials.map((id) => MATERIALS[id].thing[tongueOf(lesson.settings)]);
  if (things.length > 0) say(`Have at hand: ${things.join(', ')}.`, 8.5);
  nodes.push(line(area.x, top + 4, area.x + area.width, top + 4));
  top += 10;
  const rows = rowsOf(prepared);
  const room = area.y + area.height - top;
  const laid = WAYS.map((way) => layOut(rows, way, room)).find((one) => one.fits) ?? layOut(rows, WAYS.at(-1)!, room);
  return pageOf(look, lesson.title, [...nodes, ...laid.nodes]);

  function layOut(all: readonly Row[], { size, lines: most, columns }: (typeof WAYS)[number], height: number) {
    const width = (area.width - GUTTER * (columns - 1)) / columns;
    const [clockWidth, step] = [size * 3, lineHeight(size)];
    const drawn: SceneNode[] = [];
    let [column, y] = [0, 0];
    for (const [index, { at, name, said }] of all.entries()) {
      const room = width - clockWidth;
      const titled = linesOf(name, room, { size, bold: true }, look.measure).slice(0, 1);
      const behind = look.measure(titled[0] ?? '', size, true) + size * 0.6;
      const told = said && most > 0 ? cutTo(linesOf(said, room, { size }, look.measure), most) : [];
      const beside = said && most === 0 && behind < room * 0.8 ? cutTo(linesOf(said, room - behind, { size }, look.measure), 1) : [];
      const needs = (titled.length + told.length) * step + 2;
      if (y + needs > height) {
        column += 1;
        y = 0;
        if (column === columns) {
          const left = all.length - index;
          drawn.push(word(`… and ${left} more`, area.x + area.width, area.y + area.height + 8, { size, anchor: 'end' }));
          return { fits: false, nodes: drawn };
        }
      }
      const x = area.x + column * (width + GUTTER);
      drawn.push(word(at, x, top + y + step / 2, { size, fill: 'soft' }));
      [...titled, ...told].forEach((text, row) =>
        drawn.push(word(text, x + clockWidth, top + y + step * (row + 0.5), { size, bold: row === 0 })),
      );
      for (const text of beside) drawn.push(word(text, x + clockWidth + behind, top + y + step / 2, { size }));
      y += needs;
    }
    return { fits: true, nodes: drawn };
  }
}

const cutTo = (lines: readonly string[], most: number) =>
  lines.length <= most ? lines : [...lines.slice(0, most - 1), `${lines[most - 1]!.replace(/.{2}$/, '')} …`];

function rowsOf(prepared: PreparedLesson): Row[] {
  const { lesson, steps } = prepared;
  return lesson.beats.map((beat, index) => {
    const own = steps.filter(({ beatIndex }) => beatIndex === index);
    const item = beat.kind === 'answer' ? lesson.items.find(({ id }) => id === beat.itemId) : undefined;
    const said = item
      ? kindOf(item).keySentence(item, lesson.settings)
      : own
          .map(({ ref }) => narrationAt(prepared, ref))
          .filter(Boolean)
          .join(' ');
    const note = beat.note ? `(${beat.note}) ` : '';
    return { at: lengthText(own[0]?.startMs ?? 0), name: `${index + 1} ${nameInLesson(beat, lesson)}`, said: `${note}${said}` };
  });
}
