import { readFileSync } from 'node:fs';
import { expectAccessible } from './lib/accessible.js';
import { expect, test } from './lib/classroom.js';
import { openFilm } from './lib/film.js';
import { HEARS_VOICE, lessonIdOf, openRecorder, recordedFor, speak, takesOf } from './lib/voice-lesson.js';
import { ScriptPage } from './lib/script.js';

test.use({ launchOptions: HEARS_VOICE });

/** The captions of a file: when each begins and ends, in milliseconds. */
function captionsIn(file: string): (readonly [from: number, to: number])[] {
  const ms = (clock: string) => clock.split(':').reduce((sum, part) => sum * 60 + Number(part), 0) * 1000;
  return [...readFileSync(file, 'utf8').matchAll(/^([\d:.]+) --> ([\d:.]+)$/gm)].map(([, from, to]) => [ms(from!), ms(to!)] as const);
}

test('a lesson is recorded by one key, mended by beat, and made into videos that open again', async ({ teacher }) => {
  test.slow();
  const { page } = teacher;
  await page.addInitScript(() => Reflect.deleteProperty(window, 'showSaveFilePicker'));
  await teacher.signIn();
  await openRecorder(teacher);
  await expect(page.getByText(/Only your voice and this stage are recorded, never a pupil/)).toBeVisible();
  await page.getByRole('button', { name: 'Try the microphone' }).click();
  await expect(page.getByRole('meter', { name: 'Level' })).not.toHaveAttribute('aria-valuenow', '0');
  await expectAccessible(page);

  await test.step('one key goes from step to step; a pause is not in the take', async () => {
    for (const step of ['1 Set', '2 Set', '3 Ask']) await speak(page, 'Space', step);
    await page.keyboard.press('f');
    await expect(page.getByRole('timer')).toHaveText(/Paused at/);
    await page.keyboard.press('f');
    await speak(page, 'Space', '5 Answer');
    await page.keyboard.press('Space');
    await expect(page.getByText('4 of 4 steps')).toBeVisible();
    await expect(page.getByText('All takes are saved')).toBeVisible();
  });

  const first = await takesOf(page);
  expect(first.map(({ at }) => at.beatId).sort()).toEqual(['b1', 'b2', 'b3', 'b5']);
  for (const { durationMs, speech, cues, mime } of first) {
    expect(mime).toBe('audio/webm;codecs=opus');
    expect(durationMs).toBeGreaterThan(1000);
    expect(speech.length).toBeGreaterThan(0);
    expect(cues.length).toBeGreaterThan(0);
  }

  await test.step('what each beat took is its time in the script now', async () => {
    await page.getByRole('link', { name: 'Script', exact: true }).click();
    const url = `${new URL(page.url()).origin}/api/lessons/${lessonIdOf(page)}`;
    const beats = async () => (await (await page.request.get(url)).json()).lesson.beats;
    const take = first.find(({ at }) => at.beatId === 'b1')!;
    await expect.poll(async () => (await beats())[0].plannedSec).toBe(Math.round((take.durationMs + 350) / 1000));
    expect((await beats())[3]).toMatchObject({ kind: 'think', seconds: 4 });
    await new ScriptPage(page).more('Record');
  });

  await test.step('a beat is retaken, the take before is brought back, a caption is changed, and all is there after a reload', async () => {
    await page.getByRole('button', { name: /^2 Set/ }).click();
    const take = page.getByRole('heading', { name: /^Take of 2, / });
    const before = await take.innerText();
    await speak(page, 'r', '2 Set');
    await recordedFor(page, 7); // long enough to be told apart from the one before, and to become another time of the script
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Bring back the take before' }).click();
    await expect.poll(() => takesOf(page).then((takes) => takes.map(({ id }) => id).sort())).toEqual(first.map(({ id }) => id).sort());
    // The script is saved with the time that the retake took: the step at hand stays what it is.
    await expect(take).toHaveText(before);
    await page.getByRole('button', { name: /^Captions: .*from the script/ }).click();
    await page.getByLabel('Caption 1', { exact: true }).fill('The puffins are counted.');
    await page.getByLabel('Caption 1', { exact: true }).press('Enter');
    await expect(page.getByText(/changed by you/)).toBeVisible();
    await page.reload();
    await page.getByRole('button', { name: /^2 Set/ }).click();
    await expect(page.getByLabel('Caption 1', { exact: true })).toHaveValue('The puffins are counted.');
  });

  for (const [format, mime] of [
    ['MP4', 'video/mp4'],
    ['WebM, sound in Opus', 'video/webm'],
  ] as const) {
    await test.step(`as ${mime}: length, size, hands and sound`, async () => {
      await page.getByRole('link', { name: 'Make a video' }).click();
      await page.getByRole('combobox', { name: 'Kind of file' }).click();
      await page.getByRole('option', { name: new RegExp(`^${format}`) }).click();
      const [film] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Make the video' }).click()]);
      await expect(page.getByText(/^\s*The video is made/)).toBeVisible();
      const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Captions as a file' }).click()]);
      // The last two captions are those of the question and of its answer: between them is time to think.
      const captions = captionsIn(await file.path());
      const asked = captions.findLast(([, to], index) => (captions[index + 1]?.[0] ?? 0) - to > 4000)!;
      const opened = await openFilm(page, await film.path(), mime, {
        momentsMs: [captions[0]![0] + 300, captions[1]![0] + 300],
        stretchesMs: [captions[0]!, captions[1]!, [asked[1] + 500, asked[1] + 4000]],
        stagePart: 0.85,
      });
      expect(opened).toMatchObject({ width: 1280, height: 720 });
      const [, minutes, seconds] = /(\d+):(\d\d) long/.exec(await page.getByRole('region', { name: 'How it is made' }).innerText())!;
      expect(Math.abs(opened.durationMs - (Number(minutes) * 60 + Number(seconds)) * 1000)).toBeLessThan(600);
      expect(opened.durationMs).toBeGreaterThan(captions.at(-1)![1]);
      expect(opened.minuteDeg[0]).toBeCloseTo(90, -1);
      expect(opened.minuteDeg[1]).toBeCloseTo(180, -1);
      for (const db of opened.db.slice(0, 2)) expect(db).toBeGreaterThan(-40);
      expect(opened.db[2]).toBeLessThan(-60);
      await page.getByRole('link', { name: 'Back to the recording' }).click();
    });
  }

  await test.step('large, with a card at the question, into a file that is chosen; and cancelled, with nothing kept', async () => {
    await page.getByRole('link', { name: 'Make a video' }).click();
    await expect(page.getByRole('heading', { name: 'Chapters' })).toBeVisible();
    await expectAccessible(page);
    const length = () => page.getByRole('region', { name: 'How it is made' }).innerText();
    const counted = await length();
    await page.getByRole('radio', { name: 'a card asks to stop the film' }).click();
    await expect.poll(length).not.toBe(counted);
    await page.getByRole('radio', { name: /1920 × 1080/ }).click();
    await page.getByRole('radio', { name: 'as a file beside it' }).click();
    // A window that asks where to save is not for tests: it gives a file of the page's own.
    await page.evaluate(() => {
      const pick = async () => (await navigator.storage.getDirectory()).getFileHandle('chosen.mp4', { create: true });
      Object.assign(window, { showSaveFilePicker: pick });
    });
    await page.getByRole('button', { name: 'Make the video' }).click();
    await page.getByRole('button', { name: 'Cancel' }).click();
    await expect(page.getByText('Cancelled; nothing of it was kept.')).toBeVisible();
    const sizeOf = () =>
      page.evaluate(async () => (await (await (await navigator.storage.getDirectory()).getFileHandle('chosen.mp4')).getFile()).size);
    expect(await sizeOf()).toBe(0);
    await page.getByRole('button', { name: 'Make the video' }).click();
    await expect(page.getByText('It is in the file that you chose.')).toBeVisible();
    expect(await sizeOf()).toBeGreaterThan(50_000);
    const size = await page.evaluate(async () => {
      const video = document.createElement('video');
      const handle = await (await navigator.storage.getDirectory()).getFileHandle('chosen.mp4');
      video.src = URL.createObjectURL(await handle.getFile());
      await new Promise((resolve) => video.addEventListener('loadedmetadata', resolve, { once: true }));
      return [video.videoWidth, video.videoHeight];
    });
    expect(size).toEqual([1920, 1080]);
    await page.getByRole('link', { name: 'Back to the recording' }).click();
  });

  await test.step('captions, chapters and transcript', async () => {
    await page.getByRole('link', { name: 'Transcript' }).click();
    await expect(page.getByRole('heading', { name: /0:00 Watch: 3:15, 3:30/ })).toBeVisible();
    await expectAccessible(page);
    await expect(page.getByText(/The puffins are counted\./)).toBeVisible();
    const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name: 'Captions as a file' }).click()]);
    expect(readFileSync(await file.path(), 'utf8')).toMatch(/^WEBVTT\nLanguage: en-GB\n\n1\n00:00:0\d\.\d{3} --> 00:00:\d\d\.\d{3}\n/);
  });
});

test('a pupil hears the lesson: it goes on by itself, stops at the question, and goes on after the answer', async ({
  teacher,
  newPupil,
}) => {
  await teacher.signIn();
  const { page } = teacher;
  await teacher.fromMenu('Quarters at the tide gauge', 'Give at own pace');
  await expect(page.getByText('36 of 36 steps are recorded as they are now')).toBeVisible();
  await page.getByRole('radio', { name: /six pictures/ }).check();
  await page.getByRole('button', { name: /^Give it to/ }).click();
  await expect(page.getByText('0 of 26 are done')).toBeVisible();
  const key = (await page.getByRole('list', { name: 'Room key' }).getByRole('listitem').allInnerTexts()).map((text) => text.trim());
  const elin = await newPupil('Elin');
  await elin.enterKey(key);
  await elin.page.getByRole('button', { name: 'Elin' }).click();
  const desk = elin.page;
  const step = (number: number) => expect(desk.getByText(`Step ${number} of`)).toBeVisible();
  await step(1);
  await desk.getByRole('button', { name: 'Slower' }).click();
  await expect(desk.getByRole('button', { name: 'Slower' })).toHaveAttribute('aria-pressed', 'true');
  await desk.getByRole('button', { name: 'Slower' }).click();
  await desk.getByRole('button', { name: 'Listen' }).click();
  await expect(desk.getByText('So today we cut the hour into quarters.')).toBeVisible();
  await step(2);
  await expect(desk.getByRole('button', { name: 'Pause' })).toBeVisible();
  await expectAccessible(desk);

  await test.step('just before the question it is listened to again, and goes on to the question and no further', async () => {
    const places = desk.getByRole('slider', { name: /^Step/ });
    const last = Number(await places.getAttribute('max'));
    await places.fill(String(last - 1));
    await step(last - 1);
    await step(last);
    await expect(desk.getByText('Answer, and it goes on.')).toBeVisible();
    await expect(desk.getByRole('button', { name: 'Listen again' })).toBeVisible();
    await step(last);
    await elin.read('6', '15');
    await expect(elin.sentence).toBeVisible();
    await step(last + 2);
  });
});
