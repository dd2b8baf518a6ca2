import { create, type Font } from 'fontkit';
import type { Measure } from '@zeitpunkt/core/paper/paper-page';

/** One file of the font with the name that a document knows it by. */
export interface PaperFace {
  readonly name: string;
  readonly bytes: Uint8Array;
  readonly bold: boolean;
}

/** A piece of a text that one file has the glyphs for. */
export interface Run {
  readonly face: string;
  readonly text: string;
}

/** Code points that stand in no line of their own and are left out without a word. */
const INVISIBLE = /\u200B|\u200C|\u200D|\u200E|\u200F|\u2060|\uFE0E|\uFE0F/;

/**
 * The font that papers are set in, of several files: measures texts, and says which file has which of their characters.
 * Characters that none has are left out and remembered, so that whoever prints is told.
 */
export class PaperFont {
  readonly missing = new Set<string>();
  private readonly faces: readonly { readonly name: string; readonly bold: boolean; readonly font: Font }[];
  private readonly known = new Map<string, { readonly face: string; readonly width: number } | null>();

  constructor(faces: readonly PaperFace[]) {
    this.faces = faces.map(({ name, bytes, bold }) => ({ name, bold, font: create(bytes as Buffer) as Font }));
  }

  /** Width of a text in points. */
  readonly measure: Measure = (text, size, bold) => {
    let width = 0;
    for (const sign of text) width += this.glyph(sign, bold)?.width ?? 0;
    return width * size;
  };

  /** A text in pieces that one file each can draw. */
  runs(text: string, bold: boolean): Run[] {
    const runs: { face: string; text: string }[] = [];
    for (const sign of text) {
      const glyph = this.glyph(sign, bold);
      if (!glyph) continue;
      const last = runs.at(-1);
      if (last?.face === glyph.face) last.text += sign;
      else runs.push({ face: glyph.face, text: sign });
    }
    return runs;
  }

  /** Characters of a text that no file has. */
  lacking(text: string): string[] {
    return [...new Set(text)].filter(
      (sign) =>
        !INVISIBLE.test(sign) && !/\s/.test(sign) && !this.faces.some(({ font }) => font.hasGlyphForCodePoint(sign.codePointAt(0)!)),
    );
  }

  private glyph(sign: string, bold: boolean) {
    const key = `${bold ? 'b' : ''}${sign}`;
    const before = this.known.get(key);
    if (before !== undefined) return before;
    const point = sign.codePointAt(0)!;
    const face = this.faces.find((one) => one.bold === bold && one.font.hasGlyphForCodePoint(point));
    if (!face && !INVISIBLE.test(sign)) this.missing.add(sign);
    const found = face ? { face: face.name, width: face.font.glyphForCodePoint(point).advanceWidth / face.font.unitsPerEm } : null;
    this.known.set(key, found);
    return found;
  }
}
