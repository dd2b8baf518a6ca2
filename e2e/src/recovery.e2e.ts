import { expect, test } from './lib/classroom.js';

test.use({ ownProcess: true });

test('a killed server: every acknowledged answer is there, the room goes on, pages come back by themselves', async ({
  server,
  teacher,
  newPupil,
}) => {
  await teacher.signIn();
  const key = await teacher.openRoom();
  const anouk = await newPupil('Anouk');
  const bashir = await newPupil('Bashir');

  await test.step('in the lobby', async () => {
    await anouk.join(key);
    await server.kill();
    await expect(anouk.page.getByText('No line just now')).toBeVisible();
    await server.start();
    await expect(anouk.page.getByText('No line just now')).toBeHidden();
    await bashir.join(key);
    await expect(teacher.page.getByRole('button', { name: '2 of 26 are in' })).toBeVisible();
  });

  await teacher.begin();
  await teacher.goTo('Ask');
  await anouk.read('8', '30');
  await anouk.expectKept();

  await test.step('at an open question, with an answer given while the line is gone', async () => {
    await server.kill();
    await bashir.read('7', '30');
    await expect(bashir.page.getByText('Your answer is safe on this device')).toBeVisible();
    await bashir.page.close();
    await server.start();
    await expect(teacher.wall.getByRole('region', { name: /Another hour/ })).toContainText('8:30');
  });

  await test.step('a closed tab comes back to the same question and sends what it kept', async () => {
    const again = await bashir.reopen();
    await again.expectKept();
    await expect(teacher.wall.getByRole('region', { name: 'Right' })).toContainText('Bashir');
  });

  await test.step('at the reveal', async () => {
    await teacher.goTo('Answer');
    await expect(anouk.sentence).toBeVisible();
    await server.kill();
    await server.start();
    await teacher.goTo('Ask');
    await expect(anouk.stem).toHaveText('Set the hands to half past two.');
  });

  await teacher.end();
  await expect(teacher.page.getByRole('button', { name: /Anouk, question 1: partly/ })).toBeVisible();
  await expect(teacher.page.getByRole('button', { name: /^1 had everything right.*Bashir/ })).toBeVisible();
});

test('without a line the desk opens all the same, says what it waits for, and sends it once the line is back', async ({
  server,
  teacher,
  newPupil,
}) => {
  await teacher.signIn();
  const key = await teacher.openRoom();
  const anouk = await newPupil('Anouk', { serviceWorkers: 'allow' });
  await anouk.join(key);
  await teacher.begin();
  await teacher.goTo('Ask');
  await anouk.page.evaluate(() => navigator.serviceWorker.ready);

  const kept = await anouk.page.evaluate(async () => {
    const stores = await Promise.all((await caches.keys()).map((name) => caches.open(name)));
    return (await Promise.all(stores.map((store) => store.keys()))).flat().map(({ url }) => new URL(url).pathname);
  });
  // Every kind of question and every part of the desk, and nothing that is anybody's.
  expect(kept).toContain('/desk');
  expect(kept.filter((path) => path !== '/desk' && !/^\/(main|chunk|styles|media\/andika)[\w-]*\.(js|css|woff2)$/.test(path))).toEqual([]);
  expect(await anouk.page.evaluate(async () => (await (await fetch('/desk.webmanifest')).json()).start_url)).toBe('/desk');

  await server.kill();
  await anouk.read('7', '30');
  await expect(anouk.page.getByText('Your answer is safe on this device')).toBeVisible();
  await anouk.page.close();

  const again = await anouk.reopen();
  await expect(again.page.getByRole('heading', { name: 'There is no line just now' })).toBeVisible();
  await expect(again.page.getByText('Your answer waits here. It goes on by itself.')).toBeVisible();
  // Something to do meanwhile: from twenty past three to four o'clock.
  await again.turn('minute', 'PageUp', 8);
  await expect(again.page.getByText('Yes! That is it.')).toBeVisible();
  await server.start();
  await again.expectKept();
  await expect(teacher.wall.getByRole('region', { name: 'Right' })).toContainText('Anouk');
});

test('a desk whose parts could not be fetched is not stuck: it loads itself again and stands at the question', async ({
  teacher,
  newPupil,
}) => {
  await teacher.signIn();
  const key = await teacher.openRoom();
  const anouk = await newPupil('Anouk');
  await anouk.enterKey(key);
  await expect(anouk.page.getByRole('button', { name: 'Anouk' })).toBeVisible();
  const failed = anouk.page.waitForEvent('requestfailed');
  await anouk.page.route('**/*.js', (part) => part.abort());
  await anouk.page.getByRole('button', { name: 'Anouk' }).click();
  await failed;
  await expect(teacher.page.getByRole('button', { name: '1 of 26 are in' })).toBeVisible();
  await anouk.page.unroute('**/*.js');
  await teacher.begin();
  await teacher.goTo('Ask');
  await anouk.read('7', '30');
  await anouk.expectKept();
});

test('console and audience window come back to the same moment after a reload, and steer alike', async ({ teacher }) => {
  await teacher.signIn();
  await teacher.openRoom();
  const audience = await teacher.openAudience();
  await audience.emulateMedia({ reducedMotion: 'no-preference' });
  await teacher.begin();
  await teacher.goTo('Sweep');
  const minutes = async () => Number(await audience.locator('[data-role="minute-hand"]').getAttribute('data-deg'));
  await expect.poll(minutes).toBeGreaterThan(20);
  const before = await minutes();
  await audience.reload();
  await teacher.page.reload();
  await expect.poll(minutes).toBeGreaterThanOrEqual(before);
  await expect(teacher.place).toContainText('Sweep');
  await audience.keyboard.press('PageDown');
  await expect(teacher.place).toContainText('Mark');
  await audience.keyboard.press('Shift+Space');
  await expect(teacher.place).toContainText('Sweep');
  await teacher.page.keyboard.press('Space');
  await expect(teacher.place).toContainText('Mark');
});

test('a pupil comes with another device: the teacher says yes, and it takes over', async ({ teacher, newPupil }) => {
  await teacher.signIn();
  const key = await teacher.openRoom();
  const old = await newPupil('Kaia');
  await old.join(key);
  const fresh = await newPupil('Kaia');
  await fresh.enterKey(key);
  await expect(fresh.page.getByRole('button', { name: 'Leif' })).toBeVisible();
  await expect(fresh.page.getByRole('button', { name: 'Kaia' })).toBeHidden();
  await fresh.page.getByText('My name is not there').click();
  await fresh.page.getByRole('button', { name: 'Kaia' }).click();
  await expect(fresh.page.getByText('You are at the door, Kaia.')).toBeVisible();
  await teacher.page.getByRole('button', { name: 'Let Kaia in, who was on another device' }).click();
  await expect(fresh.page.getByText('You are in, Kaia.')).toBeVisible();
  await expect(old.page.getByText('You have come in on another device.')).toBeVisible();
});

test('a line that is open and carries nothing is noticed by both sides of the screen, and renewed', async ({ teacher, newPupil }) => {
  /** Lines that are open now swallow what they are given from then on; those that are opened later carry. */
  let isSwallowing = false;
  const throughProxy = (page: typeof teacher.page) =>
    page.routeWebSocket(/\/ws\//, (line) => {
      const server = line.connectToServer();
      const isOld = !isSwallowing;
      const carries = () => !(isOld && isSwallowing);
      line.onMessage((message) => carries() && server.send(message));
      server.onMessage((message) => carries() && line.send(message));
    });
  await throughProxy(teacher.page);
  await teacher.signIn();
  const key = await teacher.openRoom();
  const anouk = await newPupil('Anouk');
  await throughProxy(anouk.page);
  await anouk.join(key);
  await teacher.begin();
  isSwallowing = true;
  await teacher.goTo('Ask');
  // Nothing comes any more, and nothing says so: the page asks, hears no answer, and opens another line.
  await expect(anouk.stem).toBeVisible();
  await anouk.read('8', '30');
  await anouk.expectKept();
  await expect(teacher.wall.getByRole('region', { name: /Another hour/ })).toContainText('8:30');
});
