import { catalogue } from '../words/catalogue';

export const ROOM_KEY_WORDS = catalogue({
  en: {
    open: 'Pupils open',
    touch: 'and touch:',
    label: 'Room key',
    address: 'Address',
    copy: 'Copy the link',
    copied: 'Copied',
  },
});
