import { catalogue } from '../words/catalogue';
import { dialTime } from '../words/days';

const PAIR_WORDS = catalogue({
  en: {
    habit: {
      read: (asked: string, answered: string) => `reads ${asked} as ${answered}`,
      set: (asked: string, answered: string) => `sets ${asked} as ${answered}`,
      noTime: (asked: string) => `sets ${asked} so that the hands do not agree`,
    },
    once: {
      read: (asked: string, answered: string) => `read ${asked} as ${answered}`,
      set: (asked: string, answered: string) => `set ${asked} as ${answered}`,
      noTime: (asked: string) => `set ${asked} so that the hands agree on no time`,
    },
  },
});

/** What a wrong idea did with what was asked; times in seconds since midnight, null where the hands that were set are no time. */
export interface PairSaid {
  readonly act: 'read' | 'set';
  readonly at: number;
  readonly answeredAt: number | null;
}

/** A pair of dials in words, as what whoever holds the idea does, or as what was done once: "reads 2:45 as 3:45". */
export function pairSaid({ act, at, answeredAt }: PairSaid, when: 'habit' | 'once'): string {
  const words = PAIR_WORDS()[when];
  return answeredAt === null ? words.noTime(dialTime(at)) : words[act](dialTime(at), dialTime(answeredAt));
}
