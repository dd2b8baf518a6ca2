import { catalogue, count } from '../../../shared/words/catalogue';

export const PACKAGE_WORDS = catalogue({
  en: {
    heading: 'Questions as a package',
    close: 'Close',
    out: 'To other programs',
    all: (n: number) =>
      count(n, { one: 'The {n} question of this lesson', other: 'All {n} questions of this lesson' }) +
      ', for programs that read the standard QTI 3. Read back here they are as they were.',
    lost: 'Elsewhere some of it is lost:',
    lostOne: (questions: string, what: string) => `Question ${questions}: ${what}`,
    save: 'Save the package',
    nothing: 'This lesson asks nothing yet.',
    in: 'From other programs',
    hint: 'Questions about times in words and digits, from whichever program. They are looked at first, and come after the beat that is chosen.',
    choose: 'Choose a package',
    taken: (n: number) => count(n, { one: '{n} question can be taken', other: '{n} questions can be taken' }),
    leftOver: (n: number) => count(n, { one: '{n} cannot', other: '{n} cannot' }),
    found: (taken: string, left: string) => `${taken}, ${left}.`,
    whole: 'as it went out',
    left: 'Left out',
    add: (n: number) => `Add ${n} to the lesson`,
  },
});
