import type { SecondOfDay } from '../time/second-of-day.js';
import type { Tongue } from './pack.js';

/** A part of the day, up to where the next one begins. */
export interface PartOfDay {
  /** Minutes since midnight, 0 to 1439. */
  readonly fromMin: number;
  /** As it is said after a time: "in the morning". Noon and midnight are moments of their own. */
  readonly words: string;
  /** By itself, as a line or a board names it: "noon". */
  readonly name: string;
}

const part = (fromHour: number, minute: number, words: string, name: string): PartOfDay => ({
  fromMin: fromHour * 60 + minute,
  words,
  name,
});

/**
 * The parts of a day in each language, one table for whatever names them: wordings, questions, demonstrations, the day line.
 * Noon is never morning, midnight never noon.
 */
export const PARTS_OF_DAY: Readonly<Record<Tongue, readonly PartOfDay[]>> = {
  en: [
    part(0, 0, 'midnight', 'midnight'),
    part(0, 1, 'at night', 'night'),
    part(5, 0, 'in the morning', 'morning'),
    part(12, 0, 'noon', 'noon'),
    part(12, 1, 'in the afternoon', 'afternoon'),
    part(18, 0, 'in the evening', 'evening'),
    part(22, 0, 'at night', 'night'),
  ],
  de: [
    part(0, 0, 'um Mitternacht', 'Mitternacht'),
    part(0, 1, 'nachts', 'Nacht'),
    part(5, 0, 'morgens', 'Morgen'),
    part(10, 0, 'vormittags', 'Vormittag'),
    part(12, 0, 'mittags', 'Mittag'),
    part(12, 1, 'mittags', 'Mittagszeit'),
    part(14, 0, 'nachmittags', 'Nachmittag'),
    part(18, 0, 'abends', 'Abend'),
    part(23, 0, 'nachts', 'Nacht'),
  ],
};

/** The part of the day that a moment lies in. */
export function partOfDay(at: SecondOfDay, tongue: Tongue): PartOfDay {
  return PARTS_OF_DAY[tongue].findLast(({ fromMin }) => at >= fromMin * 60)!;
}

/** Whether a moment is neither before noon nor after it: noon or midnight itself. */
export const isNoonOrMidnight = (at: SecondOfDay): boolean => at === 0 || at === 43_200;
