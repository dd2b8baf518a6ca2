import { catalogue, count } from '../words/catalogue';

export const ANSWERS_WORDS = catalogue({
  en: {
    sum: (n: number, right: number) => `${count(n, { one: '{n} answer', other: '{n} answers' })}, ${right} right`,
    close: 'Close',
    these: ' these answers',
    right: (key: string) => `Right: ${key}.`,
    question: (lesson: string, n: number | string) => `${lesson}, question ${n}`,
    none: 'There is no such answer.',
    all: (n: number) => `Show all ${n}`,
  },
});
