import type { LessonSettings } from '../lesson/settings.js';
import { MISCONCEPTIONS } from '../misconceptions/registry.js';
import { predictionsOf } from '../question-kinds/predictions.js';
import { kindOf, type Item } from '../question-kinds/registry.js';
import { paperAnswerOf } from './answers/registry.js';
import { dialOnPaper } from './dial-on-paper.js';
import { flow, type Block } from './flow.js';
import type { PaperLook, PaperPage } from './paper-page.js';
import { plate } from './strokes.js';
import { linesOf, lineHeight, paragraph, word, type Drawn } from './text.js';
import type { SheetVersion } from './versions.js';

/** A usual wrong answer and the ideas that lead to it. */
export interface UsualWrong {
  readonly answer: string;
  readonly ideas: readonly string[];
}

/** More would be read by nobody who marks a pile of sheets. */
const MOST_WRONG = 6;

/** The wrong answers that named ideas predict, those that several ideas lead to first. */
export function usualWrongAnswers(item: Item, settings: LessonSettings): UsualWrong[] {
  const kind = kindOf(item);
  const ideasBy = new Map<string, string[]>();
  for (const [id, responses] of predictionsOf(item, settings)) {
    for (const answer of new Set(responses.map((response) => kind.responseText(item, response, settings)))) {
      ideasBy.set(answer, [...(ideasBy.get(answer) ?? []), MISCONCEPTIONS[id].name]);
    }
  }
  const all = [...ideasBy].map(([answer, ideas]) => ({ answer, ideas }));
  return all.sort((one, other) => other.ideas.length - one.ideas.length).slice(0, MOST_WRONG);
}

const SIZE = 10;

/** The key of a version, for the teacher: what is right, why, and which idea is behind each usual wrong answer. */
export function keyPages({ letter, items }: SheetVersion, title: string, code: string, versions: number, settings: LessonSettings, look: PaperLook): PaperPage[] {
  const name = `Key: ${title}${versions > 1 ? `, ${letter}` : ''}`;
  return flow(items.map((item, index) => keyBlock(item, index + 1, settings, look)), {
    title: name,
    columns: 1,
    foot: [code, 'Ideas are hints of why, not a diagnosis: look for the same idea in several answers.'].filter(Boolean).join(' · '),
    head: ({ x, y, width }, page) => {
      const drawn = paragraph(page === 0 ? name : `${name} (continued)`, x, y, width, { size: page === 0 ? 18 : 12, bold: true }, look.measure);
      return { nodes: drawn.nodes, height: drawn.height + 10 };
    },
  }, look);
}

function keyBlock(item: Item, number: number, settings: LessonSettings, look: PaperLook): Block {
  const kind = kindOf(item);
  const view = kind.viewOf(item, settings);
  return {
    wide: true,
    draw(x, top, width): Drawn {
      const picture = view.picture.dial ?? null;
      const side = picture ? 54 : 0;
      const left = x + 26;
      const room = width - 26 - (picture ? side + 12 : 0);
      const nodes = plate(String(number), x + 9, top + 9, 10);
      let y = top;
      const say = (text: string, bold = false, fill: 'ink' | 'soft' = 'ink') => {
        const drawn = paragraph(text, left, y, room, { size: SIZE, bold, fill }, look.measure);
        nodes.push(...drawn.nodes);
        y += drawn.height;
      };
      say([kind.onPaper?.stem?.(item, settings) ?? view.stem, ...view.picture.lines].join(' '), false, 'soft');
      const key = kind.keySentence(item, settings);
      say(key, true);
      const reason = kind.reason(item, settings).filter((sentence) => sentence !== key).join(' ');
      if (reason) say(reason);
      for (const { answer, ideas } of usualWrongAnswers(item, settings)) {
        const column = 130;
        const lines = linesOf(ideas.join(' · '), room - column, { size: SIZE }, look.measure);
        const answers = linesOf(answer, column - 8, { size: SIZE, bold: true }, look.measure);
        answers.forEach((text, row) => nodes.push(word(text, left, y + lineHeight(SIZE) * (row + 0.5), { size: SIZE, bold: true })));
        lines.forEach((text, row) => nodes.push(word(text, left + column, y + lineHeight(SIZE) * (row + 0.5), { size: SIZE })));
        y += Math.max(lines.length, answers.length) * lineHeight(SIZE);
      }
      if (picture) nodes.push(dialOnPaper(picture, picture.layers, x + width - side, top, side, picture.letters));
      return { nodes, height: Math.max(y - top, side) };
    },
  };
}

/** For the teacher, what of a set is different on paper: by sentence the numbers of the questions, from 1. */
export function differencesOnPaper(items: readonly Item[], settings: LessonSettings): { readonly what: string; readonly questions: readonly number[] }[] {
  const by = new Map<string, number[]>();
  items.forEach((item, index) => {
    const { differs } = paperAnswerOf(kindOf(item).viewOf(item, settings));
    if (differs) by.set(differs, [...(by.get(differs) ?? []), index + 1]);
  });
  return [...by].map(([what, questions]) => ({ what, questions }));
}
