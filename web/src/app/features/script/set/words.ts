import { catalogue, count } from '../../../shared/words/catalogue';

export const SET_WORDS = catalogue({
  en: {
    heading: (rung: string) => `A set of questions, ${rung}`,
    close: 'Close',
    apart: 'To tell apart',
    ideas: 'Ideas',
    usual: 'usual for the rung',
    heldBy: (name: string) => `held by ${name}`,
    looking: 'Looking through its answers …',
    lookingAt: (percent: number) => `Looking through its answers … ${percent} %`,
    brackets: 'In brackets: pupils of whom an idea is settled or likely.',
    noIdea: 'Its answers show no idea, or are too few to say: the usual ones of the rung stand here.',
    questions: 'Questions',
    minutes: 'Minutes to think, together',
    choose: 'Choose',
    chooseAgain: 'Choose again',
    choosing: 'Choosing among thousands …',
    stop: 'Stop',
    set: 'The set',
    think: (length: string) => `About ${length} to think.`,
    keep: 'Keep',
    notThis: 'Not this',
    put: (n: number) => count(n, { one: 'Put {n} question into the script', other: 'Put {n} questions into the script' }),
    hint: 'Each wrong answer to these questions says which idea is behind it. Choose, look through, keep some, send others away, and choose again.',
  },
});
