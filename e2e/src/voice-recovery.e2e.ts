import { expect, test } from './lib/classroom.js';
import { HEARS_VOICE, openRecorder, recordedFor, speak, takesOf, VOICE_TITLE } from './lib/voice-lesson.js';
import { ScriptPage } from './lib/script.js';

test.use({ launchOptions: HEARS_VOICE, ownProcess: true });

test('a server that dies and a tab that is closed in the midst of a take lose at most five seconds of it', async ({ teacher, server }) => {
  await teacher.signIn();
  const { page } = teacher;
  await openRecorder(teacher);
  const url = page.url();

  await test.step('the server dies: two takes stay on this device, and go out when it is back', async () => {
    await page.getByRole('button', { name: 'Try the microphone' }).click();
    await expect(page.getByRole('meter', { name: 'Level' })).toBeVisible();
    await speak(page, 'Space', '1 Set');
    await server.kill();
    await speak(page, 'Space', '2 Set');
    await page.keyboard.press('Escape');
    await expect(page.getByText('The server cannot be reached: 2 takes kept on this device, sent later.')).toBeVisible();
    await expect(page.getByText('2 of 4 steps')).toBeVisible();
    await server.start();
    await expect(page.getByText('All takes are saved')).toBeVisible();
    const takes = await takesOf(page);
    expect(takes.map(({ at }) => at.beatId).sort()).toEqual(['b1', 'b2']);
  });

  await test.step('the tab is closed after eight seconds: the next one has all but the last five', async () => {
    await page.getByRole('button', { name: '3 Ask' }).click();
    const began = Date.now();
    await page.keyboard.press('Space');
    const shownSec = await recordedFor(page, 8);
    await page.close();
    const wholeMs = Date.now() - began;
    const next = await teacher.page.context().newPage();
    await next.goto(url);
    await expect(next.getByText('A take that was cut off was kept as far as it had come')).toBeVisible();
    await expect(next.getByText('3 of 4 steps')).toBeVisible();
    await expect(next.getByText('All takes are saved')).toBeVisible();
    const kept = (await takesOf(next)).find(({ at }) => at.beatId === 'b3')!;
    expect(kept.durationMs).toBeGreaterThan((shownSec - 5) * 1000);
    expect(kept.durationMs).toBeLessThan(wholeMs);

    const second = await teacher.page.context().newPage();
    await second.goto(url);
    await expect(second.getByText('Another window of this browser is recording.')).toBeVisible();
    await expect(second.getByRole('button', { name: 'Record', exact: true })).toBeDisabled();
    await next.close();
    await second.getByRole('button', { name: 'record here' }).click();
    await expect(second.getByRole('button', { name: 'Record', exact: true })).toBeEnabled();

    await test.step('a take of a device that broke is kept as far as the server has it', async () => {
      await second.getByRole('button', { name: 'Try the microphone' }).click();
      await expect(second.getByRole('meter', { name: 'Level' })).toBeVisible();
      await second.getByRole('button', { name: '5 Answer' }).click();
      await second.keyboard.press('Space');
      await recordedFor(second, 6);
      await second.close();
      const other = await teacher.page.context().newPage();
      // Another device has nothing of it in its own store.
      await other.addInitScript(() => indexedDB.deleteDatabase('zeitpunkt-voice'));
      await other.goto(url);
      await expect(other.getByText('A take was cut off on another device.')).toBeVisible();
      await other.getByRole('button', { name: 'Keep what there is of it' }).click();
      await expect(other.getByText('4 of 4 steps')).toBeVisible();
    });
  });
});

test('without MediaRecorder, with a microphone that is refused, missing or pulled out, and after the script has changed', async ({
  teacher,
}) => {
  const { page } = teacher;
  await page.addInitScript(() => {
    Reflect.deleteProperty(window, 'MediaRecorder');
    const real = navigator.mediaDevices.getUserMedia.bind(navigator.mediaDevices);
    navigator.mediaDevices.getUserMedia = async (wish) => {
      const refusal = sessionStorage.getItem('refusal');
      if (refusal) throw new DOMException('', refusal);
      const stream = await real(wish);
      Object.assign(window, { track: stream.getAudioTracks()[0] });
      return stream;
    };
  });
  await teacher.signIn();
  await openRecorder(teacher);
  const refuse = (name: string) => page.evaluate((one) => sessionStorage.setItem('refusal', one), name);
  const alert = page.getByRole('alert');
  for (const [name, sentence] of [
    ['NotAllowedError', 'This browser may not use the microphone.'],
    ['NotFoundError', 'No microphone was found.'],
    ['NotReadableError', 'The microphone is used by another program.'],
  ] as const) {
    await refuse(name);
    await page.keyboard.press('Space');
    await expect(alert).toContainText(sentence);
  }
  await refuse('');
  await speak(page, 'Space', '1 Set');
  await page.evaluate(() => (window as unknown as { track: MediaStreamTrack }).track.dispatchEvent(new Event('ended')));
  await expect(alert).toContainText('The microphone was pulled out. What was said up to then is kept');
  await expect(page.getByText('1 of 4 steps')).toBeVisible();
  await expect(page.getByText('All takes are saved')).toBeVisible();
  const [take] = await takesOf(page);
  expect(take!.mime).toBe('audio/webm;codecs=opus');
  expect(take!.durationMs).toBeGreaterThan(1500);

  await test.step('the words of the step change: its take is not used, and can be made again', async () => {
    await page.getByRole('link', { name: 'Script', exact: true }).click();
    await page.getByLabel('Words to say').fill('The mail boat leaves later today.');
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await new ScriptPage(page).more('Record');
    await expect(page.getByText('1 step changed since its take')).toBeVisible();
    await expect(
      page.getByText(
        /The script has changed since this take, so it is not used\. You said: “The mail boat leaves at quarter past three\.”/,
      ),
    ).toBeVisible();
    await speak(page, 'r', '1 Set');
    await page.keyboard.press('Escape');
    await expect(page.getByText('1 of 4 steps')).toBeVisible();
    await expect(page.getByText('1 step changed since its take')).toBeHidden();
  });

  await test.step('the step is taken out of the script: its take is told, and deleted when that is wanted', async () => {
    await page.getByRole('link', { name: 'Script', exact: true }).click();
    await new ScriptPage(page).choose(/1 Set/);
    await page.getByRole('button', { name: 'Take out', exact: true }).click();
    await expect(page.getByText('Saved', { exact: true })).toBeVisible();
    await new ScriptPage(page).more('Record');
    await expect(page.getByText('1 take belongs to a step that the script does not have any more.')).toBeVisible();
    await page.getByRole('button', { name: 'Delete it' }).click();
    await page.getByRole('dialog').getByRole('button', { name: 'Delete', exact: true }).click();
    await expect(page.getByText(/1 take belongs to a step/)).toBeHidden();
    expect(await takesOf(page)).toEqual([]);
  });
});

test('a browser that cannot make videos says so and offers own pace', async ({ teacher }) => {
  const { page } = teacher;
  await page.addInitScript(() => Reflect.deleteProperty(window, 'VideoEncoder'));
  await teacher.signIn();
  await openRecorder(teacher);
  await page.goto(`${page.url().replace(/record$/, 'video')}`);
  await expect(page.getByText('This browser cannot make videos.')).toBeVisible();
  await page.getByRole('link', { name: 'Give at own pace' }).click();
  await expect(page.getByRole('heading', { name: `Give “${VOICE_TITLE}” at own pace` })).toBeVisible();
});
