import { catalogue } from '../../shared/words/catalogue';

export const SET_UP_WORDS = catalogue({
  en: {
    invited: {
      heading: 'Welcome to Zeitpunkt',
      text: 'You come by invitation. Your classes, lessons and answers are yours alone; other teachers do not see them. The rules of your school and the law where you teach decide what may be kept about children: use display names only.',
      code: 'Invitation code',
      codeHint: 'Twelve letters and digits, from whoever invited you.',
    },
    first: {
      heading: 'Set up Zeitpunkt',
      text: 'You are the first teacher on this machine. Everything stays on it. The rules of your school and the law where you teach decide what may be kept about children: use display names only.',
      code: 'Set-up code',
      codeHint: 'Eight digits; they stand in the window where Zeitpunkt was started.',
    },
    noCode: 'Please enter the code.',
    name: 'Your name, as pupils know it',
    noName: 'Please enter your name.',
    signInName: 'Sign-in name',
    noSignInName: 'Please choose a sign-in name.',
    password: 'Password',
    passwordHint: 'At least 10 characters',
    noPassword: 'Please choose a password.',
    shortPassword: 'At least 10 characters, please.',
    className: 'Your class',
    noClass: 'Please name your class.',
    pupils: 'Its pupils come next, from a list or by their names.',
    start: 'Start',
  },
});
