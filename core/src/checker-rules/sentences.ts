import type { Tongue } from '../words/pack.js';

/** The sentences of a text, with where each begins. */
export function sentencesOf(text: string): { readonly text: string; readonly from: number }[] {
  return [...text.matchAll(/[^.!?…]+(?:[.:](?=\d)[^.!?…]+)*[.!?…]*/g)].map((found) => ({ text: found[0], from: found.index }));
}

/** What is denied, asked or put off is not told: "the nearest numeral is not always the hour", "soon it is four o'clock". */
const DENIED: Readonly<Record<Tongue, RegExp>> = {
  en: /\b(not|never|nobody|no one|nothing|isn.t|doesn.t|don.t|aren.t|wasn.t|why|wrong|somebody said|someone said|some say|some think)\b/i,
  de: /\b(nicht|nie|niemals|niemand|kein|keine|keiner|warum|falsch|jemand sagte|jemand hat gesagt|manche sagen|manche denken)\b/i,
};
const PUT_OFF: Readonly<Record<Tongue, RegExp>> = {
  en: /\b(soon|will|would|later|next|almost|nearly|before|until|till then|going to|in \w+ minutes|last time|yesterday|tomorrow|ago|was|were)\b/i,
  de: /\b(bald|gleich|wird|werden|würde|später|nächste|nächstes|fast|beinahe|bevor|bis dahin|in \w+ Minuten|letztes Mal|gestern|morgen früh|vorhin|war|waren)\b/i,
};

export const isDenied = (sentence: string, tongue: Tongue): boolean => DENIED[tongue].test(sentence);
export const isPutOff = (sentence: string, tongue: Tongue): boolean => PUT_OFF[tongue].test(sentence);
