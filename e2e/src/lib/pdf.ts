import { readFile } from 'node:fs/promises';
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';

/** What a PDF file says of itself and on its pages. */
export interface PdfRead {
  readonly title: string;
  readonly pages: readonly { readonly width: number; readonly height: number; readonly text: string; readonly pictures: number }[];
  /** Names of the fonts that are in the file. */
  readonly embedded: readonly string[];
}

/** Reads a PDF file with a reader that had no part in writing it. */
export async function readPdf(path: string): Promise<PdfRead> {
  const bytes = await readFile(path);
  const document = await getDocument({ data: new Uint8Array(bytes), useSystemFonts: false, verbosity: 0 }).promise;
  const { info } = await document.getMetadata();
  const pages: PdfRead['pages'][number][] = [];
  for (let number = 1; number <= document.numPages; number++) {
    const page = await document.getPage(number);
    const { width, height } = page.getViewport({ scale: 1 });
    const { items } = await page.getTextContent();
    const { fnArray } = await page.getOperatorList();
    pages.push({
      width,
      height,
      text: items.map((item) => ('str' in item ? item.str : '')).join(' '),
      pictures: fnArray.filter((operation) => operation >= PAINT_IMAGE.first && operation <= PAINT_IMAGE.last).length,
    });
  }
  await document.destroy();
  const text = bytes.toString('latin1');
  const embedded = [...text.matchAll(/\/FontName \/([\w+-]+)[^>]*?\/FontFile2/gs)].map(([, name]) => name!);
  return { title: String((info as { Title?: string }).Title ?? ''), pages, embedded };
}

/** Operations that paint a picture of pixels, as the reader numbers them. */
const PAINT_IMAGE = { first: 83, last: 90 } as const;
