import { countedTo } from '../../talk/talk.js';
import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    stem: 'Look at the thin hand. How many seconds does it show?',
    unit: 'seconds',
    is: (seconds: number) => `The thin hand shows ${seconds} ${seconds === 1 ? 'second' : 'seconds'}.`,
    fives: (seconds: number) => `In fives from the 12 to the thin hand: ${countedTo(seconds, ', and')}.`,
    top: 'The thin hand is on the 12: no seconds yet, a new minute begins.',
    lookAt: 'Find the thinnest hand. Count in fives from the 12 to where it points.',
  },
  de: {
    stem: 'Schau auf den dünnen Zeiger. Wie viele Sekunden zeigt er?',
    unit: 'Sekunden',
    is: (seconds: number) => `Der dünne Zeiger zeigt ${seconds} ${seconds === 1 ? 'Sekunde' : 'Sekunden'}.`,
    fives: (seconds: number) => `In Fünferschritten von der 12 bis zum dünnen Zeiger: ${countedTo(seconds, ' und')}.`,
    top: 'Der dünne Zeiger steht auf der 12: noch keine Sekunde, eine neue Minute fängt an.',
    lookAt: 'Such den dünnsten Zeiger. Zähle in Fünferschritten von der 12 bis dorthin, wo er steht.',
  },
} as const satisfies Record<Tongue, object>;
