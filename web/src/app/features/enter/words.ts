import { catalogue } from '../../shared/words/catalogue';

export const ENTER_WORDS = catalogue({
  en: {
    place: 'Answers on paper or aloud',
    about: (title: string, className: string, code: string | null) => `${title} · ${className}${code === null ? '' : ` · sheet ${code}`}`,
    help: {
      sentence:
        'Answers that pupils wrote or said, typed in. Enter goes to the next pupil, Tab to the next question. Each is kept and marked as its field is left. ? is for a pupil who was not sure; an empty field takes back what you typed.',
    },
    hint: 'Enter: next pupil. Tab: next question. ? for “not sure”. Each answer is kept as you leave its field.',
    loading: 'Fetching the lesson …',
    review: 'To the review',
    source: { label: 'These came', paper: 'on paper', spoken: 'aloud' },
    typed: (n: number, of: number) => `${n} of ${of} have answers`,
    table: 'Answers, pupil by pupil',
    pupil: 'Pupil',
    sheet: 'Sheet',
    letters: (last: string) => `A to ${last}`,
    versionOf: (name: string) => `${name}, version of the sheet`,
    versionsAre: (last: string) => `The versions of this sheet are A to ${last}.`,
    question: (n: number) => `Question ${n}`,
    again: ', again',
    like: (example: string) => `like ${example}`,
    answer: (name: string, n: number) => `${name}, question ${n}`,
    by: { paper: 'paper', spoken: 'aloud' },
    none: 'Nothing was asked in this lesson, so there is nothing to answer.',
    kept: (name: string) => `Kept for ${name}.`,
    takenBack: (name: string) => `Taken back for ${name}.`,
    noAnswer: (text: string, example: string) =>
      `“${text}” is no answer to this question. Type it like ${example}; ? for a pupil who was not sure.`,
  },
});
