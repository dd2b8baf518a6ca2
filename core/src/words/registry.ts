import { de } from './de.js';
import { enGB, enUS } from './en.js';

/** Every word pack by its id. */
export const WORD_PACKS = { 'en-GB': enGB, 'en-US': enUS, de } as const;
export type WordPackId = keyof typeof WORD_PACKS;
export const WORD_PACK_IDS = Object.keys(WORD_PACKS) as WordPackId[];
