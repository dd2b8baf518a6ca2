import { catalogue } from '../../shared/words/catalogue';

export const PARTS_WORDS = catalogue({
  en: {
    loading: 'One moment …',
    again: 'Try again',
    undo: 'Undo',
    close: 'Close',
    help: 'Help with this place',
    lineLost: 'line lost',
    qrOf: (address: string) => `QR code of ${address}`,
    leftHand: 'Left hand',
    rightHand: 'Right hand',
    does: 'What they do',
    letterKeys: 'Letters, digits and signs act as keys',
    keyNames: {
      ArrowLeft: '←',
      ArrowRight: '→',
      ArrowUp: '↑',
      ArrowDown: '↓',
      PageUp: 'Page up',
      PageDown: 'Page down',
      Escape: 'Esc',
      Digit: 'any digit',
      '.': 'full stop',
    } as Readonly<Record<string, string>>,
    move: (name: string) => `Move ${name}`,
    moveTo: (list: string) => `to “${list}”`,
    moveBack: 'back to where it was proposed',
  },
});
