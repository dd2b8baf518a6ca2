import { RUNG_IDS, RUNGS } from '../ladder/registry.js';
import type { Rung } from '../ladder/rung.js';
import { tongueOf } from '../talk/registry.js';
import type { Tongue } from '../words/pack.js';
import { withBeats } from '../lesson/lesson-parts.js';
import type { CheckerRule } from './rule.js';
import { saidIn } from './said.js';

const NEW_WORD = { en: (word: string) => `A new word: ${word}.`, de: (word: string) => `Ein neues Wort: ${word}.` } as const;

const wholeWord = (word: string) => new RegExp(`(?:^|[^\\p{L}])${word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&')}(?![\\p{L}])`, 'iu');

/** Words that are new on a rung, as what finds them; so short ones mean too much else. */
const LEAST_LETTERS = 6;
const found = new Map<string, readonly { readonly word: string; readonly pattern: RegExp }[]>();
function newWords(rung: Rung, tongue: Tongue) {
  const key = `${rung.name} ${tongue}`;
  let words = found.get(key);
  if (!words) {
    words = rung.words[tongue].filter((word) => word.length >= LEAST_LETTERS).map((word) => ({ word, pattern: wholeWord(word) }));
    found.set(key, words);
  }
  return words;
}

export const wordNotIntroduced: CheckerRule = {
  severity: 'warning',
  find({ lesson, steps }) {
    if (!lesson.rung) return [];
    const tongue = tongueOf(lesson.settings);
    const all = saidIn(lesson);
    const fromHere = RUNG_IDS.slice(RUNG_IDS.indexOf(lesson.rung)).flatMap((id) => newWords(RUNGS[id], tongue));
    return fromHere.flatMap(({ word, pattern }) => {
      const first = all.find(({ text }) => pattern.test(text));
      // A worked example says its words itself.
      const isShown = (upTo: number) => lesson.beats.slice(0, upTo).some(({ kind }) => kind === 'worked-example' || kind === 'chart');
      if (!first || (first.beat.kind !== 'ask' && first.beat.kind !== 'think') || isShown(first.beatIndex)) return [];
      return [
        {
          at: steps.find((step) => step.beatIndex === first.beatIndex)!.ref,
          what: `“${word}” is asked before anybody has said what it means.`,
          why: 'Who does not know the word cannot show what they know of clocks.',
          mend: {
            label: 'Say it before',
            apply: (one) => withBeats(one, first.beatIndex, [{ kind: 'say', text: NEW_WORD[tongue](word) }]),
          },
        },
      ];
    });
  },
};
