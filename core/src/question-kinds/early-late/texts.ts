import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    stem: (event: string, planned: string) =>
      `${event} at ${planned}. Wren is there when the clock shows this. Is she early, on time or late?`,
    early: 'early',
    onTime: 'on time',
    late: 'late',
    is: {
      early: (apart: string) => `She is early: it is ${apart} before.`,
      onTime: () => 'She is on time: it is just then.',
      late: (apart: string) => `She is late: it is ${apart} after.`,
    },
    minutes: (count: number) => `${count} minutes`,
    lookAt: 'Read the clock. Does its time come before the other one or after it?',
  },
  de: {
    stem: (event: string, planned: string) =>
      `${event}, um ${planned}. Wren ist da, wenn die Uhr das zeigt. Ist sie zu früh, pünktlich oder zu spät?`,
    early: 'zu früh',
    onTime: 'pünktlich',
    late: 'zu spät',
    is: {
      early: (apart: string) => `Sie ist zu früh: Es ist ${apart} davor.`,
      onTime: () => 'Sie ist pünktlich: Es ist genau dann.',
      late: (apart: string) => `Sie ist zu spät: Es ist ${apart} danach.`,
    },
    minutes: (count: number) => `${count} Minuten`,
    lookAt: 'Lies die Uhr. Kommt ihre Zeit vor der anderen oder danach?',
  },
} as const satisfies Record<Tongue, object>;
