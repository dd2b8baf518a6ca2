import { displayText, displayText24 } from '../../time/display.js';
import { SECONDS_PER_DAY, toSecondOfDay, wrapSecondOfDay } from '../../time/second-of-day.js';
import { partOfDay } from '../../words/parts-of-day.js';
import type { SceneNode } from '../scene-node.js';
import type { BandKind, BandPlace, DayLine } from './band.js';
import { label, stroke } from './strokes.js';

/** The day as a line: two rounds of the hour hand, every hour named as the dial names it, events above. */
export const dayLine: BandKind<DayLine> = {
  nodes,
  at: (band, atSec) => ({ ...band, atSec }),
  describe({ atSec, events }, tongue = 'en') {
    const clock = (sec: number) => displayText24(toSecondOfDay(sec));
    const at = atSec === null ? '' : `, ${tongue === 'de' ? 'um' : 'at'} ${clock(atSec)}`;
    const named = events.map((event) => `${clock(event.atSec)} ${event.text}`).join(', ');
    return tongue === 'de'
      ? `Der Tag von Mitternacht bis Mitternacht${at}${named && `, mit ${named}`}.`
      : `The day from midnight to midnight${at}${named && `, with ${named}`}.`;
  },
};

/** Room that the number of an hour needs, in units of the scene. */
const NUMBER_WIDTH = 32;

function nodes(band: DayLine, place: BandPlace, id: string): SceneNode[] {
  const y = place.y + place.height * 0.62;
  const xAt = (sec: number) => place.x + (place.width * sec) / SECONDS_PER_DAY;
  const half = place.x + place.width / 2;
  // On a narrow line numbers of every hour would run into each other.
  const every = place.width / 24 < NUMBER_WIDTH ? 3 : 1;
  const drawn: SceneNode[] = [
    stroke(`${id}-first`, `M${place.x} ${y} L${half} ${y}`, 'minute', 12),
    stroke(`${id}-second`, `M${half} ${y} L${place.x + place.width} ${y}`, 'hour', 12),
  ];
  for (let hour = 0; hour <= 24; hour++) {
    const x = xAt(hour * 3600);
    const long = hour % 12 === 0 ? 26 : 14;
    drawn.push(stroke(`${id}-tick-${hour}`, `M${x.toFixed(1)} ${y - long} L${x.toFixed(1)} ${y + long}`, 'ink', hour % 12 === 0 ? 5 : 3));
    if (hour % 12 !== 0 && hour % every === 0)
      drawn.push(label(`${id}-hour-${hour}`, x, y + 38, String(hour % 12), every === 1 ? 24 : 28, 'ink'));
  }
  const nameAt = (sec: number) => partOfDay(wrapSecondOfDay(sec), band.tongue ?? 'en').name;
  for (const sec of [0, SECONDS_PER_DAY / 2, SECONDS_PER_DAY]) {
    drawn.push(label(`${id}-name-${sec}`, xAt(sec), y + 64, nameAt(sec), 28, 'ink', true));
  }
  [...band.events]
    .sort((a, b) => a.atSec - b.atSec)
    .forEach(({ atSec, text }, index) => {
      // Neighbours stand on two levels, so that their names do not run into each other.
      const top = y - (index % 2 === 0 ? 50 : 96);
      drawn.push(stroke(`${id}-event-${index}`, `M${xAt(atSec).toFixed(1)} ${top + 18} L${xAt(atSec).toFixed(1)} ${y}`, 'soft', 3));
      drawn.push(label(`${id}-event-text-${index}`, xAt(atSec), top, text, 26, 'ink'));
    });
  if (band.atSec !== null) {
    const x = xAt(band.atSec);
    drawn.push({ type: 'circle', id: `${id}-at`, cx: x, cy: y, r: 15, fill: 'accent', stroke: 'ink', strokeWidth: 3 });
    drawn.push(label(`${id}-at-text`, x, y - 34, displayText(toSecondOfDay(band.atSec), band.separator ?? ':'), 28, 'ink', true));
  }
  return drawn;
}
