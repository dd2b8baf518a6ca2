import { spoken } from '../shared/words/spoken';

/** What the two hands are called where they are turned, and what turns them. */
export const HAND_WORDS = spoken({
  en: {
    short: { hour: 'short', minute: 'long' },
    name: { hour: 'Short hour hand', minute: 'Long minute hand' },
    steps: {
      hourBack: 'Short hand back to the numeral before',
      hourBackLittle: 'Short hand back a little',
      hourOnLittle: 'Short hand on a little',
      hourOn: 'Short hand on to the next numeral',
      minuteBackFive: 'Long hand back five minutes',
      minuteBack: 'Long hand back one minute',
      minuteOn: 'Long hand on one minute',
      minuteOnFive: 'Long hand on five minutes',
    },
  },
  de: {
    short: { hour: 'kurz', minute: 'lang' },
    name: { hour: 'Kurzer Stundenzeiger', minute: 'Langer Minutenzeiger' },
    steps: {
      hourBack: 'Kurzer Zeiger zurück zur Zahl davor',
      hourBackLittle: 'Kurzer Zeiger ein wenig zurück',
      hourOnLittle: 'Kurzer Zeiger ein wenig weiter',
      hourOn: 'Kurzer Zeiger weiter zur nächsten Zahl',
      minuteBackFive: 'Langer Zeiger fünf Minuten zurück',
      minuteBack: 'Langer Zeiger eine Minute zurück',
      minuteOn: 'Langer Zeiger eine Minute weiter',
      minuteOnFive: 'Langer Zeiger fünf Minuten weiter',
    },
  },
});
