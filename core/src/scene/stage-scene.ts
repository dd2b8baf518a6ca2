import { bandKindOf } from './bands/registry.js';
import { chartNodes } from './chart.js';
import { columnNodes, DISPLAY_HEIGHT, type Column } from './column.js';
import { dialGroup } from './dial-scene.js';
import type { DialState } from './dial-state.js';
import { DIAL_EXTENT } from './dial-face.js';
import { dialLetter } from './describe-stage.js';
import type { Scene, SceneNode } from './scene-node.js';
import { dialsInOrder, type StageState } from './stage-state.js';

/** How a stage is laid out, in scene units: where the dial stands and the column for what is written about it. */
interface Layout {
  readonly width: number;
  readonly height: number;
  readonly dialX: number;
  readonly dialY: number;
  readonly dialScale: number;
  readonly columnX: number;
  readonly columnY: number;
  readonly columnWidth: number;
  /** How much larger than usual words are written. */
  readonly textScale: number;
}

const LAYOUTS = {
  /** 16 to 9, for sharing: the dial large on the left, the column on the right. */
  wide: { width: 1600, height: 900, dialX: 460, dialY: 450, dialScale: 3.45, columnX: 950, columnY: 90, columnWidth: 590, textScale: 1 },
  /** For a phone held upright: the column under the dial. */
  tall: { width: 760, height: 1420, dialX: 380, dialY: 372, dialScale: 2.95, columnX: 60, columnY: 760, columnWidth: 640, textScale: 1 },
  /** Large print: the same stage with larger words. */
  large: { width: 1600, height: 900, dialX: 420, dialY: 450, dialScale: 3.3, columnX: 860, columnY: 60, columnWidth: 700, textScale: 1.4 },
} as const satisfies Record<string, Layout>;

export type StageLayout = keyof typeof LAYOUTS;

/** Height of one band at the bottom, in scene units. */
const BAND_HEIGHT = 210;
const MARGIN = 70;

/** Heights of a stage held upright, in scene units: a few, so that the dial does not change its size with every line. */
const TALL_HEIGHTS = [820, 1000, 1220, LAYOUTS.tall.height];
/** Below the last line, in scene units. */
const FOOT = 40;

/**
 * How high an upright stage has to be for all that it will show, in scene units: no higher, so that the dial is as large as a
 * phone lets it be.
 */
export function tallHeight(states: readonly StageState[]): number {
  const least = Math.max(...states.map(leastTallHeight));
  return TALL_HEIGHTS.find((height) => height >= least) ?? LAYOUTS.tall.height;
}

function leastTallHeight(state: StageState): number {
  const { height } = LAYOUTS.tall;
  if (state.chart || !state.dial || dialsInOrder(state).length > 1) return height;
  const written = columnNodes(state, besideDial(LAYOUTS.tall, 0, height)).flatMap((node) =>
    node.type === 'text' ? [node.y + node.size / 2] : [],
  );
  const displayed = state.display ? LAYOUTS.tall.columnY + DISPLAY_HEIGHT : 0;
  return Math.max(displayed, ...written) + FOOT + state.bands.length * BAND_HEIGHT;
}

/** The stage as one scene. @param height of an upright stage, where less than the whole is enough */
export function stageScene(state: StageState, layout: StageLayout = 'wide', height: number = LAYOUTS[layout].height): Scene {
  const place: Layout = { ...LAYOUTS[layout], height };
  if (state.chart) return { width: place.width, height: place.height, nodes: chartNodes(state.chart, place.width, place.height) };
  const { bands } = state;
  const bottom = place.height - bands.length * BAND_HEIGHT;
  const several = dialsInOrder(state);
  const nodes: SceneNode[] = [];
  if (several.length > 1) {
    // Beside several dials there is room for the question and what belongs to it, above them.
    const above = columnNodes(
      { ...state, display: null, board: [] },
      { x: MARGIN, y: 40, width: place.width - 2 * MARGIN, bottom, textScale: place.textScale },
    );
    const lowest = above.reduce(
      (low, node) => (node.type === 'text' && node.id !== 'countdown-seconds' ? Math.max(low, node.y + node.size) : low),
      0,
    );
    nodes.push(...above);
    nodes.push(...inRows(several, place.width, lowest > 0 ? lowest + 10 : 20, bottom));
  } else {
    if (state.dial) nodes.push(oneDial(state.dial, place, isDialAlone(state), layout === 'tall' ? place.height : bottom));
    nodes.push(...columnNodes(state, state.dial ? besideDial(place, bands.length, bottom) : acrossStage(place, bottom)));
  }
  bands.forEach((band, index) => {
    nodes.push(
      ...bandKindOf(band).nodes(
        band,
        { x: MARGIN, y: bottom + index * BAND_HEIGHT, width: place.width - 2 * MARGIN, height: BAND_HEIGHT },
        `band-${index}`,
      ),
    );
  });
  return { width: place.width, height: place.height, nodes };
}

function besideDial({ columnX, columnY, columnWidth, textScale }: Layout, bands: number, bottom: number): Column {
  return { x: columnX, y: bands > 1 ? 40 : columnY, width: columnWidth, bottom, textScale };
}

/** Where no dial is shown, what is written has the stage to itself, and is written larger. */
function acrossStage({ width, height, textScale }: Layout, bottom: number): Column {
  const isTall = height > width;
  const margin = isTall ? 60 : 220;
  return { x: margin, y: isTall ? 180 : 110, width: width - 2 * margin, bottom, textScale: textScale * (isTall ? 1.2 : 1.5) };
}

function oneDial(dial: DialState, place: Layout, alone: boolean, bottom: number): SceneNode {
  const scale = Math.min(place.dialScale, (bottom / 2 - 10) / DIAL_EXTENT);
  return dialGroup(dial, alone ? place.width / 2 : place.dialX, Math.min(place.dialY, bottom / 2), scale);
}

function isDialAlone(state: StageState): boolean {
  return !state.stem && !state.display && !state.countdown && state.words.length === 0 && state.board.length === 0;
}

/** Height under each of several dials for its letter. */
const LETTER_HEIGHT = 60;

/** Several dials in rows, as many as make them largest, each with its letter; the right ones of an answered question are ticked. */
function inRows(dials: readonly DialState[], width: number, top: number, bottom: number): SceneNode[] {
  const cellsOf = (rows: number) => {
    const columns = Math.ceil(dials.length / rows);
    const [cellWidth, cellHeight] = [width / columns, (bottom - top) / rows];
    return { columns, cellWidth, cellHeight, side: Math.min(cellWidth, cellHeight - LETTER_HEIGHT) };
  };
  const { columns, cellWidth, cellHeight, side } = dials.map((_, index) => cellsOf(index + 1)).reduce((a, b) => (b.side > a.side ? b : a));
  const scale = side / 2 / (DIAL_EXTENT + 4);
  return dials.flatMap((dial, index): SceneNode[] => {
    const x = cellWidth * ((index % columns) + 0.5);
    const y = top + cellHeight * Math.floor(index / columns) + (cellHeight - LETTER_HEIGHT) / 2;
    const letter = dialLetter(index);
    return [
      dialGroup(dial, x, y, scale, `dial-${letter}`),
      {
        type: 'text',
        id: `letter-${letter}`,
        x,
        y: y + DIAL_EXTENT * scale + 26,
        text: dial.isKey ? `${letter} ✓` : letter,
        size: 44,
        bold: true,
        anchor: 'middle',
        fill: 'ink',
      },
    ];
  });
}
