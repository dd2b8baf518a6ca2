import { render, until } from '../testing/render';
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

test('where the device has no voice the teacher’s recorded words are heard, and stop; without any there is no press', async () => {
  const audio = { play: jest.fn(async () => undefined), pause: jest.fn(), onended: () => undefined };
  Object.assign(globalThis, { Audio: jest.fn(() => audio) });
  URL.createObjectURL = () => 'blob:sound';
  URL.revokeObjectURL = () => undefined;
  const fetched: string[] = [];
  window.fetch = async (url) => {
    fetched.push(String(url));
    return { ok: true, blob: async () => new Blob(['sound']) } as Response;
  };
  const { press, find, setInputs, settled } = await render(ReadAloud, { text: 'What time is it?', language: 'en-GB', takeId: 'take-1' });
  await press('Read it to me');
  await until(() => audio.play.mock.calls.length === 1);
  expect(fetched).toEqual(['/api/desk/takes/take-1']);
  audio.onended();
  await settled();
  await press('Read it to me');
  await until(() => audio.play.mock.calls.length === 2);
  await press('Stop');
  expect(audio.pause).toHaveBeenCalled();
  await setInputs({ takeId: null });
  expect(find.queryByRole('button')).toBeNull();
});
