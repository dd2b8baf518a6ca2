import { catalogue, count } from '../../shared/words/catalogue';
import type { Locale } from '../../shared/words/language';

export const SCHOOL_WORDS = catalogue({
  en: {
    title: 'School',
    help: {
      sentence: 'Who teaches here, how it looks for you, how pupils reach this machine, and what is kept.',
      keys: [['F1, ?', 'This help']] as const,
    },
    takeClass: 'Take in a class',
    invite: 'Invite a colleague',
    people: 'Who teaches here',
    peopleCount: (n: number) => count(n, { one: '{n} person', other: '{n} people' }),
    columns: { name: 'Name', state: 'State', more: 'What can be done' },
    you: 'you',
    teaches: 'teaches here',
    invited: (day: string) => `code until ${day}`,
    withdraw: 'Withdraw',
    withdrawOf: (name: string) => ` the invitation for ${name}`,
    own: 'Each teacher sees their own classes, lessons and answers, and nobody else’s. Whoever runs this server can read its files.',
    mayNotInvite: 'The first teacher of this school can invite others.',
    inviting: {
      heading: 'Invite a colleague',
      forWhom: 'For whom',
      missing: 'Say for whom the code is.',
      make: 'Make a code',
      leave: 'Close',
      made: (name: string) => `The code for ${name}, shown this once:`,
      link: 'Or this link:',
      once: 'It can be used once, within a week.',
    },
    look: {
      heading: 'Look and language',
      about: 'on this device',
      choose: 'How it looks',
      light: 'light',
      dark: 'dark',
      machine: 'as the machine',
      language: 'Language, day and month',
      locales: { 'en-GB': 'English, 30 November', 'en-US': 'English, November 30' } satisfies Record<Locale, string>,
    },
    reach: {
      heading: 'How pupils reach this machine',
      qr: 'QR code of the address of the desks',
      address: 'Address for pupils',
      text: 'Pupils open this address in any browser, or hold their card to a camera.',
      try: 'Try it as a pupil',
    },
    safe: {
      heading: 'What is kept, and where',
      stays: 'All stays on this school’s own machine. Pupils need no e-mail and no password.',
      kept: 'How long answers are kept',
      of: (name: string, days: number | null) =>
        days === null ? `Answers of ${name} are kept until you delete them.` : `Answers of ${name} are deleted after ${days} days.`,
      change: 'Change',
      law: 'Your school’s rules and your law on children’s data and on recording lessons decide what may be kept, not Zeitpunkt.',
    },
    backups: {
      heading: 'Backups',
      never: 'No backup was made yet.',
      last: (day: string, at: string, megabytes: string, sealed: boolean) =>
        `The last one is of ${day}, ${at} (${megabytes} MB${sealed ? ', sealed with a passphrase' : ''}).`,
      each: (at: string, to: string) => `One is made each day at ${at}, in ${to}.`,
      nowhere: 'No backups are made: whoever runs this machine says where they go. Until then a broken disk takes everything with it.',
      failed: (why: string) => `The last backup did not work. ${why}`,
      now: 'Back up now',
      running: 'A backup is being made; lessons go on meanwhile.',
    },
    loading: 'One moment …',
  },
});
