import type { Tongue } from '../words/pack.js';
import { WORD_PACKS } from '../words/registry.js';
import type { LessonSettings } from '../lesson/settings.js';
import { german } from './de.js';
import { english } from './en.js';
import type { Talk } from './talk.js';

const TALKS: Readonly<Record<Tongue, Talk>> = { en: english, de: german };

export function tongueOf({ pack }: Pick<LessonSettings, 'pack'>): Tongue {
  return WORD_PACKS[pack].tongue;
}

/** How a lesson talks. */
export function talkOf(settings: Pick<LessonSettings, 'pack'>): Talk {
  return TALKS[tongueOf(settings)];
}

/**
 * A sentence in every language of lessons, said in that of a lesson. `{which}` in it asks for the hour by the lesson's rule:
 * "which numeral has it passed?"
 */
export function inTongue(texts: Readonly<Record<Tongue, string>>): (settings: LessonSettings) => string {
  return (settings) => texts[tongueOf(settings)].replace('{which}', talkOf(settings).whichHour[settings.betweenRule]);
}
