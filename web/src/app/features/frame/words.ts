import { catalogue, count } from '../../shared/words/catalogue';

export const FRAME_WORDS = catalogue({
  en: {
    skip: 'To the content',
    places: 'Places',
    pupils: (n: number) => (n === 0 ? 'no pupils' : count(n, { one: '{n} pupil', other: '{n} pupils' })),
    classMenu: (name: string, pupils: string) => `Class ${name}, ${pupils}. Choose a class`,
    noClass: 'No class',
    newClass: 'New class',
    nameOfNew: (n: number) => `Class ${n}`,
    place: {
      today: 'Today',
      ladder: 'Ladder',
      lessons: 'Lessons',
      review: 'Review',
      class: 'Class',
      paper: 'Paper',
      dials: 'Dials',
      school: 'School',
    },
    personMenu: (name: string) => `${name}: how it looks, your account, signing out`,
    look: { light: 'Light', dark: 'Dark', machine: 'As the machine' },
    account: 'Your account',
    signOut: 'Sign out',
    missing: 'A part of this page could not be fetched. Load it again: it goes on where it is.',
    loadAgain: 'Load the page again',
    nothing: {
      heading: 'There is nothing at this address.',
      text: 'A letter may be missing, or what stood here is gone.',
      toToday: 'To today',
      toDesk: 'To a pupil’s desk',
    },
  },
});
