import { word } from '../text.js';
import { blank, blankHeight, blankWidth, timeBlank } from './blanks.js';
import type { PaperAnswer } from './paper-answer.js';

/** A time in two boxes; how long something takes, in hours and minutes. */
export const timeOnPaper: PaperAnswer<'time'> = {
  isWide: () => false,
  differs: null,
  draw({ separator, asks }, { x, top, size, look }) {
    const height = blankHeight(size);
    if (asks === 'time') return { nodes: timeBlank(x, top, size, separator), height };
    const unit = (text: string, at: number) => word(text, at, top + height / 2, { size });
    const second = x + blankWidth(size) + look.measure('h', size, false) + size * 1.2;
    return {
      nodes: [
        blank(x, top, size),
        unit('h', x + blankWidth(size) + size * 0.4),
        blank(second, top, size),
        unit('min', second + blankWidth(size) + size * 0.4),
      ],
      height,
    };
  },
};
