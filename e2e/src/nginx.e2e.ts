import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, PHONE, test } from './lib/classroom.js';
import { freePorts, Nginx } from './lib/nginx.js';
import { OwnSchool } from './lib/own-school.js';
import { PupilPage } from './lib/pupil.js';
import { TeacherPage } from './lib/teacher.js';

// The files of deploy/ with Debian's nginx and systemd's own way to hand over a socket.
test.use({ ignoreHTTPSErrors: true });

test('behind nginx a lesson is taught over HTTPS; cookies, lines, addresses, uploads and sound get through', async ({ browser, page }) => {
  const [http, https, port] = await freePorts(3);
  const url = `https://localhost:${https}`;
  const school = new OwnSchool(true);
  await school.start('--port', String(port), '--host', '127.0.0.1', '--proxy', '--url', url);
  const nginx = await Nginx.start('nginx.conf', {
    'listen 80;': `listen 127.0.0.1:${http};`,
    'listen 443 ssl;': `listen 127.0.0.1:${https} ssl;`,
    'server_name zeit.school.test;': 'server_name localhost;',
    'server 127.0.0.1:4780;': `server 127.0.0.1:${port};`,
  });
  try {
    const sent = await page.request.get(`http://localhost:${http}/desk`, { maxRedirects: 0 });
    expect([sent.status(), sent.headers()['location']]).toEqual([301, 'https://localhost/desk']);

    const teacher = new TeacherPage(page, { url });
    await teacher.signInByForm();
    await teacher.to('Lessons');
    const cookies = await page.context().cookies();
    expect(cookies).toMatchObject([{ name: 'zp_teacher', secure: true, httpOnly: true, sameSite: 'Strict' }]);
    const key = await teacher.openRoom();
    const context = await browser.newContext({ ...PHONE, ignoreHTTPSErrors: true });
    const elin = new PupilPage(await context.newPage(), 'Elin', { url });
    await elin.join(key);
    await teacher.begin();
    await teacher.goTo('Ask');
    await elin.read('8', '30');
    await elin.expectKept();
    await expect(teacher.wall).toContainText('Elin');
    await context.close();

    const got = await page.evaluate(async () => {
      const bytes = { 'content-type': 'application/octet-stream' };
      const post = (path: string, body: BodyInit, headers: Record<string, string> = { 'content-type': 'application/json' }) =>
        fetch(path, { method: 'POST', body, headers });
      const codeOf = async (reply: Response) => [reply.status, ((await reply.json()) as { code: string }).code];
      const [{ id: classId }] = (await (await fetch('/api/classes')).json()) as [{ id: string }];
      const junk = (megabytes: number) => new Uint8Array(megabytes * 2 ** 20).fill(120);
      const large = await codeOf(await post(`/api/classes/${classId}/results/look`, junk(20), bytes));
      const tooLarge = (await post(`/api/classes/${classId}/results/look`, junk(51), bytes)).status;

      // A second of silence, as a take of the first step of a lesson.
      const lessons = (await (await fetch('/api/lessons')).json()) as { id: string }[];
      const { lesson } = (await (await fetch(`/api/lessons/${lessons[0]!.id}`)).json()) as { lesson: { beats: { id: string }[] } };
      const wav = new DataView(new ArrayBuffer(44 + 16_000));
      [...'RIFF'].forEach((sign, index) => wav.setUint8(index, sign.charCodeAt(0)));
      [...'WAVEfmt '].forEach((sign, index) => wav.setUint8(8 + index, sign.charCodeAt(0)));
      [...'data'].forEach((sign, index) => wav.setUint8(36 + index, sign.charCodeAt(0)));
      for (const [at, value] of [
        [4, 36 + 16_000],
        [16, 16],
        [24, 8000],
        [28, 16_000],
        [40, 16_000],
      ] as const)
        wav.setUint32(at, value, true);
      for (const [at, value] of [
        [20, 1],
        [22, 1],
        [32, 2],
        [34, 16],
      ] as const)
        wav.setUint16(at, value, true);
      const id = crypto.randomUUID();
      const takes = `/api/lessons/${lessons[0]!.id}/takes`;
      await post(takes, JSON.stringify({ id, at: { beatId: lesson.beats[0]!.id, step: 'beat' }, mime: 'audio/wav' }));
      await post(`${takes}/${id}/sound/0?mime=audio/wav&bytes=${wav.byteLength}`, wav.buffer, bytes);
      const part = await fetch(`${takes}/${id}/sound`, { headers: { range: 'bytes=44-143' } });
      const sound = [part.status, part.headers.get('content-range'), (await part.arrayBuffer()).byteLength];
      return { large, tooLarge, sound };
    });
    expect(got).toEqual({
      large: [400, 'RESULTS_UNREADABLE'],
      tooLarge: 413,
      sound: [206, 'bytes 44-143/16044', 100],
    });

    // Whoever claims to come from elsewhere is known by the address that they come from.
    const statuses: number[] = [];
    for (let turn = 0; turn < 9; turn++) {
      const reply = await page.request.post(`${url}/api/sign-in`, {
        data: { signInName: 'somebody', password: 'not this one' },
        headers: { 'x-forwarded-for': `198.51.100.${turn}` },
      });
      statuses.push(reply.status());
    }
    expect(statuses).toEqual([...Array.from({ length: 8 }, () => 401), 429]);
  } finally {
    await nginx.stop();
    await school.stop();
  }
});

test('many schools behind one nginx: each begins with the first request, knows nothing of another, sleeps, and goes on', async ({
  page,
}) => {
  const [http, https] = await freePorts(2);
  const [terns, gannets] = [new OwnSchool(true), new OwnSchool(false)];
  const urlOf = (school: string) => `https://${school}.localhost:${https}`;
  const nginx = await Nginx.start('nginx-schools.conf', {
    'listen 80;': `listen 127.0.0.1:${http};`,
    'listen 443 ssl;': `listen 127.0.0.1:${https} ssl;`,
    'server_name .zeit.district.test;': 'server_name .localhost;',
    '\\.zeit\\.district\\.test$': '\\.localhost$',
    '/run/zeitpunkt/': `${terns.folder}/`,
  });
  const settings = (school: string) => ({ ZEITPUNKT_PROXY: '1', ZEITPUNKT_URL: urlOf(school), ZEITPUNKT_IDLE: '0.03' });
  terns.onSocket(join(terns.folder, 'terns.sock'), settings('terns'));
  gannets.onSocket(join(terns.folder, 'gannets.sock'), settings('gannets'));
  const sleeps = 'it sleeps until somebody comes';
  try {
    for (const school of [terns, gannets]) await expect.poll(() => school.count('Listening on')).toBe(1);
    const teacher = new TeacherPage(page, { url: urlOf('terns') });
    await teacher.signInByForm();
    await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();
    expect(terns.count('Ctrl+C')).toBe(1);
    expect(existsSync(join(gannets.dataDir, 'zeitpunkt.sqlite'))).toBe(false); // nobody asked for it

    await page.goto('about:blank');
    await expect.poll(() => terns.count(sleeps)).toBe(1);
    await expect.poll(() => terns.count('Listening on')).toBe(2);
    await page.goto(urlOf('terns'));
    await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible(); // signed in as before
    expect(terns.count('Ctrl+C')).toBe(2);

    await page.goto(urlOf('gannets'));
    await expect(page.getByRole('heading', { name: /first start|Set up/i })).toBeVisible();
    expect(gannets.count('Ctrl+C')).toBe(1);

    await page.goto(urlOf('puffins'));
    await expect(page.getByText('There is no school at this address')).toBeVisible();
  } finally {
    await nginx.stop();
    await Promise.all([terns.stop(), gannets.stop()]);
  }
});

test('every unit of deploy/ is one that systemd takes', () => {
  const deploy = join(import.meta.dirname, '../../deploy');
  const folder = mkdtempSync(join(tmpdir(), 'zeitpunkt-units-'));
  try {
    const units = readdirSync(deploy).filter((name) => /\.(service|socket|timer)$/.test(name));
    expect(units).toHaveLength(5);
    const files = units.map((name) => {
      // A template is looked at as one of its schools. Programs lie where they lie on this machine.
      const file = join(folder, name.replace('@.', '@terns.'));
      const text = readFileSync(join(deploy, name), 'utf8')
        .replace('/usr/bin/node', process.execPath)
        .replace('/usr/bin/curl', '/bin/true');
      writeFileSync(file, text);
      return file;
    });
    const { status, stderr } = spawnSync('systemd-analyze', ['verify', ...files], { encoding: 'utf8' });
    expect([status, stderr]).toEqual([0, '']);
  } finally {
    rmSync(folder, { recursive: true });
  }
});
