import type { PaperPage } from '@zeitpunkt/core/paper/paper-page';
import type { Inks, SceneNode, TextNode } from '@zeitpunkt/core/scene/scene-node';
import { PRINT_INKS } from '@zeitpunkt/core/scene/print-inks';
import { DIGIT_MIDDLE } from '@zeitpunkt/core/scene/svg-geometry';
import PDFDocument from 'pdfkit';
import type { PaperFace, PaperFont } from './paper-font';

/** A document that pages are put into as they are made. */
export class PdfOutlet {
  private readonly doc: PDFKit.PDFDocument;
  private readonly pieces: Uint8Array[] = [];
  private readonly whole: Promise<Blob>;
  private count = 0;

  /**
   * @param title what the document is called in readers
   * @param language BCP 47, for those who hear it read
   */
  constructor(
    faces: readonly PaperFace[],
    private readonly font: PaperFont,
    { title, language }: { readonly title: string; readonly language: string },
    private readonly colours: Inks = PRINT_INKS,
  ) {
    this.doc = new PDFDocument({
      autoFirstPage: false,
      font: '', // else one that is not shipped would be looked for
      pdfVersion: '1.7',
      lang: language,
      displayTitle: true,
      info: { Title: title, Producer: 'Zeitpunkt', Creator: 'Zeitpunkt' },
    });
    this.whole = new Promise((resolve, reject) => {
      this.doc.on('data', (piece: Uint8Array) => this.pieces.push(piece));
      this.doc.on('end', () => resolve(new Blob(this.pieces as BlobPart[], { type: 'application/pdf' })));
      this.doc.on('error', reject);
    });
    for (const { name, bytes } of faces) this.doc.registerFont(name, bytes as Buffer);
  }

  /** How many pages there are so far. */
  get pages(): number {
    return this.count;
  }

  add({ width, height, nodes }: PaperPage): void {
    this.count += 1;
    this.doc.addPage({ size: [width, height], margin: 0 });
    this.doc.lineJoin('round').lineCap('round');
    for (const node of nodes) this.draw(node);
  }

  /** Ends the document. */
  async end(): Promise<Blob> {
    this.doc.end();
    return this.whole;
  }

  private draw(node: SceneNode): void {
    switch (node.type) {
      case 'group':
        this.doc.save().translate(node.x, node.y).rotate(node.turnDeg).scale(node.scale);
        for (const child of node.nodes) this.draw(child);
        this.doc.restore();
        return;
      case 'circle':
        this.doc.circle(node.cx, node.cy, node.r);
        return this.paint(node);
      case 'path':
        this.doc.path(node.d);
        return this.paint(node);
      case 'text':
        return this.write(node);
    }
  }

  private paint({ fill, stroke, strokeWidth = 1, opacity = 1 }: Extract<SceneNode, { type: 'circle' | 'path' }>): void {
    const line = stroke && stroke !== 'none' && strokeWidth !== 0 ? this.colours[stroke] : null;
    const area = fill === 'none' ? null : this.colours[fill];
    if (opacity !== 1) this.doc.save().opacity(opacity);
    if (line) this.doc.lineWidth(strokeWidth);
    if (line && area) this.doc.fillAndStroke(area, line);
    else if (area) this.doc.fill(area);
    else if (line) this.doc.stroke(line);
    if (opacity !== 1) this.doc.restore();
  }

  private write({ text, x, y, size, bold = false, anchor, fill }: TextNode): void {
    if (fill === 'none' || !text) return;
    const width = this.font.measure(text, size, bold);
    let at = x - { start: 0, middle: width / 2, end: width }[anchor];
    this.doc.fontSize(size).fillColor(this.colours[fill]);
    for (const run of this.font.runs(text, bold)) {
      this.doc.font(run.face).text(run.text, at, y + size * DIGIT_MIDDLE, { lineBreak: false, baseline: 'alphabetic' });
      at += this.font.measure(run.text, size, bold);
    }
  }
}
