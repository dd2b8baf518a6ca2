import { HOME_PARTS, homeHeadings } from '../../insight/home-page.js';
import { MISCONCEPTIONS } from '../../misconceptions/registry.js';
import { kindOf } from '../../question-kinds/registry.js';
import type { Tongue } from '../../words/pack.js';
import { dialOnPaper } from '../dial-on-paper.js';
import { flow, type Block } from '../flow.js';
import { heading } from '../handouts/heading.js';
import type { PaperLook, PaperPage } from '../paper-page.js';
import type { SceneNode } from '../../scene/scene-node.js';
import { paragraph, type TextStyle } from '../text.js';
import type { PupilRecord, RecordedAnswer, RecordedLesson } from './pupil-record.js';
import { clockIn, dayIn, familyTextsOf } from './texts.js';

const DIAL_SIDE = 52;
const DIAL_GAP = 12;

/** A line of a block: what it says, and how. */
type Line = readonly [text: string, style?: Omit<TextStyle, 'size'>];

/** All that is kept about one pupil, to be read by the family: lesson by lesson each question, its answer and what was made of it. */
export function recordPages(record: PupilRecord, tongue: Tongue, look: PaperLook): PaperPage[] {
  const texts = familyTextsOf(tongue).record;
  const size = look.large ? 15 : 10.5;
  const title = texts.title(record.name);
  const blocks = [
    linesBlock(aboutPupil(record, tongue), size, look),
    ...record.lessons.flatMap((lesson) => {
      const [first, ...others] = lesson.answers.map((answer) => answerBlock(answer, lesson, { tongue, size, look }));
      // What a lesson is called stays with its first answer.
      const head = linesBlock(aboutLesson(lesson, tongue), size, look);
      return [first ? below(head, first, size) : head, ...others];
    }),
    ...(record.pageForHome ? [linesBlock(pageForHome(record.pageForHome, tongue), size, look)] : []),
  ];
  return flow(
    blocks,
    {
      title,
      columns: 1,
      foot: texts.foot,
      head: ({ x, y, width }, page) => {
        if (page === 0) return heading(title, texts.about(record.class, dayIn(record.exportedAt, tongue)), look);
        const { nodes, height } = paragraph(title, x, y, width, { size, bold: true, fill: 'soft' }, look.measure);
        return { nodes, height: height + size };
      },
    },
    look,
  );
}

function aboutPupil({ reference, leftAt, cardMadeAt, remarks, sheets, lessons }: PupilRecord, tongue: Tongue): Line[] {
  const texts = familyTextsOf(tongue).record;
  const answered = lessons.some(({ answers }) => answers.length > 0);
  return [
    ...(reference ? [[`${texts.reference}: ${reference}`] as const] : []),
    ...(leftAt ? [[`${texts.left} ${dayIn(leftAt, tongue)}`] as const] : []),
    ...(cardMadeAt ? [[`${texts.card} ${dayIn(cardMadeAt, tongue)}`] as const] : []),
    ...(sheets.length > 0 ? [[`${texts.sheets}: ${sheets.map(({ code }) => code).join(', ')}`] as const] : []),
    ...(remarks.length > 0 ? [[texts.remarks, { bold: true }] as const] : []),
    ...remarks.map(({ text, at }) => [`${dayIn(at, tongue)}: ${text}`] as const),
    ...(answered ? [] : [[texts.nothing] as const]),
  ];
}

function aboutLesson({ title, taughtAt, pace, came, own }: RecordedLesson, tongue: Tongue): Line[] {
  const texts = familyTextsOf(tongue).record;
  const joins = came.map(({ at }) => clockIn(at, tongue)).join(', ');
  return [
    [title, { bold: true }],
    [
      [
        `${texts.lesson[pace]}, ${dayIn(taughtAt, tongue)}`,
        joins ? `${texts.came} ${joins}` : texts.notCome,
        ...(own?.finishedAt ? [`${texts.finished} ${dayIn(own.finishedAt, tongue)}`] : []),
      ].join(' · '),
      { fill: 'soft' },
    ],
    ...(own?.line ? [[`${texts.line}: ${own.line}`] as const] : []),
  ];
}

function pageForHome(page: NonNullable<PupilRecord['pageForHome']>, tongue: Tongue): Line[] {
  const heads = homeHeadings(tongue);
  return [
    [`${familyTextsOf(tongue).record.home}, ${dayIn(page.at, tongue)}`, { bold: true }],
    ...HOME_PARTS.flatMap((part): Line[] => [[heads[part], { fill: 'soft' }], [page[part]]]),
  ];
}

/** Two blocks that stay together. */
function below(one: Block, other: Block, gap: number): Block {
  return {
    wide: true,
    draw(x, top, width) {
      const first = one.draw(x, top, width);
      const second = other.draw(x, top + first.height + gap, width);
      return { nodes: [...first.nodes, ...second.nodes], height: first.height + gap + second.height };
    },
  };
}

/** Lines below each other over the whole width. */
function linesBlock(lines: readonly Line[], size: number, look: PaperLook): Block {
  return { wide: true, draw: (x, top, width) => drawLines(lines, x, top, width, size, look) };
}

function drawLines(lines: readonly Line[], x: number, top: number, width: number, size: number, look: PaperLook) {
  const nodes: SceneNode[] = [];
  let height = 0;
  for (const [text, style] of lines) {
    const drawn = paragraph(text, x, top + height, width, { ...style, size }, look.measure);
    nodes.push(...drawn.nodes);
    height += drawn.height;
  }
  return { nodes, height };
}

/** A question as it was asked, with its dial beside it, the answer, how it was marked, and what was said of it. */
function answerBlock(
  answer: RecordedAnswer,
  { settings }: RecordedLesson,
  { tongue, size, look }: { readonly tongue: Tongue; readonly size: number; readonly look: PaperLook },
): Block {
  const dial = (answer.item && kindOf(answer.item).viewOf(answer.item, settings).picture.dial) ?? null;
  const lines = linesOfAnswer(answer, settings, tongue);
  return {
    wide: true,
    draw(x, top, width) {
      const indent = DIAL_SIDE + DIAL_GAP;
      const { nodes, height } = drawLines(lines, x + indent, top, width - indent, size, look);
      return {
        nodes: dial ? [...nodes, dialOnPaper(dial, dial.layers, x, top, DIAL_SIDE, dial.letters)] : nodes,
        height: Math.max(height, dial ? DIAL_SIDE : 0),
      };
    },
  };
}

function linesOfAnswer(answer: RecordedAnswer, settings: RecordedLesson['settings'], tongue: Tongue): Line[] {
  const texts = familyTextsOf(tongue).record;
  const { attempt, receivedAt, source, responseTimeMs, late, counts, corrected, possibleIdeas } = answer;
  const shown = answer.item ? kindOf(answer.item).viewOf(answer.item, settings).picture.lines : [];
  const facts = [
    ...(attempt > 1 ? [texts.attempt(attempt)] : []),
    clockIn(receivedAt, tongue),
    ...(source === 'device' && responseTimeMs > 0 ? [texts.seconds((responseTimeMs / 1000).toFixed(0))] : []),
    ...(texts.sources[source] ? [texts.sources[source]] : []),
    ...(late ? [texts.late] : []),
    ...(counts ? [] : [texts.notCounted]),
  ];
  // Ideas have a name for teachers in one language; in the other what is said of them to pupils says what they are.
  const ideas = possibleIdeas.map((id) => (tongue === 'en' ? MISCONCEPTIONS[id].name : MISCONCEPTIONS[id].sayToPupil(settings)));
  const said = answer.saidToPupil ? [[`${texts.said}: ${answer.saidToPupil}`] as const] : [];
  return [
    [[answer.question ?? texts.unknown, ...shown].join(' '), { fill: 'soft' }],
    [[answer.answer ?? texts.unreadable, ...(answer.verdict ? [texts.verdicts[answer.verdict]] : [])].join(' · '), { bold: true }],
    ...said,
    ...(corrected
      ? [[`${texts.corrected}, ${dayIn(corrected.at, tongue)}: ${texts.verdicts[corrected.verdict]}. ${corrected.reason}`.trim()] as const]
      : []),
    ...answer.remarks.map(({ text, at }) => [`${texts.remark}, ${dayIn(at, tongue)}: ${text}`] as const),
    ...(ideas.length > 0 ? [[`${texts.ideas}: ${ideas.join(' · ')}`, { fill: 'soft' }] as const] : []),
    [facts.join(' · '), { fill: 'soft' }],
  ];
}
