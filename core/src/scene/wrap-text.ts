/** Mean width of a letter of the shipped typeface in parts of its size, measured over English text. */
const MEAN_LETTER = 0.53;

/**
 * Breaks a text into lines that fit a width, at spaces. An estimate from the mean letter width, because the core has no
 * fonts; a single word longer than the line stays whole.
 * @param width in scene units
 * @param size font size in scene units
 */
export function wrapText(text: string, width: number, size: number): string[] {
  const room = Math.max(1, Math.floor(width / (size * MEAN_LETTER)));
  const lines: string[] = [];
  let line = '';
  for (const word of text.split(/\s+/).filter(Boolean)) {
    const longer = line ? `${line} ${word}` : word;
    if (longer.length > room && line) {
      lines.push(line);
      line = word;
    } else {
      line = longer;
    }
  }
  if (line) lines.push(line);
  return lines;
}
