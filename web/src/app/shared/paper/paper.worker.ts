import type { PaperLook, PaperPage } from '@zeitpunkt/core/paper/paper-page';
import { type PaperWish, paperParts } from '@zeitpunkt/core/paper/paper-wish';
import { sheetVersions } from '@zeitpunkt/core/paper/versions';
import { COLOUR_PRINT_INKS, PRINT_INKS } from '@zeitpunkt/core/scene/print-inks';
import { create } from 'qrcode';
import { FONT_PARTS } from './font-addresses';
import { fontFor } from './paper-fonts';
import type { PaperFont } from './paper-font';
import type { FromPaperWorker, PaperOrder, ToPaperWorker } from './paper-messages';
import { PdfOutlet } from './pdf-outlet';
import { toldOf } from '../told-problem';
import { ApiProblem } from '../api';

/** So many pages are shown before the file is made. */
const MOST_LOOKED_AT = 60;
/** Progress is told so often, in milliseconds. */
const TELL_MS = 100;

const tell = (message: FromPaperWorker) => postMessage(message);

addEventListener('message', ({ data }: MessageEvent<ToPaperWorker>) => {
  workOf(data).catch((error: unknown) => {
    tell({ number: data.number, type: 'failed', problem: toldOf(error) });
  });
});

async function workOf(asked: ToPaperWorker): Promise<void> {
  switch (asked.type) {
    case 'look':
      return look(asked.number, asked.order);
    case 'make':
      return make(asked.number, asked.order, asked.title);
    case 'draw': {
      const { items, rung, settings, count, seed } = asked.wish;
      return tell({ number: asked.number, type: 'drawn', versions: sheetVersions(items, rung, settings, count, seed) });
    }
  }
}

async function look(number: number, order: PaperOrder): Promise<void> {
  const { parts, font } = await begin(order);
  const pages: PaperPage[] = [];
  const starts: number[] = [];
  let at = 0;
  while (at < parts.length && pages.length < MOST_LOOKED_AT) {
    starts.push(pages.length);
    pages.push(...parts[at++]!());
  }
  const hasMore = at < parts.length || pages.length > MOST_LOOKED_AT;
  for (const page of pages) note(page.nodes, font);
  tell({ number, type: 'pages', pages: pages.slice(0, MOST_LOOKED_AT), starts, hasMore, missing: [...font.missing] });
}

async function make(number: number, order: PaperOrder, title: string): Promise<void> {
  const { parts, font, faces, language } = await begin(order);
  const outlet = new PdfOutlet(faces, font, { title, language }, order.inColour ? COLOUR_PRINT_INKS : PRINT_INKS);
  let toldAtMs = 0;
  for (const [done, part] of parts.entries()) {
    for (const page of part()) outlet.add(page);
    if (performance.now() - toldAtMs < TELL_MS) continue;
    toldAtMs = performance.now();
    tell({ number, type: 'progress', done: done + 1, of: parts.length });
  }
  tell({ number, type: 'made', file: await outlet.end(), pages: outlet.pages, missing: [...font.missing] });
}

async function begin({ wish, look: wished }: PaperOrder) {
  const { font, faces } = await fontFor(JSON.stringify(wish), FONT_PARTS, fetchFile);
  const paper: PaperWish = wish.kind === 'join-links' ? withCodes(wish) : wish;
  const look: PaperLook = { ...wished, measure: font.measure };
  return { parts: paperParts(paper, look), font, faces, language: languageOf(paper) };
}

async function fetchFile(address: string): Promise<Uint8Array> {
  const reply = await fetch(new URL(address, location.origin)).catch(() => null);
  if (!reply?.ok) throw new ApiProblem('PAPER_LETTERS', 'The letters for this page cannot be fetched just now.', reply?.status);
  return new Uint8Array(await reply.arrayBuffer());
}

function withCodes({ className, cards }: Extract<PaperOrder['wish'], { kind: 'join-links' }>): PaperWish {
  return {
    kind: 'join-cards',
    className,
    cards: cards.map((card) => {
      const { size, data } = create(card.link, { errorCorrectionLevel: 'M' }).modules;
      return { ...card, qr: { size, dark: [...data].map(Boolean) } };
    }),
  };
}

function languageOf(wish: PaperWish): string {
  if ('tongue' in wish) return wish.tongue;
  const settings = wish.kind === 'lesson' ? wish.lesson.settings : 'settings' in wish ? wish.settings : null;
  return settings?.pack ?? 'en-GB';
}

/** Characters that no file has are found when they are looked up. */
function note(nodes: PaperPage['nodes'], font: PaperFont): void {
  for (const node of nodes) if (node.type === 'text') font.runs(node.text, node.bold ?? false);
}
