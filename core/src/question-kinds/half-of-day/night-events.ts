import type { Situation } from '../../draft/situations.js';

/** What happens around midnight and at noon: where the 12 of the dial is hardest to tell. */
export const TWELVE_EVENTS: readonly Situation[] = [
  { hours: [0, 0], fits: [[0, 4]], says: { en: 'Everybody on the islands is asleep', de: 'Auf den Inseln schlafen alle' } },
  {
    hours: [0, 0],
    fits: [[0, 0]],
    says: { en: 'The new day has just begun and the moon shines', de: 'Der neue Tag hat gerade begonnen, und der Mond scheint' },
  },
  {
    hours: [12, 12],
    fits: [[8, 20]],
    says: { en: 'The soup is on the table and the sun shines', de: 'Die Suppe steht auf dem Tisch, und die Sonne scheint' },
  },
];
