import { catalogue } from '../../shared/words/catalogue';

export const CLOCK_WORDS = catalogue({
  en: {
    leapt: (now: string, before: string) =>
      `The server’s clock says ${now}; it was last seen on ${before}. Nothing has been deleted since. If this is the day today, what is kept for a time only is deleted now as usual; if it is not, have the clock of the server set right.`,
    isRight: 'Yes, this is the day',
  },
});
