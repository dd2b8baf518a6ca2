import { catalogue } from '../../../shared/words/catalogue';

export const PRINT_WORDS = catalogue({
  en: {
    print: 'Print',
    back: 'Back to the script',
    how: 'What is printed',
    short: 'Short: to have at hand while teaching',
    long: 'Long: each stage as pupils see it',
    gather: 'To gather',
    without: (thing: string, otherwise: string) => `${thing} (without: ${otherwise})`,
    beats: 'Beats',
    facts: (at: string, long: string) => `${at}, ${long}`,
    loading: 'Fetching the lesson …',
  },
});
