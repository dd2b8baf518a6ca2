import { render } from '../testing/render';
import { ReadAloud } from './read-aloud';

/** A device that speaks with some voices, and what it was told to say. */
function deviceWith(...voices: { readonly lang: string; readonly localService: boolean }[]) {
  const said: { text: string; lang: string; onend: () => void }[] = [];
  const speech = Object.assign(new EventTarget(), {
    getVoices: () => voices,
    speak: (words: (typeof said)[number]) => said.push(words),
    cancel: jest.fn(),
  });
  class Utterance {
    lang = '';
    onend = () => undefined;
    constructor(readonly text: string) {}
  }
  Object.assign(globalThis, { speechSynthesis: speech, SpeechSynthesisUtterance: Utterance });
  return { said, speech };
}
afterEach(() => {
  Reflect.deleteProperty(globalThis, 'speechSynthesis');
  Reflect.deleteProperty(globalThis, 'SpeechSynthesisUtterance');
});
const open = (text = 'What time is it?', language = 'en-GB') => render(ReadAloud, { text, language });

test('the question is read in a voice of its language, and stops when it is pressed again', async () => {
  const { said } = deviceWith({ lang: 'de-DE', localService: true }, { lang: 'en_US', localService: true });
  const { press, find, settled } = await open();
  await press('Read it to me');
  expect(said).toMatchObject([{ text: 'What time is it?', lang: 'en_US' }]);
  await press('Stop');
  expect(find.getByRole('button', { name: 'Read it to me' })).toBeTruthy();
  await press('Read it to me');
  said.at(-1)!.onend();
  await settled();
  expect(find.getByRole('button', { name: 'Read it to me' })).toBeTruthy();
});

test('without a voice of the language on the device itself there is no button', async () => {
  deviceWith({ lang: 'de-DE', localService: true }, { lang: 'en-GB', localService: false });
  expect((await open()).find.queryByRole('button')).toBeNull();
});

test('a device that cannot speak at all has no button', async () => {
  expect((await open()).find.queryByRole('button')).toBeNull();
});

test('the next question ends what is being read', async () => {
  const { speech } = deviceWith({ lang: 'en-GB', localService: true });
  const { press, setInputs, find } = await open();
  await press('Read it to me');
  speech.cancel.mockClear();
  await setInputs({ text: 'And now?' });
  expect(speech.cancel).toHaveBeenCalled();
  expect(find.getByRole('button', { name: 'Read it to me' })).toBeTruthy();
});
