import { catalogue } from '../../shared/words/catalogue';

export const SIGN_IN_WORDS = catalogue({
  en: {
    heading: 'Sign in to teach',
    name: 'Sign-in name',
    noName: 'Please enter your sign-in name.',
    password: 'Password',
    noPassword: 'Please enter your password.',
    signIn: 'Sign in',
    code: 'One-time code',
    codeHint: 'Six digits, from your app.',
    forgotten: 'Password forgotten?',
    reset: 'Choose a new one with a code',
    resetting: {
      heading: 'Choose a new password',
      text: 'The first teacher of your school makes you a code for it, in School. Where it is the first teacher who cannot sign in, whoever runs the machine makes one.',
      code: 'Code',
      codeHint: 'Twelve letters and digits; it can be used once, within a day.',
      noCode: 'Please enter the code.',
      password: 'New password',
      hint: 'At least 10 characters',
      short: 'At least 10 characters, please.',
      choose: 'Choose it and sign in',
      back: 'Back to signing in',
    },
    pupil: 'Are you a pupil?',
    toDesk: 'Go to your desk',
  },
});
