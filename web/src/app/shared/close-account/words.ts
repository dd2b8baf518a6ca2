import { catalogue, count } from '../../shared/words/catalogue';

export const CLOSING_WORDS = catalogue({
  en: {
    heading: (name: string) => `Close the account of ${name}?`,
    classes: (names: string) =>
      `These classes must go to a colleague, or be deleted, before: ${names}. Whose they are does it, at the class.`,
    what: (lessons: number, dials: number) =>
      `${count(lessons, { one: '{n} lesson', other: '{n} lessons' })} and ${count(dials, { one: '{n} dial', other: '{n} dials' })} are in it.`,
    lessonsTo: 'They go to',
    nobody: 'nobody: delete them, too',
    forGood: 'The account is gone then, and cannot be brought back.',
    yes: 'Close the account',
    no: 'Keep it',
    loading: 'One moment …',
  },
});
