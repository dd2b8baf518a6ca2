import type { Tongue } from '../../words/pack.js';

/** What this kind says of itself, in every language of lessons. */
export const TEXTS = {
  en: {
    stem: (event: string, planned: string) =>
      `${event} at ${planned}. You get there when the clock shows this. Are you early, on time or late?`,
    early: 'early',
    onTime: 'on time',
    late: 'late',
    is: {
      early: (apart: string) => `You are early: it is ${apart} before.`,
      onTime: () => 'You are on time: it is just then.',
      late: (apart: string) => `You are late: it is ${apart} after.`,
    },
    minutes: (count: number) => `${count} minutes`,
    lookAt: 'Read the clock. Does its time come before the other one or after it?',
  },
  de: {
    stem: (event: string, planned: string) =>
      `${event}, um ${planned}. Du kommst an, wenn die Uhr das zeigt. Bist du zu früh, pünktlich oder zu spät?`,
    early: 'zu früh',
    onTime: 'pünktlich',
    late: 'zu spät',
    is: {
      early: (apart: string) => `Du bist zu früh: Es ist ${apart} davor.`,
      onTime: () => 'Du bist pünktlich: Es ist genau dann.',
      late: (apart: string) => `Du bist zu spät: Es ist ${apart} danach.`,
    },
    minutes: (count: number) => `${count} Minuten`,
    lookAt: 'Lies die Uhr. Kommt ihre Zeit vor der anderen oder danach?',
  },
} as const satisfies Record<Tongue, object>;
