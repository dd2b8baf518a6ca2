import { PaperFont, type PaperFace } from './paper-font';

/** A part of the font in both weights, by the addresses of its files. */
export interface FontPart {
  readonly regular: string;
  readonly bold: string;
}

export type FetchFont = (address: string) => Promise<Uint8Array>;

const fetched = new Map<string, Promise<Uint8Array>>();

/**
 * The font with as many of its parts as a text needs, each fetched once.
 * @param texts all that will be written
 * @param parts the one with the plain letters first, which is always there
 */
export async function fontFor(
  texts: string,
  parts: readonly FontPart[],
  fetchFile: FetchFont,
): Promise<{ readonly font: PaperFont; readonly faces: readonly PaperFace[] }> {
  let faces: PaperFace[] = [];
  let font = new PaperFont(faces);
  for (const { regular, bold } of parts) {
    const longerFaces = [...faces, await faceOf(regular, false, fetchFile), await faceOf(bold, true, fetchFile)];
    const longer = new PaperFont(longerFaces);
    if (faces.length > 0 && longer.lacking(texts).length === font.lacking(texts).length) continue;
    [faces, font] = [longerFaces, longer];
    if (font.lacking(texts).length === 0) break;
  }
  return { font, faces };
}

async function faceOf(name: string, bold: boolean, fetchFile: FetchFont): Promise<PaperFace> {
  let bytes = fetched.get(name);
  if (!bytes) {
    fetched.set(name, (bytes = fetchFile(name)));
    bytes.catch(() => fetched.delete(name)); // tried again the next time; whoever waits hears of it
  }
  return { name, bytes: await bytes, bold };
}
