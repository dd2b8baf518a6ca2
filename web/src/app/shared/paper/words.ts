import { catalogue, count } from '../words/catalogue';

export const PAPER_FILE_WORDS = catalogue({
  en: {
    making: 'Making the file',
    cancel: 'Cancel',
    saved: (pages: number, kilobytes: number) => `Saved: ${count(pages, { one: '{n} page', other: '{n} pages' })}, ${kilobytes} kB.`,
    missing: (letters: string) => `No letter shapes for ${letters}: left out on paper.`,
  },
});
