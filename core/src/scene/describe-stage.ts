import { describePose } from '../dial/describe-pose.js';
import type { DialState } from './dial-state.js';
import type { StageState } from './stage-state.js';

/** What a dial shows, in words, without reading the time from it. */
export function describeDial(dial: DialState): string {
  const { hourHand, minuteHand } = dial.layers;
  const sentences = describePose(dial.pose).split(/(?<=\.) /);
  if (hourHand && minuteHand) return `A clock dial. ${sentences.join(' ')}`;
  if (!hourHand && !minuteHand) return 'A clock dial without hands.';
  return `A clock dial with one hand. ${sentences[hourHand ? 0 : 1]}`;
}

/** The stage in words, for those who hear it: what is seen, in reading order. */
export function describeStage(state: StageState): string {
  const parts = [
    state.stem,
    state.dial && describeDial(state.dial),
    state.display && `Display: ${state.display.hour ?? 'empty'} ${state.display.separator} ${state.display.minute ?? 'empty'}.`,
    ...state.words,
    ...state.board,
  ];
  return parts.filter(Boolean).join(' ');
}
