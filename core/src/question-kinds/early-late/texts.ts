import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    stem: (event: string, planned: string) =>
      `${event} at ${planned}. Wren gets there when the clock shows this. Is Wren early, on time or late?`,
    early: 'early',
    onTime: 'on time',
    late: 'late',
    is: {
      early: (apart: string) => `Wren is early: it is ${apart} before.`,
      onTime: () => 'Wren is on time: it is just then.',
      late: (apart: string) => `Wren is late: it is ${apart} after.`,
    },
    minutes: (count: number) => `${count} minutes`,
    lookAt: 'Read the clock. Does its time come before the other one or after it?',
  },
  de: {
    stem: (event: string, planned: string) =>
      `${event}, um ${planned}. Wren kommt an, wenn die Uhr das zeigt. Ist Wren zu früh, pünktlich oder zu spät?`,
    early: 'zu früh',
    onTime: 'pünktlich',
    late: 'zu spät',
    is: {
      early: (apart: string) => `Wren ist zu früh: Es ist ${apart} davor.`,
      onTime: () => 'Wren ist pünktlich: Es ist genau dann.',
      late: (apart: string) => `Wren ist zu spät: Es ist ${apart} danach.`,
    },
    minutes: (count: number) => `${count} Minuten`,
    lookAt: 'Lies die Uhr. Kommt ihre Zeit vor der anderen oder danach?',
  },
} as const satisfies Record<Tongue, object>;
