import type { Scene } from '@zeitpunkt/core/scene/scene-node';
import type { ViewOfShape } from '../answer-view';
import { bandScene, BAND_MARGIN } from '../picture-view';

const LAST_SEC = 86_399;
/** Names that a band gives its own marker's time: to be found, not read off. */
const NAMED = /-at-text$/;

/** The line of a question with the marker at a place on it, in seconds since midnight; without one where none is set. */
export function markedLine({ line, fromSec }: ViewOfShape<'line'>, atSec: number | null, isNarrow: boolean): Scene {
  const at =
    line.type === 'day-line'
      ? { atSec: atSec === null ? null : Math.min(LAST_SEC, atSec) }
      : { at: atSec === null ? null : (atSec - fromSec) / 60 };
  const scene = bandScene({ ...line, ...at } as typeof line, isNarrow);
  return { ...scene, nodes: scene.nodes.filter(({ id }) => !NAMED.test(id)) };
}

/** The place on the line that a point of the scene is nearest to, in seconds since midnight, in the steps of the question. */
export function placeOnLine({ fromSec, toSec, stepSec }: ViewOfShape<'line'>, x: number, width: number): number {
  const part = Math.max(0, Math.min(1, (x - BAND_MARGIN) / (width - 2 * BAND_MARGIN)));
  return fromSec + Math.round((part * (toSec - fromSec)) / stepSec) * stepSec;
}
