import type { LessonSettings } from '../lesson/settings.js';
import { RUNGS, type RungId } from '../ladder/registry.js';
import { MISCONCEPTIONS, type MisconceptionId } from '../misconceptions/registry.js';
import { predictionsOf } from '../question-kinds/predictions.js';
import { kindOf, type Item } from '../question-kinds/registry.js';
import { paperAnswerOf } from './answers/registry.js';
import { dialOnPaper } from './dial-on-paper.js';
import { flow, type Block } from './flow.js';
import type { PaperLook, PaperPage } from './paper-page.js';
import { plate } from './strokes.js';
import { linesOf, lineHeight, paragraph, word, type Drawn } from './text.js';
import type { SheetVersion } from './versions.js';

/** Usual wrong answers that the same ideas lead to. */
export interface UsualWrong {
  readonly answers: readonly string[];
  readonly ideas: readonly MisconceptionId[];
}

/** More would be read by nobody who marks a pile of sheets. */
const MOST_WRONG = 6;
const MOST_ALIKE = 3;

/** The wrong answers that named ideas predict: those of ideas that are usual on the rung first, then those of several ideas. */
export function usualWrongAnswers(item: Item, rung: RungId, settings: LessonSettings): UsualWrong[] {
  const kind = kindOf(item);
  const ideasOf = new Map<string, MisconceptionId[]>();
  for (const [id, responses] of predictionsOf(item, settings)) {
    for (const answer of new Set(responses.map((response) => kind.responseText(item, response, settings)))) {
      ideasOf.set(answer, [...(ideasOf.get(answer) ?? []), id]);
    }
  }
  const byIdeas = new Map<string, { answers: string[]; ideas: MisconceptionId[] }>();
  for (const [answer, ideas] of ideasOf) {
    const known = byIdeas.get(ideas.join());
    if (known) known.answers.push(answer);
    else byIdeas.set(ideas.join(), { answers: [answer], ideas });
  }
  const usual = RUNGS[rung].misconceptions;
  const rank = ({ ideas }: UsualWrong) =>
    Math.min(...ideas.map((id) => (usual.includes(id) ? usual.indexOf(id) : usual.length))) - ideas.length / 100;
  return [...byIdeas.values()]
    .map(({ answers, ideas }) => ({ answers: answers.slice(0, MOST_ALIKE), ideas }))
    .sort((one, other) => rank(one) - rank(other))
    .slice(0, MOST_WRONG);
}

/** What a key belongs to. */
export interface KeyOf {
  readonly title: string;
  readonly code: string;
  /** How many versions there are. */
  readonly versions: number;
  readonly rung: RungId;
  readonly settings: LessonSettings;
}

const SIZE = 10;

/** The key of a version, for the teacher: what is right, why, and which idea is behind each usual wrong answer. */
export function keyPages({ letter, items }: SheetVersion, of: KeyOf, look: PaperLook): PaperPage[] {
  const { title, code, versions } = of;
  const name = `Key: ${title}${versions > 1 ? `, ${letter}` : ''}`;
  return flow(
    items.map((item, index) => keyBlock(item, index + 1, of, look)),
    {
      title: name,
      columns: 1,
      foot: [code, 'Ideas are hints of why, not a diagnosis: look for the same idea in several answers.'].filter(Boolean).join(' · '),
      head: ({ x, y, width }, page) => {
        const drawn = paragraph(
          page === 0 ? name : `${name} (continued)`,
          x,
          y,
          width,
          { size: page === 0 ? 18 : 12, bold: true },
          look.measure,
        );
        return { nodes: drawn.nodes, height: drawn.height + 10 };
      },
    },
    look,
  );
}

function keyBlock(item: Item, number: number, { rung, settings }: KeyOf, look: PaperLook): Block {
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
      const reason = kind
        .reason(item, settings)
        .filter((sentence) => sentence !== key)
        .join(' ');
      if (reason) say(reason);
      for (const { answers, ideas } of usualWrongAnswers(item, rung, settings)) {
        const column = 150;
        const lines = linesOf(ideas.map((id) => MISCONCEPTIONS[id].name).join(' · '), room - column, { size: SIZE }, look.measure);
        const given = linesOf(answers.join(' · '), column - 8, { size: SIZE, bold: true }, look.measure);
        given.forEach((text, row) => nodes.push(word(text, left, y + lineHeight(SIZE) * (row + 0.5), { size: SIZE, bold: true })));
        lines.forEach((text, row) => nodes.push(word(text, left + column, y + lineHeight(SIZE) * (row + 0.5), { size: SIZE })));
        y += Math.max(lines.length, given.length) * lineHeight(SIZE);
      }
      if (picture) nodes.push(dialOnPaper(picture, picture.layers, x + width - side, top, side, picture.letters));
      return { nodes, height: Math.max(y - top, side) };
    },
  };
}

/** For the teacher, what of a set is different on paper: by sentence the numbers of the questions, from 1. */
export function differencesOnPaper(
  items: readonly Item[],
  settings: LessonSettings,
): { readonly what: string; readonly questions: readonly number[] }[] {
  const by = new Map<string, number[]>();
  items.forEach((item, index) => {
    const { differs } = paperAnswerOf(kindOf(item).viewOf(item, settings));
    if (differs) by.set(differs, [...(by.get(differs) ?? []), index + 1]);
  });
  return [...by].map(([what, questions]) => ({ what, questions }));
}
