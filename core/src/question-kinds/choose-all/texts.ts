import type { Tongue } from '../../words/pack.js';
import { lettersOf } from '../shapes/choices.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    stem: (time: string) => `Choose all that show ${time}.`,
    stemOfDial: 'Choose all that say what this clock shows.',
    show: (key: readonly number[], time: string) => `${lettersOf(key)} ${key.length === 1 ? 'shows' : 'show'} ${time}.`,
    shows: (letter: string, time: string) => `${letter} shows ${time}.`,
    otherTime: (letter: string) => `${letter} says another time.`,
    noTime: (letter: string) => `${letter} can be no time: its hands do not agree.`,
    right: 'Yes, you found them all.',
    someRight: 'Some of yours are right. Look at each one again.',
    notYet: 'Not yet. Take them one by one.',
    hourFirst: 'Look at the short hand first, then at the long one.',
    minuteFirst: 'Look at the long hand first, then at the short one.',
  },
  de: {
    stem: (time: string) => `Wähle alle, die ${time} zeigen.`,
    stemOfDial: 'Wähle alle, die sagen, was diese Uhr zeigt.',
    show: (key: readonly number[], time: string) => `${lettersOf(key, 'und')} ${key.length === 1 ? 'zeigt' : 'zeigen'} ${time}.`,
    shows: (letter: string, time: string) => `${letter} zeigt ${time}.`,
    otherTime: (letter: string) => `${letter} sagt eine andere Zeit.`,
    noTime: (letter: string) => `${letter} kann keine Zeit sein: Die Zeiger passen nicht zusammen.`,
    right: 'Ja, du hast alle gefunden.',
    someRight: 'Einige von deinen stimmen. Schau dir jede noch einmal an.',
    notYet: 'Noch nicht. Nimm sie eine nach der anderen.',
    hourFirst: 'Schau zuerst auf den kurzen Zeiger, dann auf den langen.',
    minuteFirst: 'Schau zuerst auf den langen Zeiger, dann auf den kurzen.',
  },
} as const satisfies Record<Tongue, object>;
