import { catalogue } from '../../shared/words/catalogue';

export const PARTS_WORDS = catalogue({
  en: {
    loading: 'One moment …',
    again: 'Try again',
    undo: 'Undo',
    close: 'Close',
    help: 'Help with this place',
    keys: 'Keys',
    move: (name: string) => `Move ${name}`,
    moveTo: (list: string) => `to “${list}”`,
    moveBack: 'back to where it was proposed',
  },
});
