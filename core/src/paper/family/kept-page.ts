import type { SceneNode } from '../../scene/scene-node.js';
import type { Tongue } from '../../words/pack.js';
import { heading } from '../handouts/heading.js';
import { areaOf, pageOf, type PaperLook, type PaperPage } from '../paper-page.js';
import { ruled } from '../strokes.js';
import { paragraph, word, type Drawn } from '../text.js';
import { dayIn, familyTextsOf } from './texts.js';

/** What holds for a class, as its school is set. */
export interface KeptFacts {
  readonly className: string;
  /** The day of the page, as ISO 8601. */
  readonly day: string;
  /** The address of the school's machine, as pupils open it. */
  readonly address: string;
  /** Answers are deleted so many days after their lesson; null for when the teacher does. */
  readonly keepDays: number | null;
  /** How many daily copies are kept, and whether they are sealed; null where none are made. */
  readonly backups: { readonly most: number; readonly sealed: boolean } | null;
}

/** Sizes of words in points, the first that fits is taken. */
const SIZES = [11.5, 11, 10.5, 10, 9.5, 9, 8.5] as const;
const LARGEST = 13.5;
/** Room to sign at the foot. */
const SIGNED = 44;

/** What is kept, where, for how long, and who sees it: one page for families. */
export function keptPage({ className, day, address, keepDays, backups }: KeptFacts, tongue: Tongue, look: PaperLook): PaperPage[] {
  const texts = familyTextsOf(tongue).kept;
  const { x, y, width, height } = areaOf(look);
  const head = heading(texts.title(className), texts.about(dayIn(day, tongue)), look);
  const parts: readonly (readonly [string, readonly string[]])[] = [
    [texts.what, [...texts.whatIs, texts.not]],
    [texts.where, [texts.whereIs(address), texts.onDevice]],
    [texts.howLong, [texts.days(keepDays), texts.leavers, backups ? texts.backups(backups.most, backups.sealed) : texts.noBackups]],
    [texts.who, texts.whoIs],
    [texts.ask, [texts.askIs]],
    [texts.law, []],
  ];
  const drawnIn = (size: number): Drawn => {
    const nodes: SceneNode[] = [];
    let used = head.height;
    const say = (text: string, bold = false) => {
      const drawn = paragraph(text, x, y + used, width, { size, bold }, look.measure);
      nodes.push(...drawn.nodes);
      used += drawn.height + size * (bold ? 0.15 : 0.35);
    };
    for (const [title, sentences] of parts) {
      say(title, true);
      for (const sentence of sentences) say(sentence);
      used += size * 0.7;
    }
    return { nodes, height: used };
  };
  // As large as fits on one page.
  const room = height - SIGNED;
  const sizes = look.large ? [LARGEST, ...SIZES] : SIZES;
  const { nodes } = sizes.map(drawnIn).find((drawn) => drawn.height <= room) ?? drawnIn(SIZES.at(-1)!);
  const foot = y + height - 8;
  const signed = [ruled(x, foot - 10, width * 0.6), word(texts.signature, x, foot, { size: 9, fill: 'soft' })];
  return [pageOf(look, texts.title(className), [...head.nodes, ...nodes, ...signed])];
}
