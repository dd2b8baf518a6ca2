import { describeHand, describePose } from '../dial/describe-pose.js';
import type { Tongue } from '../words/pack.js';
import { describeChart } from './chart.js';
import type { DialState } from './dial-state.js';
import { bandKindOf } from './bands/registry.js';
import { dialsInOrder, type StageState } from './stage-state.js';

/** How a language says what is on a dial and a stage. */
const SAID = {
  en: {
    dial: 'A clock dial.',
    oneHand: 'A clock dial with one hand.',
    noHands: 'A clock dial without hands.',
    second: (where: string) => `The second hand is ${where}.`,
    letter: (letter: string, where: string) => `${letter} is ${where}.`,
    middle: 'in the middle',
    nearMiddle: 'near the middle',
    numerals: 'among the numerals',
    rim: 'at the rim',
    right: 'This one is right.',
    display: (hour: string, separator: string, minute: string) => `Display: ${hour} ${separator} ${minute}.`,
    empty: 'empty',
  },
  de: {
    dial: 'Eine Uhr.',
    oneHand: 'Eine Uhr mit einem Zeiger.',
    noHands: 'Eine Uhr ohne Zeiger.',
    second: (where: string) => `Der Sekundenzeiger zeigt ${where}.`,
    letter: (letter: string, where: string) => `${letter} steht ${where}.`,
    middle: 'in der Mitte',
    nearMiddle: 'nahe der Mitte',
    numerals: 'bei den Zahlen',
    rim: 'am Rand',
    right: 'Diese stimmt.',
    display: (hour: string, separator: string, minute: string) => `Anzeige: ${hour} ${separator} ${minute}.`,
    empty: 'leer',
  },
} as const satisfies Record<Tongue, object>;

/** What a dial shows, in words, without reading the time from it. */
export function describeDial(dial: DialState, tongue: Tongue = 'en'): string {
  const said = SAID[tongue];
  const letters = dial.marks.flatMap((mark) => (mark.type === 'letter' ? [mark] : []));
  if (letters.length > 0) {
    const { marks, ...plain } = dial;
    const named = letters.map(({ letter, deg, radius }) => said.letter(letter, placeOfLetter(deg, radius, tongue)));
    return [describeDial({ ...plain, marks: marks.filter(({ type }) => type !== 'letter') }, tongue), ...named].join(' ');
  }
  const { hourHand, minuteHand, secondHand } = dial.layers;
  const sentences: string[] = describePose(dial.pose, tongue).match(/[^.\s][^.]*\./g) ?? [];
  if (secondHand) sentences.push(said.second(describeHand(dial.secondDeg, tongue)));
  if (hourHand && minuteHand) return `${said.dial} ${sentences.join(' ')}`;
  if (!hourHand && !minuteHand) return said.noHands;
  return `${said.oneHand} ${sentences[hourHand ? 0 : 1]}`;
}

/** Where on the dial a letter stands, for those who hear it. */
function placeOfLetter(deg: number, radius: number, tongue: Tongue): string {
  const { middle, nearMiddle, numerals, rim } = SAID[tongue];
  if (radius === 0) return middle;
  return `${describeHand(deg, tongue)}, ${radius < 50 ? nearMiddle : radius < 85 ? numerals : rim}`;
}

/** The letter under one of several dials: A for the first. */
export function dialLetter(index: number): string {
  return String.fromCharCode(65 + index);
}

/** The stage in words, for those who hear it: what is seen, in reading order. Several dials leave no room for display and words. */
export function describeStage(state: StageState, tongue: Tongue = 'en'): string {
  const said = SAID[tongue];
  if (state.chart) return describeChart(state.chart, tongue);
  const dials = dialsInOrder(state);
  const bands = state.bands.map((band) => bandKindOf(band).describe(band, tongue));
  if (dials.length > 1)
    return [
      state.stem,
      ...state.words,
      ...dials.map((dial, index) => `${dialLetter(index)}: ${describeDial(dial, tongue)}${dial.isKey ? ` ${said.right}` : ''}`),
      ...bands,
    ]
      .filter(Boolean)
      .join(' ');
  const parts = [
    state.stem,
    state.dial && describeDial(state.dial, tongue),
    state.display && said.display(state.display.hour ?? said.empty, state.display.separator, state.display.minute ?? said.empty),
    ...state.words,
    ...state.board,
    ...bands,
  ];
  return parts.filter(Boolean).join(' ');
}
