import { describeHand, describePose } from '../dial/describe-pose.js';
import { describeChart } from './chart.js';
import type { DialState } from './dial-state.js';
import { bandKindOf } from './bands/registry.js';
import { dialsInOrder, type StageState } from './stage-state.js';

/** What a dial shows, in words, without reading the time from it. */
export function describeDial(dial: DialState): string {
  const letters = dial.marks.flatMap((mark) => (mark.type === 'letter' ? [mark] : []));
  if (letters.length > 0) {
    const { marks, ...plain } = dial;
    const named = letters.map(({ letter, deg, radius }) => `${letter} is ${placeOfLetter(deg, radius)}.`);
    return [describeDial({ ...plain, marks: marks.filter(({ type }) => type !== 'letter') }), ...named].join(' ');
  }
  const { hourHand, minuteHand, secondHand } = dial.layers;
  const sentences = describePose(dial.pose).split(/(?<=\.) /);
  if (secondHand) sentences.push(`The second hand is ${describeHand(dial.secondDeg)}.`);
  if (hourHand && minuteHand) return `A clock dial. ${sentences.join(' ')}`;
  if (!hourHand && !minuteHand) return 'A clock dial without hands.';
  return `A clock dial with one hand. ${sentences[hourHand ? 0 : 1]}`;
}

/** Where on the dial a letter stands, for those who hear it. */
function placeOfLetter(deg: number, radius: number): string {
  if (radius === 0) return 'in the middle';
  return `${describeHand(deg)}, ${radius < 50 ? 'near the middle' : radius < 85 ? 'among the numerals' : 'at the rim'}`;
}

/** The letter under one of several dials: A for the first. */
export function dialLetter(index: number): string {
  return String.fromCharCode(65 + index);
}

/** The stage in words, for those who hear it: what is seen, in reading order. Several dials leave no room for display and words. */
export function describeStage(state: StageState): string {
  if (state.chart) return describeChart(state.chart);
  const dials = dialsInOrder(state);
  const bands = state.bands.map((band) => bandKindOf(band).describe(band));
  if (dials.length > 1)
    return [
      state.stem,
      ...state.words,
      ...dials.map((dial, index) => `${dialLetter(index)}: ${describeDial(dial)}${dial.isKey ? ' This one is right.' : ''}`),
      ...bands,
    ]
      .filter(Boolean)
      .join(' ');
  const parts = [
    state.stem,
    state.dial && describeDial(state.dial),
    state.display && `Display: ${state.display.hour ?? 'empty'} ${state.display.separator} ${state.display.minute ?? 'empty'}.`,
    ...state.words,
    ...state.board,
    ...bands,
  ];
  return parts.filter(Boolean).join(' ');
}
