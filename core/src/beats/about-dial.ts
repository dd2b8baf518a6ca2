import type { DialLayers, DialMark } from '../scene/dial-state.js';

const LAYERS: Partial<Readonly<Record<keyof DialLayers, string>>> = {
  numerals: 'numerals',
  ticks: 'ticks',
  minuteRing: 'minutes',
  ring24: '24 hours',
  hourZones: 'hour zones',
  halves: 'halves',
  quarters: 'quarters',
  shaded: 'shaded',
  hourHand: 'hour hand',
  minuteHand: 'minute hand',
  secondHand: 'second hand',
  handInk: 'hand colours',
  peek: 'outline where hands meet',
};
const HIDDEN: readonly unknown[] = [false, 'none', 'alike'];

/** Layers that change, in a few words: "quarters, no minutes". */
export function layersInWords(layers: Partial<DialLayers>): string {
  return Object.entries(layers)
    .flatMap(([key, value]) => {
      const name = LAYERS[key as keyof DialLayers];
      return name === undefined ? [] : [HIDDEN.includes(value) ? `no ${name}` : name];
    })
    .join(', ');
}

/** What is pointed at, in a few words: "hour hand, 12"; letters and free ink have no words. */
export function marksInWords(marks: readonly DialMark[]): string {
  return marks
    .flatMap((mark) => {
      switch (mark.type) {
        case 'hand':
          return [`${mark.hand} hand`];
        case 'numeral':
          return [`the ${mark.numeral}`];
        case 'count':
          return [`${mark.toMinute} min counted`];
        case 'arc':
          return [`${mark.fromMinute} to ${mark.toMinute} min`];
        default:
          return [];
      }
    })
    .join(', ');
}
