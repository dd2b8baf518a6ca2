/** A caption is at most two lines of so many letters: as much as is read at a glance. */
export const LINE_LETTERS = 37;
export const CAPTION_LETTERS = 2 * LINE_LETTERS;

/** A piece of a text that stands in one caption. */
export interface Phrase {
  readonly text: string;
  /** How long it takes to say, as a share: about one for each letter. */
  readonly weight: number;
  /** Whether a sentence ends with it: a longer pause comes after. */
  readonly ends: boolean;
}

/** Ends of sentences, and places within one where a speaker takes breath. */
const SENTENCE = /([.!?…:]["”’]?)\s+(?=\S)/u;
const CLAUSE = /([,;–—])\s+/u;

/** Cuts a text after each end that is found; the space there is left out. */
function cutAfter(text: string, end: RegExp): string[] {
  // What is found stands between the pieces: each belongs to the one before it.
  const pieces = text.split(end);
  return pieces.flatMap((piece, place) => (place % 2 === 0 ? [piece + (pieces[place + 1] ?? '')] : []));
}

/** Cuts a text into captions: at the ends of sentences, else where a speaker takes breath, else between words. */
export function phrasesOf(text: string): Phrase[] {
  const sentences = cutAfter(text.trim(), SENTENCE).filter(Boolean);
  return sentences.flatMap((sentence) => {
    const pieces = sentence.length <= CAPTION_LETTERS ? [sentence] : packed(cutAfter(sentence, CLAUSE).flatMap(inWords));
    return pieces.map((piece, index) => ({ text: piece, weight: weightOf(piece), ends: index === pieces.length - 1 }));
  });
}

/** A clause that is too long for a caption, in parts of about the same length. */
function inWords(clause: string): string[] {
  if (clause.length <= CAPTION_LETTERS) return [clause];
  const parts = Math.ceil(clause.length / (CAPTION_LETTERS * 0.85));
  const wanted = clause.length / parts;
  const pieces: string[] = [];
  for (const word of clause.split(/\s+/u)) {
    const last = pieces.at(-1);
    const isFull = last !== undefined && (last.length >= wanted || last.length + 1 + word.length > CAPTION_LETTERS);
    if (last === undefined || isFull) pieces.push(word);
    else pieces[pieces.length - 1] = `${last} ${word}`;
  }
  return pieces;
}

/** Short clauses go together as far as a caption holds them. */
function packed(pieces: readonly string[]): string[] {
  const whole: string[] = [];
  for (const piece of pieces) {
    const last = whole.at(-1);
    if (last !== undefined && last.length + 1 + piece.length <= CAPTION_LETTERS) whole[whole.length - 1] = `${last} ${piece}`;
    else whole.push(piece);
  }
  return whole;
}

/** A digit is a word when it is said. */
const DIGIT_LETTERS = 4;

function weightOf(text: string): number {
  const letters = text.match(/\p{L}/gu)?.length ?? 0;
  const digits = text.match(/\p{N}/gu)?.length ?? 0;
  return Math.max(1, letters + digits * DIGIT_LETTERS);
}

/** A caption in its lines: one, or two of about the same length. */
export function linesOf(text: string): string[] {
  if (text.length <= LINE_LETTERS) return [text];
  const words = text.split(/\s+/u);
  let best = { lines: [text], length: text.length };
  for (let place = 1; place < words.length; place++) {
    const lines = [words.slice(0, place).join(' '), words.slice(place).join(' ')];
    const length = Math.max(...lines.map((line) => line.length));
    if (length < best.length) best = { lines, length };
  }
  return best.lines;
}
