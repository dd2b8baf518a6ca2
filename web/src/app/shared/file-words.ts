import { catalogue } from './words/catalogue';

export const FILE_WORDS = catalogue({
  en: {
    looking: 'Looking through the file …',
    stop: 'Stop',
    nothing: (problem: string) => `${problem} Nothing was changed.`,
    tooLarge: (name: string, megabytes: number, most: number) => `“${name}” has ${megabytes} MB; such a file may have ${most} MB.`,
    /** Files of ours, as they are called in a sentence. */
    ours: { lesson: 'a lesson file', dial: 'a dial file' },
    large: (name: string, megabytes: number, what: string, most: number) =>
      `“${name}” is ${megabytes} MB large; ${what} has ${most} MB at most.`,
    notText: (name: string, what: string) => `“${name}” is not text in UTF-8, as ${what} is.`,
    notJson: (name: string, what: string) => `“${name}” is no JSON, as ${what} is.`,
  },
});
