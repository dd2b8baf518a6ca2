import { hear } from './hear.js';
import type { Heard } from './heard.js';
import type { WordPack } from './pack.js';

const known = new WeakMap<WordPack, Map<string, Heard>>();
/** A lesson with all its answers holds some hundreds of different texts. */
const MOST_KNOWN = 5000;

/** What a typed text means, as {@link hear} has it; the words of questions and answers come again and again. */
export function hearAgain(text: string, pack: WordPack): Heard {
  let heardBefore = known.get(pack);
  if (!heardBefore) known.set(pack, (heardBefore = new Map<string, Heard>()));
  let heard = heardBefore.get(text);
  if (!heard) {
    heard = hear(text, pack);
    if (heardBefore.size >= MOST_KNOWN) heardBefore.clear();
    heardBefore.set(text, heard);
  }
  return heard;
}
