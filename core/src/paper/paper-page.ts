import type { Scene } from '../scene/scene-node.js';

/** Sizes of paper, upright, in points (1/72 inch). */
export const PAPER_SIZES = {
  a4: { width: 595.28, height: 841.89 },
  letter: { width: 612, height: 792 },
} as const;
export type PaperSize = keyof typeof PAPER_SIZES;

/** One page as a scene in points, for any outlet; its title is said in lists and by screen readers. */
export interface PaperPage extends Scene {
  readonly title: string;
}

/** Width of a text in points. @param size font size in points */
export type Measure = (text: string, size: number, bold: boolean) => number;

/** What every page is made for. */
export interface PaperLook {
  readonly size: PaperSize;
  /** Larger words and dials, fewer on a page. */
  readonly large: boolean;
  /** How wide words are: the core has no fonts. */
  readonly measure: Measure;
}

/** The part of a page that is printed by every printer. */
export interface Area {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

const MARGIN = 40;

/** The area within the margins. */
export function areaOf({ size }: PaperLook): Area {
  const { width, height } = PAPER_SIZES[size];
  return { x: MARGIN, y: MARGIN, width: width - 2 * MARGIN, height: height - 2 * MARGIN };
}

/** A page with nothing on it but what is given. Its nodes are named by their place, since outlets keep them by name. */
export function pageOf({ size }: PaperLook, title: string, nodes: PaperPage['nodes']): PaperPage {
  return { title, ...PAPER_SIZES[size], nodes: nodes.map((node, place) => ({ ...node, id: `p${place}` })) };
}
