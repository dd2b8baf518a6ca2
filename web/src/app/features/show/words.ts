import { catalogue } from '../../shared/words/catalogue';

export const SHOW_WORDS = catalogue({ en: { heading: 'Demonstration dial', empty: 'The dial appears here as soon as it is built.' } });
