import type { WordPack } from './pack.js';

/** The text with spellings that are no slips brought to one form. */
export function fold(text: string, pack: WordPack): string {
  return pack.folds.reduce((folded, [from, to]) => folded.replaceAll(from, to), text);
}
