import { expect, test } from './lib/classroom.js';
import { dragOnDial } from './lib/drag-on-dial.js';
import { ScriptPage } from './lib/script.js';

test('a lesson from nothing: built on the dial, broken and mended, rehearsed, taught, and shown as the script has it', async ({
  teacher,
  newPupil,
  server,
}) => {
  test.slow();
  await teacher.signIn();
  const { page } = teacher;

  // Begun empty, and built: a title, hands that are taken and kept, an example that is typed, two questions.
  await page.goto(`${server.url}/ladder?rung=quarter-past`);
  await page.getByRole('combobox', { name: 'Length' }).click();
  await page.getByRole('option', { name: '5 min', exact: true }).click();
  await page.getByRole('button', { name: 'Begin empty' }).click();
  const script = new ScriptPage(page);
  await script.about();
  await script.write('Title', 'Quarter past on the pier');
  await script.closeAbout();
  const beats = script.beats();
  await script.insert('Show', { time: '8:00' });
  await script.write('Words to say', 'Here it is eight o’clock.');
  const stage = page.locator('zp-stage-player');
  await dragOnDial(stage, [
    [0, 0.9],
    [45, 0.9],
    [90, 0.9],
  ]);
  await page.getByRole('button', { name: 'Keep as beat' }).click();
  await script.write('Words to say', 'And now it is quarter past eight: the short hand has just left the 8.');
  await script.insert('Example', { time: 'quarter past 12' });
  await expect(page.getByLabel('Words of step 2')).toBeVisible();
  await script.insert('Question', { kind: 'Read a dial', time: 'quarter past 9' });
  await script.insert('Question', { kind: 'Set a dial', time: 'quarter past 4' });
  await script.insert('Say');
  await script.write('Words to say', 'Well done. Next time: quarter to.');
  await expect(beats).toHaveText([
    /1 Say/,
    /2 Set/,
    /3 Set/,
    /4 Worked example, 12:15/,
    /5 Ask: read a dial, 9:15/,
    /6 Think/,
    /7 Answer/,
    /8 Ask: set a dial, 4:15/,
    /9 Think/,
    /10 Answer/,
    /11 Say/,
  ]);

  // Broken on purpose: hardly time to think, and words that speak of another time than the hands show.
  await script.choose(/6 Think/);
  await script.write('Seconds', '3');
  const atThink = page.getByRole('list', { name: 'Found at this beat' });
  await expect(atThink).toContainText('seconds');
  await script.choose(/3 Set/);
  await script.write('Words to say', 'And now it is half past eight: the short hand has just left the 8.');
  const atSet = page.getByRole('list', { name: 'Found at this beat' });
  await expect(atSet).toContainText('The words say “half past eight”, and the dial shows quarter past eight.');
  await atSet.getByRole('button').first().click();
  await expect(atSet).toHaveCount(0);
  await script.choose(/6 Think/);
  await atThink.getByRole('button').first().click();
  await expect(atThink).toHaveCount(0);
  // What is found about the lesson as a whole is mended, too, until nothing is left.
  const [toLookAt, sound] = [page.getByRole('button', { name: /to look at$/ }), page.getByText('Nothing to mend')];
  for (let mends = 0; mends < 12 && !(await sound.isVisible()); mends++) {
    await toLookAt.click();
    const found = page.locator('.findings li, zp-findings li');
    const what = await found.first().locator('p').first().innerText();
    await found.first().getByRole('button').click();
    await expect(found.filter({ hasText: what })).toHaveCount(0);
  }
  await expect(sound).toBeVisible();
  await script.saved();
  const lessonId = page.url().split('/').at(-1)!;
  // What the script says and shows, from its printed page.
  const printed = await page.context().newPage();
  await printed.goto(`${server.url}/lessons/${lessonId}/print?how=long`);
  const onPaper = printed.locator('main ol > li');
  await expect(onPaper).toHaveCount(await beats.count());
  const said = await onPaper.locator('div p + p').allInnerTexts();
  const pictures = await onPaper.getByRole('img').evaluateAll((all) => all.map((one) => one.getAttribute('aria-label')!));
  await printed.close();

  // Rehearsed at the teacher's own pace, on a clock of the test's: half a minute a step.
  const rehearsal = await page.context().newPage();
  await rehearsal.clock.install();
  await rehearsal.goto(`${server.url}/lessons/${lessonId}/rehearse`);
  await rehearsal.getByRole('button', { name: 'Begin the rehearsal' }).click();
  const place = rehearsal.locator('.place');
  const stepCount = Number(/of (\d+)/.exec(await place.innerText())![1]);
  const answered: string[] = [];
  for (let step = 1; step <= stepCount; step++) {
    await expect(place).toContainText(`Step ${step} of ${stepCount}`);
    await rehearsal.clock.runFor(30_000);
    answered.push(...(await rehearsal.getByText(/[1-9]\d* of 24 answered/).allInnerTexts()));
    if (step < stepCount) await rehearsal.keyboard.press('PageDown');
  }
  expect(answered.length).toBeGreaterThan(3);
  await rehearsal.getByRole('button', { name: 'End the rehearsal' }).click();
  const took = rehearsal.getByRole('row');
  // The clock of the page goes on beside what is added to it.
  await expect(took.nth(1)).toContainText(/0:3\d/);
  await rehearsal.getByRole('button', { name: 'Take these times over' }).click();
  await expect(rehearsal.getByText('These times are the plan now.')).toBeVisible();
  await page.reload();
  await expect(beats.first()).toContainText(/0:3\d/);
  await rehearsal.getByRole('button', { name: 'Take it back' }).click();
  await expect(rehearsal.getByText('The plan is as it was.')).toBeVisible();
  await rehearsal.close();

  // Taught: what everybody saw and what the teacher read out is what the script has, step by step.
  await teacher.to('Lessons');
  const key = await teacher.openRoom('Quarter past on the pier');
  const audience = await teacher.openAudience();
  const runa = await newPupil('Runa');
  await runa.join(key);
  await teacher.begin();
  const heard: string[] = [];
  const seen: string[] = [];
  let hasRead = false;
  for (let step = 1; step <= stepCount; step++) {
    await expect(teacher.place).toContainText(`Step ${step} of ${stepCount}`);
    if ((await teacher.place.innerText()).startsWith('Ask')) {
      // The first question asks for the time. The desk may be a moment behind the console: its stem tells nothing of a later one.
      if (!hasRead) {
        await expect(runa.stem).toHaveText('What time is it?');
        await runa.read('9', '15');
        await runa.expectKept();
      }
      hasRead = true;
    }
    const notes = await page.locator('.notes').innerText();
    if (notes !== 'Nothing to say here.') heard.push(notes);
    // The audience window has followed when its picture is the one that the console's is.
    const onConsole = await page.locator('zp-script-stage').getByRole('img').first().getAttribute('aria-label');
    await expect(audience.getByRole('img').first()).toHaveAccessibleName(onConsole!);
    seen.push(onConsole!);
    if (step < stepCount) await page.keyboard.press('PageDown');
  }
  expect(heard).toEqual(said);
  let from = 0;
  for (const picture of pictures) {
    const found = seen.indexOf(picture, from);
    expect([picture, found >= 0]).toEqual([picture, true]);
    from = found;
  }
  await page.keyboard.press('f');
  await expect(page.getByRole('dialog', { name: 'Beats of this lesson' }).getByRole('row')).toHaveCount(pictures.length + 1);
});

test('in class: an extra example, the chart, a note to self, a skip and a leap, and the script goes on', async ({ teacher, newPupil }) => {
  await teacher.signIn();
  const { page } = teacher;
  const key = await teacher.openRoom();
  const wren = await newPupil('Wren');
  await wren.join(key);
  const audience = await teacher.openAudience();
  await teacher.begin();
  await teacher.goTo('Set');
  const seen = audience.getByRole('img').first();
  await page.getByLabel('Time', { exact: true }).fill('quarter to 8');
  await page.getByRole('button', { name: 'Explain' }).click();
  await expect(teacher.place).toContainText('Example beside the script: 7:45 quarter to eight');
  for (let step = 0; step < 30 && (await page.locator('.go strong').innerText()) !== 'Back to the script'; step++) {
    const before = await page.locator('.notes').innerText();
    await page.keyboard.press('PageDown');
    await expect(page.locator('.notes')).not.toHaveText(before);
  }
  for (const one of [seen, wren.page.getByRole('img').first()]) await expect(one).toHaveAccessibleName(/7 : 45/);
  await page.keyboard.press('PageDown');
  await expect(teacher.place).toContainText('Step 2 of');
  await page.keyboard.press('c');
  for (const one of [seen, wren.page.getByRole('img').first()]) await expect(one).toHaveAccessibleName(/half past seven/);
  await page.keyboard.press('c');
  await expect(seen).toHaveAccessibleName(/4 : 00/);

  await page.keyboard.press('b');
  await page.keyboard.type('Hold the lamp up');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Hold the lamp up', { exact: true })).toBeVisible();
  await expect(wren.page.getByText('Hold the lamp up')).toHaveCount(0);
  await page.keyboard.press('g');
  await expect(teacher.place).toContainText('Sweep');
  await expect(page.getByText('Hold the lamp up', { exact: true })).toHaveCount(0);
  await page.keyboard.press('q');
  await expect(teacher.place).toContainText('Ask');
  await page.keyboard.press('f');
  await page.getByRole('dialog').getByRole('button', { name: '2 Set' }).click();
  await expect(teacher.place).toContainText('Step 2 of');
  await expect(seen).toHaveAccessibleName(/4 : 00/);
  await page.reload();
  await expect(page.getByText('Hold the lamp up', { exact: true })).toBeVisible();
  await teacher.to('Lessons');
  await page.getByRole('button', { name: 'Leave it' }).click();
  const script = new ScriptPage(page);
  await script.open('Half past at the harbour');
  await script.choose(/2 Set/);
  await expect(script.field('Note to yourself')).toHaveValue('Hold the lamp up');
});

test('the weeks: a day off moves the rest, missed cards are caught up, and both are there the next time', async ({ teacher, server }) => {
  await teacher.signIn();
  const { page } = teacher;
  await page.goto(`${server.url}/ladder?view=calendar`);
  const days = page.getByRole('group', { name: 'Days' });
  const planned = days.getByRole('button', { name: /Any minute at the puffin count, planned/ });
  await page.getByRole('button', { name: 'Later weeks' }).click();
  const before = await planned.getAttribute('aria-label');
  await planned.click();
  await page.getByRole('button', { name: 'Day off', exact: true }).click();
  await page.getByRole('button', { name: 'Later weeks' }).click();
  await expect(planned).not.toHaveAttribute('aria-label', before!);
  const after = await planned.getAttribute('aria-label');
  await expect(page.getByText('Saved', { exact: true })).toBeVisible();

  await teacher.to('Today');
  await page.getByRole('link', { name: /^Show \d+ cards/ }).click();
  const next = page.locator('.acts button').last();
  await expect(page.getByRole('img').first()).toHaveAccessibleName(/Card 4/);
  const done = page.getByRole('link', { name: 'Done' });
  for (let step = 0; step < 60 && (await done.count()) === 0; step++) {
    const label = await page.getByRole('img').first().getAttribute('aria-label');
    await next.click();
    await expect(page.getByRole('img').first()).not.toHaveAttribute('aria-label', label!);
  }
  await done.click();
  await expect(page.getByText(/^Card \d+ was shown\./)).toBeVisible();
  await page.goto(`${server.url}/ladder?view=calendar`);
  await page.getByRole('button', { name: 'Later weeks' }).click();
  await page.getByRole('button', { name: 'Later weeks' }).click();
  await expect(planned).toHaveAttribute('aria-label', after!);
});
