import { catalogue, count } from '../words/catalogue';

export const PAPER_FILE_WORDS = catalogue({
  en: {
    making: 'Making the file',
    cancel: 'Cancel',
    saved: (pages: number, kilobytes: number) => `Saved: ${count(pages, { one: '{n} page', other: '{n} pages' })}, ${kilobytes} kB.`,
    broken: 'Papers cannot be made just now. Please try again; if it stays so, load this page again.',
    missing: (letters: string) => `No letter shapes for ${letters}: left out on paper.`,
  },
});
