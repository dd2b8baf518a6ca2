import { catalogue } from '../../shared/words/catalogue';

export const CARDS_WORDS = catalogue({
  en: {
    place: 'Daily card',
    help: {
      sentence: 'The card of the day: everybody guesses, then it is shown. Cards that were missed come first.',
      audience: 'In the audience window',
    },
    loading: 'Fetching the cards …',
    nothing: 'No card is due today.',
    toToday: 'To today',
    at: (at: number, of: number) => `Card ${at} of ${of}`,
    guess: 'They guess',
    shown: 'It is shown',
    audience: 'Audience window',
    back: 'Back',
    show: 'Show it',
    next: 'Next card',
    done: 'Done',
    keys: { on: 'Go on', back: 'Go back', audience: 'Audience window' },
  },
});
