/** Wordings of a time, one a line, as typed or put together. */
export interface WordsAnswer {
  readonly lines: readonly string[];
}

export interface WordsShapeView {
  readonly shape: 'words';
  /** How many lines there are to fill, 1 to 3. */
  readonly lines: number;
  /** Words to press instead of typing them. */
  readonly tiles: readonly string[];
}

/** Longest line that a pupil can give, in characters. */
export const LONGEST_LINE = 120;

export const wordsText = ({ lines }: WordsAnswer): string =>
  lines.every((line) => line.trim() === '') ? 'blank' : lines.map((line) => line.trim() || '_').join(' / ');
