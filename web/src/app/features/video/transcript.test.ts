import { provideRouter } from '@angular/router';
import * as downloads from '../../shared/download';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { render, textOf, until } from '../../testing/render';
import { sessionDetail, takeOf } from '../../testing/session';
import { Transcript } from './transcript';

jest.mock('../../shared/download', () => ({ ...jest.requireActual('../../shared/download'), download: jest.fn() }));

const { lesson } = sessionDetail();
const take = takeOf(lesson, 1, {
  said: 'Hello.',
  cues: [
    { fromMs: 0, toMs: 1500, text: 'Hello to all of you.' },
    { fromMs: 1800, toMs: 3500, text: 'Look at my clock.' },
  ],
  cuesEdited: true,
});

async function open(takes: unknown = { takes: [take] }) {
  jest.mocked(downloads.download).mockClear();
  new FakeServer({ 'GET /api/lessons/l1': { id: 'l1', revision: 1, lesson }, 'GET /api/lessons/l1/recording': takes });
  return render(Transcript, { id: 'l1' }, [provideRouter([])]);
}

const textOfFile = (blob: Blob) =>
  new Promise<string>((resolve) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result));
    reader.readAsText(blob);
  });

test('what is said stands part by part with its time, a paragraph for each beat, and goes out as text and as captions', async () => {
  const { page, press } = await open();
  await until(() => page.querySelector('h2') !== null);
  expect(textOf(page.querySelector('main')!)).toMatch(
    /^The lamp at the harbour light 0:00 Beginning Hello to all of you\. Look at my clock\. 0:04 /,
  );
  expect(page.querySelector('main')!.lang).toBe('en-GB');
  await press('Save as text');
  await press('Captions as a file');
  const [text, captions] = jest.mocked(downloads.download).mock.calls as [Blob, string][];
  expect([text![1], captions![1]]).toEqual(['The-lamp-at-the-harbour-light-transcript.txt', 'The-lamp-at-the-harbour-light-captions.vtt']);
  expect(await textOfFile(text![0])).toMatch(
    /^The lamp at the harbour light\n\n0:00 Beginning\nHello to all of you\. Look at my clock\.\n/,
  );
  expect(await textOfFile(captions![0])).toMatch(/^WEBVTT[\s\S]*00:00:01\.800 --> 00:00:03\.500[^\n]*\nLook at my clock\./);
});

test('a generated voice is said to be one', async () => {
  const { page } = await open({ takes: [{ ...take, generated: true }] });
  await until(() => textOf(page).includes('Spoken by a generated sound'));
});

test('a recording that cannot be fetched says so', async () => {
  const { page } = await open(new Refusal('NOT_FOUND', 'There is no such lesson.', 404));
  await until(() => textOf(page).includes('There is no such lesson.'));
});
