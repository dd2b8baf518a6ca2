import type { Pose } from '../../dial/pose.js';
import { dialLetter } from '../../scene/describe-stage.js';
import { dialOf, PLAIN_LAYERS, type DialLayers, type DialState } from '../../scene/dial-state.js';
import { sideBySide, type StageState } from '../../scene/stage-state.js';
import { NO_PICTURE, pictureOnStage, type Picture } from '../picture.js';
import type { Judgement } from '../question-kind.js';

/** One choice: a dial, or a text in digits or words. */
export type Choice = DialChoice | { readonly text: string };

/** A plain dial; fewer numerals make it another clock that shows the same. */
export interface DialChoice extends Pose {
  readonly numerals: DialLayers['numerals'];
}

export interface ChoicesAnswer {
  /** Places of the choices taken, from 0; none where the pupil gave up. */
  readonly chosen: readonly number[];
}

export interface ChoicesShapeView {
  readonly shape: 'choices';
  /** Two to eight, in the order they stand. */
  readonly choices: readonly Choice[];
  /** Whether more than one may be taken. */
  readonly several: boolean;
  readonly layers: DialLayers;
}

/** "A, B and D". @param and the word before the last one */
export function lettersOf(places: readonly number[], and = 'and'): string {
  const letters = places.map(dialLetter);
  return letters.length > 1 ? `${letters.slice(0, -1).join(', ')} ${and} ${letters.at(-1)}` : (letters[0] ?? 'none');
}

/** The letters of the choices taken, and what stands there where it is one text. */
export function choicesText({ chosen }: ChoicesAnswer, choices: readonly Choice[]): string {
  if (chosen.length === 0) return 'blank';
  const only = chosen.length === 1 ? choices[chosen[0]!] : undefined;
  return only && 'text' in only ? `${lettersOf(chosen)}: ${only.text}` : lettersOf(chosen);
}

export const inOrder = (places: readonly number[]): number[] => [...places].sort((a, b) => a - b);

export const sameChoices = (one: ChoicesAnswer, other: ChoicesAnswer): boolean =>
  inOrder(one.chosen).join() === inOrder(other.chosen).join();

/** All of the key and nothing else is right; some of it is partly so where several may be taken. */
export function judgeChoices(key: readonly number[], { chosen }: ChoicesAnswer): Judgement {
  const right = sameChoices({ chosen: key }, { chosen });
  const parts = [{ part: 'choices', right } as const];
  if (right) return { verdict: 'right', parts };
  if (chosen.length === 0) return { verdict: 'blank', parts };
  return { verdict: chosen.some((place) => key.includes(place)) ? 'partly' : 'not-yet', parts };
}

/** Choices as they are drawn on a stage: dials side by side, or lettered lines beside the picture; those of the key ticked. */
export function choicesOnStage(picture: Picture, choices: readonly Choice[], key: readonly number[]): StageState {
  const dials = choices.flatMap((choice, place) => ('text' in choice ? [] : [dialOfChoice(choice, key.includes(place))]));
  if (dials.length > 0 && !picture.dial) return { ...pictureOnStage(NO_PICTURE), words: picture.lines, ...sideBySide(dials) };
  const stage = pictureOnStage(picture);
  const lines = choices.map((choice, place) => `${dialLetter(place)}  ${'text' in choice ? choice.text : ''}`);
  return { ...stage, board: [...stage.board, ...lines.map((line, place) => (key.includes(place) ? `${line} ✓` : line))] };
}

export function dialOfChoice({ numerals, hourDeg, minuteDeg }: DialChoice, isKey: boolean): DialState {
  return { ...dialOf({ hourDeg, minuteDeg }, { ...PLAIN_LAYERS, numerals }), isKey };
}
