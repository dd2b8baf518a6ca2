import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    stems: {
      'seconds-in-minute': 'How many seconds are there in one minute?',
      'minutes-in-hour': 'How many minutes are there in one hour?',
      'minutes-in-half-hour': 'How many minutes are there in half an hour?',
      'minutes-in-quarter': 'How many minutes are there in a quarter of an hour?',
      'minutes-in-three-quarters': 'How many minutes are there in three quarters of an hour?',
      'hours-in-day': 'How many hours are there in one day, day and night together?',
      'rounds-in-day': 'How many times does the short hand go round in one whole day and night?',
      'rounds-from-noon': 'It is noon. How many times does the short hand go round until it is noon again tomorrow?',
    },
    keys: {
      'seconds-in-minute': 'One minute is 60 seconds.',
      'minutes-in-hour': 'One hour is 60 minutes: once round for the long hand.',
      'minutes-in-half-hour': 'Half an hour is 30 minutes: half of 60.',
      'minutes-in-quarter': 'A quarter of an hour is 15 minutes: 60 cut into four.',
      'minutes-in-three-quarters': 'Three quarters of an hour are 45 minutes: three times 15.',
      'hours-in-day': 'One day is 24 hours: twelve before noon and twelve after.',
      'rounds-in-day': 'The short hand goes round twice: once before noon and once after.',
      'rounds-from-noon': 'The short hand goes round twice: from noon to midnight, and from midnight to noon.',
    },
    lookAt: {
      minute: 'Count round the dial in fives, from the 12 back to the 12.',
      part: 'A whole hour is once round. How far round is this part of it?',
      day: 'Go through a day from midnight to midnight: what happens at noon?',
    },
  },
  de: {
    stems: {
      'seconds-in-minute': 'Wie viele Sekunden hat eine Minute?',
      'minutes-in-hour': 'Wie viele Minuten hat eine Stunde?',
      'minutes-in-half-hour': 'Wie viele Minuten hat eine halbe Stunde?',
      'minutes-in-quarter': 'Wie viele Minuten hat eine Viertelstunde?',
      'minutes-in-three-quarters': 'Wie viele Minuten hat eine Dreiviertelstunde?',
      'hours-in-day': 'Wie viele Stunden haben ein Tag und seine Nacht zusammen?',
      'rounds-in-day': 'Wie oft geht der kurze Zeiger in einem Tag und seiner Nacht herum?',
      'rounds-from-noon': 'Es ist Mittag. Wie oft geht der kurze Zeiger herum, bis morgen wieder Mittag ist?',
    },
    keys: {
      'seconds-in-minute': 'Eine Minute hat 60 Sekunden.',
      'minutes-in-hour': 'Eine Stunde hat 60 Minuten: einmal herum für den langen Zeiger.',
      'minutes-in-half-hour': 'Eine halbe Stunde hat 30 Minuten: die Hälfte von 60.',
      'minutes-in-quarter': 'Eine Viertelstunde hat 15 Minuten: 60 in vier Teile geteilt.',
      'minutes-in-three-quarters': 'Eine Dreiviertelstunde hat 45 Minuten: dreimal 15.',
      'hours-in-day': 'Ein Tag hat 24 Stunden: zwölf vor Mittag und zwölf danach.',
      'rounds-in-day': 'Der kurze Zeiger geht zweimal herum: einmal vor Mittag und einmal danach.',
      'rounds-from-noon': 'Der kurze Zeiger geht zweimal herum: von Mittag bis Mitternacht und von Mitternacht bis Mittag.',
    },
    lookAt: {
      minute: 'Zähle in Fünferschritten um die Uhr, von der 12 bis zur 12.',
      part: 'Eine ganze Stunde ist einmal herum. Wie weit herum ist dieser Teil?',
      day: 'Geh durch einen Tag von Mitternacht bis Mitternacht: Was ist am Mittag?',
    },
  },
} as const satisfies Record<Tongue, object>;
