import { catalogue } from '../../shared/words/catalogue';

export const REHEARSE_WORDS = catalogue({
  en: {
    help: {
      place: 'Rehearse',
      sentence:
        'Teach the lesson as in class: read out, turn the hands, wait. Simulated pupils answer. What each beat takes you is kept, and afterwards it can become the plan.',
    },
    about: (className: string) => `Rehearsal · ${className}`,
    loading: 'Fetching the lesson …',
    toLessons: 'Back to the lessons',
    toScript: 'Back to the script',
    begin: 'Begin the rehearsal',
    end: 'End the rehearsal',
    took: 'What it took',
    tookText: (took: string, taught: number, all: number, planned: string) =>
      `${took} for the ${taught} of ${all} beats that you taught; ${planned} were planned for them.`,
    pace: (words: number, planned: number) => `You spoke about ${words} words a minute; the lesson plans ${planned}.`,
    takeTimes: 'Take these times over',
    takePace: (words: number) => `Plan ${words} words a minute`,
    again: 'Rehearse again',
    takeBack: 'Take it back',
    beat: 'Beat',
    planned: 'Planned',
    tookColumn: 'Took',
    notReached: 'not reached',
    passedOver: 'passed over',
    timesTaken: 'These times are the plan now.',
    planBack: 'The plan is as it was.',
    paceTaken: (words: number) => `Beats without a time of their own are planned at ${words} words a minute now.`,
  },
});
