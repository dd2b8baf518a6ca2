import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    end: (start: string, length: string) => `It starts at ${start} and takes ${length}. When does it end?`,
    start: (end: string, length: string) => `It takes ${length} and ends at ${end}. When did it start?`,
    length: (start: string, end: string) => `It starts at ${start} and ends at ${end}. How long does it take?`,
    hours: (count: number) => `${count} ${count === 1 ? 'hour' : 'hours'}`,
    minutes: (count: number) => `${count} ${count === 1 ? 'minute' : 'minutes'}`,
    and: ' and ',
    onTo: (start: string, full: string) => `First on to the full hour, from ${start} to ${full}.`,
    onFrom: (full: string, end: string) => `Then from ${full} to ${end}.`,
    thenOn: (rest: string) => `Then ${rest} more.`,
    backTo: (end: string, full: string) => `First back to the full hour, from ${end} to ${full}.`,
    thenBack: (rest: string) => `Then back another ${rest}.`,
    keys: {
      end: (time: string) => `It ends at ${time}.`,
      start: (time: string) => `It started at ${time}.`,
      length: (time: string) => `It takes ${time}.`,
    },
    lookAt: {
      end: 'Go on from the start: first to the full hour, then the rest.',
      start: 'Go back from the end: first to the full hour, then the rest.',
      length: 'Count on from the start to the end: first to the full hour, then the rest.',
    },
  },
  de: {
    end: (start: string, length: string) => `Es fängt um ${start} an und dauert ${length}. Wann ist es zu Ende?`,
    start: (end: string, length: string) => `Es dauert ${length} und ist um ${end} zu Ende. Wann hat es angefangen?`,
    length: (start: string, end: string) => `Es fängt um ${start} an und ist um ${end} zu Ende. Wie lange dauert es?`,
    hours: (count: number) => `${count} ${count === 1 ? 'Stunde' : 'Stunden'}`,
    minutes: (count: number) => `${count} ${count === 1 ? 'Minute' : 'Minuten'}`,
    and: ' und ',
    onTo: (start: string, full: string) => `Zuerst weiter bis zur vollen Stunde, von ${start} bis ${full}.`,
    onFrom: (full: string, end: string) => `Dann von ${full} bis ${end}.`,
    thenOn: (rest: string) => `Dann noch ${rest} weiter.`,
    backTo: (end: string, full: string) => `Zuerst zurück bis zur vollen Stunde, von ${end} bis ${full}.`,
    thenBack: (rest: string) => `Dann noch ${rest} zurück.`,
    keys: {
      end: (time: string) => `Es ist um ${time} zu Ende.`,
      start: (time: string) => `Es hat um ${time} angefangen.`,
      length: (time: string) => `Es dauert ${time}.`,
    },
    lookAt: {
      end: 'Geh vom Anfang weiter: zuerst bis zur vollen Stunde, dann den Rest.',
      start: 'Geh vom Ende zurück: zuerst bis zur vollen Stunde, dann den Rest.',
      length: 'Zähle vom Anfang bis zum Ende weiter: zuerst bis zur vollen Stunde, dann den Rest.',
    },
  },
} as const satisfies Record<Tongue, object>;
