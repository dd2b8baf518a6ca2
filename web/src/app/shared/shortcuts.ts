import { DOCUMENT, DestroyRef, inject } from '@angular/core';
import { deviceStore } from './device-store';

/** Something that keys do in a place. The list of keys is made from what the keys act on. */
export interface Shortcut {
  /** Keys within the left half of a keyboard, for one hand, such as `T`, `Shift+Space` or `Ctrl+Z`; `Digit` is any of 0 to 9. */
  readonly left: readonly string[];
  /** The same within the right half, in the same order. */
  readonly right: readonly string[];
  readonly text: string;
  /** Goes on while the key is held. */
  readonly repeats?: boolean;
  /** @param place which of the keys of its half was pressed; @param key the key itself, as typed */
  readonly act: (place: number, key: string) => void;
}

const KEPT = 'zeitpunkt-letter-keys';
const device = deviceStore();
/** What was said in this window, where the device keeps nothing. */
let saidHere: boolean | null = null;

/**
 * Whether letters, digits and signs act as keys. Off, they cannot be struck by mistake or by speech (WCAG 2.1.4); all other
 * keys go on acting. Kept on the device for all windows.
 */
export const letterKeys = {
  on: (): boolean => saidHere ?? device.get(KEPT) !== 'off',
  turn: (on: boolean): void => {
    if (on) device.remove(KEPT);
    saidHere = on || device.set(KEPT, 'off') ? null : false;
  },
};

/** The name of the key struck, as shortcuts write it; null where it means nothing here. */
export function keyOf({ key, altKey, ctrlKey, metaKey, shiftKey }: KeyboardEvent): string | null {
  if (altKey) return null;
  const isSign = key.length === 1 && key !== ' ';
  const isLetter = isSign && key.toUpperCase() !== key.toLowerCase();
  const ctrl = ctrlKey || metaKey ? 'Ctrl+' : '';
  // A sign may need Shift on one keyboard and none on another.
  const shift = shiftKey && (!isSign || isLetter) ? 'Shift+' : '';
  if (isSign && !ctrl && !letterKeys.on()) return null;
  const name = /^\d$/.test(key) ? 'Digit' : key === ' ' ? 'Space' : isLetter ? key.toUpperCase() : key;
  return ctrl + shift + name;
}

/** Goes to a field to type in it; a digit struck is the first thing typed. */
export function beginTyping(field: HTMLInputElement, key: string): void {
  if (/^\d$/.test(key)) field.value = key;
  field.focus();
}

const FIELDS = 'input:not([type=checkbox], [type=radio]), textarea, select';
const PRESSED_BY_KEY = 'button, a, summary, input, [role="slider"]';
/** Keys that also act from within a field: a clicker's, which no field needs. */
const EVERYWHERE = ['PageDown', 'PageUp'];
/** Keys that also act from within an empty field: nothing that is typed begins with a space. */
const BEFORE_TYPING = ['Space', 'Shift+Space'];

/**
 * Makes keys act while a component lives: not in fields, not in dialogs, and Space and Enter press the button they stand on.
 * A button pressed by pointer gives the keys back, so that Space goes on with the lesson and does not press it once more.
 */
export function useShortcuts(shortcuts: readonly Shortcut[]): void {
  const document = inject(DOCUMENT);
  const strike = (event: KeyboardEvent) => {
    const target = event.target as HTMLElement;
    if (event.defaultPrevented || document.querySelector('dialog[open], mat-dialog-container')) return;
    const name = keyOf(event);
    if (name === null) return;
    const isInput = target instanceof HTMLInputElement && target.matches(FIELDS);
    const leavesField = isInput && (EVERYWHERE.includes(name) || (BEFORE_TYPING.includes(name) && target.value === ''));
    if (target.closest(FIELDS) && !leavesField) {
      if (name === 'Escape') target.blur();
      return;
    }
    if (/Space|Enter/.test(name) && !leavesField && target.closest(PRESSED_BY_KEY)) return;
    for (const { left, right, repeats, act } of shortcuts) {
      const place = Math.max(left.indexOf(name), right.indexOf(name));
      if (place < 0 || (event.repeat && !repeats)) continue;
      event.preventDefault();
      return act(place, event.key);
    }
  };
  const release = (event: MouseEvent) => {
    const button = (event.target as Element).closest<HTMLElement>('button, summary');
    const byPointer = Boolean((event as Partial<PointerEvent>).pointerType);
    if (byPointer && button === document.activeElement && !button?.closest('dialog, [data-roving]')) button?.blur();
  };
  document.addEventListener('keydown', strike);
  document.addEventListener('click', release);
  inject(DestroyRef).onDestroy(() => {
    document.removeEventListener('keydown', strike);
    document.removeEventListener('click', release);
  });
}
