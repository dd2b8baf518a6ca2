import { catalogue, count, listed } from '../words/catalogue';

const lessons = { one: '{n} lesson is', other: '{n} lessons are' };

export const PLAN_WORDS = catalogue({
  en: {
    waiting: 'Fetching the plan …',
    noClass: 'There is no class yet.',
    ofClass: (name: string, day: string) => `${name}, ${day}`,
    beside: (titles: readonly string[]) => `beside ${listed(titles.map((title) => `“${title}”`))}`,
    stands: (title: string, day: string) => `“${title}” stands on ${day}.`,
    takenOff: (title: string) => `“${title}” stands on no day now.`,
    standsOn: (day: string) => `It stands on ${day}.`,
    moved: (from: string, to: string) => `Moved from ${from} to ${to}.`,
    asItWas: 'The plan is as it was.',
    changedSince: 'The plan was changed since. Under More, its last change can be undone.',
    /** What one change moves: the first lesson and its day, how many more, and the last one's day. */
    moves: (title: string | null, day: string, more: number, lastDay: string) =>
      `${title === null ? 'The class’s lesson' : `“${title}”`} goes to ${day}${
        more === 0 ? '' : `, and ${count(more, { one: '{n} more moves', other: '{n} more move' })}; the last is then on ${lastDay}`
      }.`,
    drafted: (n: number) => `${count(n, lessons)} drafted and planned.`,
    stopped: (done: number, of: number) => `Stopped: ${done} of ${count(of, lessons)} drafted and planned.`,
  },
});
