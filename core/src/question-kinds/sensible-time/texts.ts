import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    stem: (event: string) => `${event}. Which time makes sense?`,
    sense: (time: string) => `It makes sense at ${time}.`,
    lookAt: 'Think of your own day: is it light or dark then, before lunch or after it?',
  },
  de: {
    stem: (event: string) => `${event}. Welche Zeit passt?`,
    sense: (time: string) => `Es passt um ${time}.`,
    lookAt: 'Denk an deinen Tag: Ist es dann hell oder dunkel, vor dem Mittagessen oder danach?',
  },
} as const satisfies Record<Tongue, object>;
