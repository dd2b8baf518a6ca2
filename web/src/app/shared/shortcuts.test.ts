import { TestBed } from '@angular/core/testing';
import { fireEvent } from '@testing-library/dom';
import { beginTyping, letterKeys, useShortcuts } from './shortcuts';

let struck: string[];
const field = (html: string) => {
  document.body.innerHTML = html;
  return document.body.querySelector<HTMLElement>('[data-here]')!;
};
/** Strikes a key and returns whether it was taken. */
const strike = (key: string, change: KeyboardEventInit = {}, on: HTMLElement = document.body) => !fireEvent.keyDown(on, { key, ...change });

beforeEach(() => {
  document.body.innerHTML = '';
  localStorage.clear();
  struck = [];
  const says = (what: string) => (place: number, key: string) => struck.push(`${what} ${place} ${key}`);
  TestBed.runInInjectionContext(() =>
    useShortcuts([
      { left: ['Space'], right: ['PageDown'], text: 'Go on', act: says('on') },
      { left: ['Shift+Space'], right: ['PageUp'], text: 'Go back', act: says('back') },
      { left: ['A', 'D'], right: ['ArrowLeft', 'ArrowRight'], text: 'Turn', repeats: true, act: says('turn') },
      { left: ['T'], right: ['Enter', 'Digit'], text: 'Type', act: says('type') },
      { left: ['Ctrl+Z'], right: ['.'], text: 'Undo', act: says('undo') },
      { left: ['Escape'], right: ['?'], text: 'Stop', act: says('stop') },
    ]),
  );
});

test('either half of the keyboard acts, in pairs, with capitals locked, and with Shift where a sign needs it', () => {
  for (const key of [' ', 'PageDown', 'a', 'D', 'ArrowRight', 't', '7', '.']) expect(strike(key)).toBe(true);
  expect(strike(' ', { shiftKey: true })).toBe(true);
  expect(strike('?', { shiftKey: true })).toBe(true);
  expect(strike('z', { metaKey: true })).toBe(true);
  const all = ['on 0  ', 'on 0 PageDown', 'turn 0 a', 'turn 1 D', 'turn 1 ArrowRight', 'type 0 t', 'type 1 7', 'undo 0 .'];
  expect(struck).toEqual([...all, 'back 0  ', 'stop 0 ?', 'undo 0 z']);
});

test.each([
  ['q', {}],
  ['a', { ctrlKey: true }],
  ['a', { altKey: true }],
  ['d', { shiftKey: true }],
  ['PageDown', { repeat: true }],
])('%s with %j is not taken', (key, change) => {
  expect(strike(key, change)).toBe(false);
  expect(struck).toEqual([]);
});

test('a held key turns on and on', () => {
  for (let times = 0; times < 3; times++) strike('d', { repeat: true });
  expect(struck).toHaveLength(3);
});

test('in a field keys write, Escape leaves it, and a clicker still steers', () => {
  const input = field('<input data-here value="quarter to">');
  input.focus();
  for (const key of [' ', 'a', '7', 'ArrowLeft', 'Enter']) expect(strike(key, {}, input)).toBe(false);
  strike('PageDown', {}, input);
  expect(struck).toEqual(['on 0 PageDown']);
  strike('Escape', {}, input);
  expect(document.activeElement).toBe(document.body);
  expect(strike('PageDown', {}, field('<select data-here></select>'))).toBe(false);
  expect(strike(' ', {}, field('<input data-here>'))).toBe(true); // nothing that is typed begins with a space
  expect(strike(' ', {}, field('<input type="radio" data-here>'))).toBe(false);
  expect(strike('a', {}, field('<input type="checkbox" data-here>'))).toBe(true);
});

test('Space and Enter press the button they stand on; nothing acts behind a dialog or after another has acted', () => {
  const button = field('<button data-here>Wipe</button>');
  for (const key of [' ', 'Enter']) expect(strike(key, {}, button)).toBe(false);
  expect(strike('t', {}, button)).toBe(true);
  field('<dialog open></dialog>');
  expect(strike('PageDown')).toBe(false);
  const slider = field('<div data-here></div>');
  slider.addEventListener('keydown', (event) => event.preventDefault());
  strike('ArrowLeft', {}, slider);
  expect(struck).toEqual(['type 0 t']);
});

test('a button pressed by pointer gives the keys back, one pressed by keyboard keeps the focus', () => {
  const button = field('<button data-here>Ring</button>');
  button.focus();
  fireEvent(button, new MouseEvent('click', { bubbles: true }));
  expect(document.activeElement).toBe(button);
  fireEvent(button, Object.assign(new MouseEvent('click', { bubbles: true }), { pointerType: 'touch' }));
  expect(document.activeElement).toBe(document.body);
});

test('letters, digits and signs can be turned off, and the other keys go on acting', () => {
  letterKeys.turn(false);
  for (const key of ['a', '7', '.', '?']) expect(strike(key)).toBe(false);
  for (const key of [' ', 'ArrowLeft', 'Escape']) expect(strike(key)).toBe(true);
  expect(strike('z', { ctrlKey: true })).toBe(true);
  letterKeys.turn(true);
  expect(strike('a')).toBe(true);
});

test('keys stop acting with the component they belong to', () => {
  TestBed.resetTestingModule();
  expect(strike('PageDown')).toBe(false);
});

test('a digit that begins a time is its first, a letter only goes to the field', () => {
  const input = field('<input data-here value="quarter to 8">') as HTMLInputElement;
  beginTyping(input, 't');
  expect([input.value, document.activeElement]).toEqual(['quarter to 8', input]);
  beginTyping(input, '0');
  expect(input.value).toBe('0');
});
