import { catalogue } from '../../shared/words/catalogue';

export const AUDIENCE_WORDS = catalogue({ en: { over: 'The lesson is over. See you next time!' } });
