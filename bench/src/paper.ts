import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import type { PaperPage } from '@zeitpunkt/core/paper/paper-page';
import { type PaperWish, paperParts } from '@zeitpunkt/core/paper/paper-wish';
import { QUESTION_KINDS, type Item } from '@zeitpunkt/core/question-kinds/registry';
import type { SceneNode } from '@zeitpunkt/core/scene/scene-node';
import { sheetVersions } from '@zeitpunkt/core/paper/versions';
import PDFDocument from 'pdfkit';
import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { fontFor } from '../../web/src/app/shared/paper/paper-fonts.js';
import { PdfOutlet } from '../../web/src/app/shared/paper/pdf-outlet.js';
import { median } from './stats.js';

// A class of 36 with six pages each: sheets in three versions, from the questions to the finished file. Beside it the bare
// library, given the same lines, shapes and words one after another with nothing to plan.
const PUPILS = 36;
const PAGES_EACH = 6;
const RUNS = 3;

const require = createRequire(import.meta.url);
const file = (name: string) => require.resolve(`@fontsource/andika/files/andika-${name}-normal.woff`);
const parts = [{ regular: file('latin-400'), bold: file('latin-700') }];
const { font, faces } = await fontFor('', parts, async (address) => new Uint8Array(await readFile(address)));
const look = { size: 'a4', large: false, measure: font.measure } as const;

const kinds = Object.values(QUESTION_KINDS).map((kind) => kind.samples as readonly Item[]);
const all = Array.from({ length: 60 }, (_, index) => ({ ...kinds[index % kinds.length]![0]!, id: `q${index}` }));
const wishFor = (items: readonly Item[]): PaperWish => ({
  kind: 'sheet',
  title: 'At the tide gauge',
  code: 'K7Q2',
  versions: sheetVersions(items, 'quarter-to', DEFAULT_SETTINGS, 3, 1),
  copies: Array.from({ length: PUPILS }, (_, index) => ({ pupil: `Pupil ${index + 1}`, letter: 'ABC'[index % 3]! })),
  withKey: false,
  rung: 'quarter-to',
  settings: DEFAULT_SETTINGS,
});
// As many questions as make six pages.
const count = all.findIndex((_, index) => paperParts(wishFor(all.slice(0, index + 1)), look)[0]!().length === PAGES_EACH) + 1;

async function ours(): Promise<{ readonly ms: number; readonly pages: readonly PaperPage[]; readonly bytes: number }> {
  const startMs = performance.now();
  const outlet = new PdfOutlet(faces, font, { title: 'Class', language: 'en' });
  const pages: PaperPage[] = [];
  for (const part of paperParts(wishFor(all.slice(0, count)), look)) {
    for (const page of part()) {
      outlet.add(page);
      pages.push(page);
    }
  }
  const { size } = await outlet.end();
  return { ms: performance.now() - startMs, pages, bytes: size };
}

type Bare = { readonly path: string } | { readonly text: string; readonly size: number };

function bareOf(nodes: readonly SceneNode[]): Bare[] {
  return nodes.flatMap((node): Bare[] => {
    if (node.type === 'group') return bareOf(node.nodes);
    if (node.type === 'text') return [{ text: node.text, size: node.size }];
    return [{ path: node.type === 'path' ? node.d : `M${node.cx} ${node.cy} A${node.r} ${node.r} 0 1 1 ${node.cx + 0.01} ${node.cy} Z` }];
  });
}

async function floor(pages: readonly PaperPage[]): Promise<number> {
  const bare = pages.map(({ nodes }) => bareOf(nodes));
  const startMs = performance.now();
  const doc = new PDFDocument({ autoFirstPage: false, font: '' });
  doc.on('data', () => undefined);
  const ended = new Promise((resolve) => doc.on('end', resolve));
  doc.registerFont('a', faces[0]!.bytes as Buffer);
  for (const page of bare) {
    doc.addPage({ size: 'A4', margin: 0 });
    for (const one of page) {
      if ('path' in one) doc.path(one.path).lineWidth(1).fillAndStroke('#ffffff', '#000000');
      else doc.font('a').fontSize(one.size).fillColor('#000000').text(one.text, 10, 10, { lineBreak: false, baseline: 'alphabetic' });
    }
  }
  doc.end();
  await ended;
  return performance.now() - startMs;
}

const runs: { readonly ours: number; readonly floor: number }[] = [];
let last = { pages: 0, bytes: 0 };
for (let run = 0; run < RUNS; run++) {
  const made = await ours();
  runs.push({ ours: made.ms, floor: await floor(made.pages) });
  last = { pages: made.pages.length, bytes: made.bytes };
}
const [own, bare] = [median(runs.map((run) => run.ours)), median(runs.map((run) => run.floor))];
console.log(
  `${PUPILS} pupils, ${last.pages} pages, ${(last.bytes / 1e6).toFixed(1)} MB: ${(own / 1000).toFixed(1)} s (goal 10 s); ` +
    `the bare library ${(bare / 1000).toFixed(1)} s, ${(own / bare).toFixed(2)} × floor`,
);
