import type { ApiProblem, Params } from '../api';
import { catalogue } from './catalogue';

/** Problems by their code; a code that means several things has no words of its own, and the server's sentence is shown. */
const PROBLEM_WORDS = catalogue<{
  readonly fault: string;
  readonly tell: (number: string) => string;
  readonly byCode: Readonly<Record<string, (params: Params) => string>>;
}>({
  en: {
    fault: 'Something went wrong on this page. Please load it again.',
    tell: (number) => `Tell this number to whoever looks after the machine: ${number}.`,
    byCode: {
      LINE_LOST: () => 'The server cannot be reached just now.',
      PLAN_CHANGED: ({ name }) => `The plan of ${name} was changed meanwhile, from another window. Nothing was overwritten.`,
      LESSON_CHANGED: ({ title }) => `“${title}” was changed meanwhile, from another window. Nothing was overwritten.`,
      NAME_TAKEN: ({ name }) => `${name} is in this class already. Two pupils of one name could not tell their names apart.`,
      SIGN_IN_WRONG: () => 'The sign-in name and the password do not belong together. Please check both.',
      SETUP_CODE_WRONG: () => 'That is not the set-up code. It stands in the window where Zeitpunkt was started.',
      INVITATION_WRONG: () => 'No open invitation has this code. It can be used once, within a week; ask for a new one.',
    },
  },
});

/** Codes whose sentence speaks of something: without it the server's own sentence is the better one. */
const SPEAKS_OF: Readonly<Record<string, string>> = { PLAN_CHANGED: 'name', LESSON_CHANGED: 'title', NAME_TAKEN: 'name' };

/** A problem in the words of the language that is shown; null where only the server has words for it. */
export function inWords(problem: ApiProblem | null): string | null {
  if (problem === null) return PROBLEM_WORDS().fault;
  const wanted = SPEAKS_OF[problem.code];
  if (wanted !== undefined && !(wanted in problem.params)) return null;
  // A status says more about what stands in the way than "not reached" does.
  if (problem.code === 'LINE_LOST' && problem.status !== 0) return null;
  const own = PROBLEM_WORDS().byCode[problem.code]?.(problem.params) ?? null;
  // A fault of the server stands in its log under this number.
  return problem.status >= 500 && problem.number !== '' ? `${own ?? problem.message} ${PROBLEM_WORDS().tell(problem.number)}` : own;
}
