import type { DisplayState } from '../scene/stage-state.js';
import { blankHeight, blankWidth, timeBlank } from './answers/blanks.js';
import { word, type Drawn } from './text.js';

/** A digital display in two boxes; covered digits stay empty. */
export function displayShown({ hour, minute, separator, covered }: DisplayState, x: number, top: number, size: number): Drawn {
  const y = top + blankHeight(size) / 2;
  const digits = (text: string | null, left: number, first: number) =>
    [...(text ?? '').padStart(2, ' ')].flatMap((digit, index) =>
      covered.includes(first + index)
        ? []
        : [word(digit, left + blankWidth(size) * (0.3 + 0.4 * index), y, { size: size * 1.5, bold: true, anchor: 'middle' })],
    );
  const nodes = [...timeBlank(x, top, size, separator), ...digits(hour, x, 0), ...digits(minute, x + blankWidth(size) + size, 2)];
  return { nodes, height: blankHeight(size) };
}
