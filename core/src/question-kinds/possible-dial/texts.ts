import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    one: 'Can a clock look like this?',
    several: 'One of these clocks cannot be. Which one?',
    yes: 'Yes, it can.',
    no: 'No, it cannot.',
    cannot: (letter: string) => `${letter} cannot be.`,
    can: 'It can be.',
    lookAt: 'Look at the long hand first. How far must the short hand have gone from its numeral by then?',
  },
  de: {
    one: 'Kann eine Uhr so aussehen?',
    several: 'Eine von diesen Uhren kann es nicht geben. Welche?',
    yes: 'Ja, das geht.',
    no: 'Nein, das geht nicht.',
    cannot: (letter: string) => `${letter} kann nicht sein.`,
    can: 'Das kann sein.',
    lookAt: 'Schau zuerst auf den langen Zeiger. Wie weit muss der kurze dann von seiner Zahl weg sein?',
  },
} as const satisfies Record<Tongue, object>;
