import type { Tongue } from '../words/pack.js';

/** Something that pupils have at hand, and what does where it is missing: not every home has a printer. */
export interface Material {
  readonly thing: Readonly<Record<Tongue, string>>;
  readonly otherwise: Readonly<Record<Tongue, string>>;
}

/** Materials by id. */
export const MATERIALS = {
  'paper-dial': {
    thing: { en: 'A paper dial with two hands for each pupil', de: 'Für jedes Kind eine Papieruhr mit zwei Zeigern' },
    otherwise: {
      en: 'Draw round a plate and use two pencils as hands.',
      de: 'Zeichne um einen Teller herum und nimm zwei Stifte als Zeiger.',
    },
  },
  sheet: {
    thing: { en: 'The practice sheet', de: 'Das Übungsblatt' },
    otherwise: { en: 'Copy three of the clocks from the screen.', de: 'Zeichne drei der Uhren vom Bildschirm ab.' },
  },
  'folded-circle': {
    thing: { en: 'A paper circle to fold into halves and quarters', de: 'Ein Papierkreis zum Falten in Hälften und Viertel' },
    otherwise: { en: 'Fold any sheet of paper in half, and in half again.', de: 'Falte irgendein Blatt in der Mitte, und noch einmal.' },
  },
  cover: {
    thing: { en: 'A strip of paper to cover the long hand', de: 'Ein Papierstreifen, der den langen Zeiger verdeckt' },
    otherwise: { en: 'Cover it with a thumb.', de: 'Verdecke ihn mit dem Daumen.' },
  },
  'day-strip': {
    thing: {
      en: 'A strip of paper for the day, from midnight to midnight',
      de: 'Ein Papierstreifen für den Tag, von Mitternacht bis Mitternacht',
    },
    otherwise: { en: 'Draw a line and mark noon in the middle.', de: 'Zeichne eine Linie und markiere den Mittag in der Mitte.' },
  },
  'hour-strip': {
    thing: {
      en: 'A strip of paper for the hour, with a mark every five minutes',
      de: 'Ein Papierstreifen für die Stunde, alle fünf Minuten ein Strich',
    },
    otherwise: { en: 'Draw a line and twelve equal steps.', de: 'Zeichne eine Linie mit zwölf gleichen Schritten.' },
  },
} as const satisfies Record<string, Material>;

export type MaterialId = keyof typeof MATERIALS;
