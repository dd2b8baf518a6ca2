import { hour12, minuteOfHour, nextHour12 } from '../../time/second-of-day.js';
import type { SceneNode } from '../scene-node.js';
import type { BandKind, BandPlace, HourLine } from './band.js';
import { label, stroke } from './strokes.js';

/** One hour as a line: ticks in ones, fives or quarters, an arrow at the minute, bows for jumps. */
export const hourLine: BandKind<HourLine> = {
  nodes,
  at(band, at) {
    const minute = minuteOfHour(at);
    // Jumps lead from the hour to the last full step; single minutes are too many to jump.
    const count = band.by === 1 ? 0 : Math.floor(minute / band.by);
    const jumps = Array.from({ length: count }, (_, index) => ({ from: index * band.by, to: (index + 1) * band.by }));
    return { ...band, hour: hour12(at), at: minute, jumps };
  },
  describe: ({ hour, at }, tongue = 'en') =>
    tongue === 'de'
      ? `Eine Linie von ${hour} Uhr bis ${nextHour12(hour)} Uhr${at === null ? '' : `, bei ${at} Minuten`}.`
      : `A line from ${hour} o’clock to ${nextHour12(hour)} o’clock${at === null ? '' : `, at ${at} minutes`}.`,
};

/** Room that the number of a five needs, in units of the scene. */
const STEP_WIDTH = 56;

function nodes(band: HourLine, place: BandPlace, id: string): SceneNode[] {
  const y = place.y + place.height * 0.62;
  const xAt = (minute: number) => place.x + (place.width * minute) / 60;
  // On a narrow line the numbers of all fives would run into the times at its ends.
  const narrow = place.width / 12 < STEP_WIDTH;
  const drawn: SceneNode[] = [stroke(`${id}-line`, `M${place.x} ${y} L${place.x + place.width} ${y}`, 'ink', 6)];
  for (let minute = 0; minute <= 60; minute += band.by) {
    const long = minute % 15 === 0 ? 26 : minute % 5 === 0 ? 18 : 10;
    drawn.push(
      stroke(
        `${id}-tick-${minute}`,
        `M${xAt(minute).toFixed(1)} ${y - long} L${xAt(minute).toFixed(1)} ${y + long}`,
        'ink',
        minute % 15 === 0 ? 5 : 3,
      ),
    );
    const named = minute > 0 && minute < 60 && (band.by !== 1 || minute % 5 === 0) && (!narrow || minute % 15 === 0);
    if (named) drawn.push(label(`${id}-minute-${minute}`, xAt(minute), y + 50, String(minute), 28, 'minute'));
  }
  drawn.push(label(`${id}-from`, place.x, y + 54, `${band.hour}:00`, 36, 'hour', true));
  drawn.push(label(`${id}-to`, place.x + place.width, y + 54, `${nextHour12(band.hour)}:00`, 36, 'hour', true));
  band.jumps.forEach(({ from, to }, index) =>
    drawn.push(...jump(xAt(from), xAt(to), y, `${Math.abs(to - from)} min`, `${id}-jump-${index}`)),
  );
  if (band.at !== null) {
    const x = xAt(band.at);
    drawn.push({
      type: 'path',
      id: `${id}-at`,
      d: `M${x - 16} ${y - 62} L${x + 16} ${y - 62} L${x} ${y - 30} Z`,
      fill: 'accent',
      stroke: 'ink',
      strokeWidth: 2,
    });
  }
  return drawn;
}

/** A bow from one place to another, with an arrow's tip where it lands. */
function jump(from: number, to: number, y: number, text: string, id: string): SceneNode[] {
  const middle = (from + to) / 2;
  const top = y - 34 - Math.min(70, Math.abs(to - from) / 3);
  const side = to > from ? -10 : 10;
  return [
    stroke(id, `M${from.toFixed(1)} ${y - 20} Q${middle.toFixed(1)} ${top - 20} ${to.toFixed(1)} ${y - 20}`, 'accent', 5),
    stroke(
      `${id}-tip`,
      `M${(to + side).toFixed(1)} ${y - 38} L${to.toFixed(1)} ${y - 20} L${(to + side * 2).toFixed(1)} ${y - 24}`,
      'accent',
      5,
    ),
    label(`${id}-text`, middle, (y - 20 + top - 20) / 2 - 22, text, 26, 'ink', true),
  ];
}
