import { catalogue } from '../../shared/words/catalogue';

export const SIGN_IN_WORDS = catalogue({
  en: {
    heading: 'Sign in to teach',
    name: 'Sign-in name',
    noName: 'Please enter your sign-in name.',
    password: 'Password',
    noPassword: 'Please enter your password.',
    signIn: 'Sign in',
    pupil: 'Are you a pupil?',
    toDesk: 'Go to your desk',
  },
});
