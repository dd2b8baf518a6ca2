import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { brotliCompressSync, brotliDecompressSync } from 'node:zlib';
import { School } from '../testing/school.js';

const distDir = mkdtempSync(join(tmpdir(), 'zeitpunkt-web-'));
const webDir = join(distDir, 'browser');
mkdirSync(webDir);
writeFileSync(join(distDir, 'desk-beginning.json'), '["/main-GN6R4WXJ.js"]');
mkdirSync(join(webDir, 'media'));
writeFileSync(
  join(webDir, 'index.html'),
  '<head><meta content="BUILD_ID"></head><script src="main-1.js"></script><app-root ngCspNonce="CSP_NONCE">',
);
writeFileSync(join(webDir, 'main-1.js'), 'start();');
writeFileSync(join(webDir, 'main-GN6R4WXJ.js'), 'start();');
writeFileSync(join(webDir, 'main-1.js.br'), brotliCompressSync('start();'));
let school: School;
beforeAll(async () => {
  school = await new School().start({ webDir });
});
afterAll(async () => {
  await school.remove();
  rmSync(distDir, { recursive: true });
});
const get = (url: string) => school.browser().send('GET', url);

test('every place of the application gets the page, whatever places there are, with a nonce of its own and the build', async () => {
  const [one, two] = [await get('/'), await get('/review/some-id?tab=2')];
  for (const reply of [one, two]) {
    expect(reply.statusCode).toBe(200);
    expect(reply.headers['content-type']).toContain('text/html');
    expect(reply.body).toMatch(/content="[0-9a-f]{16}"/);
    expect(reply.body).not.toContain('CSP_NONCE');
  }
  const nonce = (body: string) => /ngCspNonce="([^"]+)"/.exec(body)![1]!;
  expect(nonce(one.body)).not.toBe(nonce(two.body));
  expect(one.headers['content-security-policy']).toContain(nonce(one.body));
});

test('pages come under a strict policy with nothing inline allowed, data under a stricter one', async () => {
  const page = await get('/console/some-room');
  const policy = String(page.headers['content-security-policy']);
  expect(policy).toContain("default-src 'none'");
  expect(policy).toContain(`style-src 'self' 'nonce-${/ngCspNonce="(\w+)"/.exec(page.body)?.[1]}'`);
  expect(policy).not.toMatch(/unsafe|https?:|\*/);
  for (const [path, status] of [
    ['/api/me', 200],
    ['/api/lessons', 401],
    ['/api/no-such-place', 404],
  ] as const) {
    const { statusCode, headers } = await get(path);
    expect([path, statusCode]).toEqual([path, status]);
    expect(headers['content-security-policy']).toMatch(/^default-src 'none';.*frame-ancestors 'none'/);
    expect(headers['x-content-type-options']).toBe('nosniff');
  }
});

test('a file carries few words beside its content, and a worker made of it may reach nothing but the school', async () => {
  const { headers } = await get('/main-GN6R4WXJ.js');
  expect(headers).toMatchObject({
    'content-security-policy': "default-src 'self'; frame-ancestors 'none'",
    'x-content-type-options': 'nosniff',
    'cross-origin-resource-policy': 'same-origin',
  });
  expect(JSON.stringify(headers).length).toBeLessThan(600);
});

test('nothing may be shown within another page but the preview of a question, and that only within our own', async () => {
  const framedBy = async (path: string) =>
    /frame-ancestors ([^;]+)/.exec(String((await get(path)).headers['content-security-policy']))?.[1];
  expect(await framedBy('/desk')).toBe("'none'");
  expect(await framedBy('/lessons/1')).toBe("'none'");
  expect(await framedBy('/desk/preview')).toBe("'self'");
});

test('what the build has compressed is sent as it lies there, to whoever takes it', async () => {
  const reply = await school.browser().send('GET', '/main-1.js', undefined, { 'accept-encoding': 'br' });
  expect(reply.headers).toMatchObject({ 'content-encoding': 'br', 'content-type': expect.stringContaining('javascript') });
  expect(brotliDecompressSync(reply.rawPayload).toString()).toBe('start();');
  expect((await get('/main-1.js.br')).statusCode).toBe(404);
});

test('the page of the desk asks for all that the desk begins with at once; other pages do not', async () => {
  const preload = '<link rel="modulepreload" href="/main-GN6R4WXJ.js">';
  for (const path of ['/desk', '/desk/preview']) expect((await get(path)).body).toContain(preload);
  for (const path of ['/', '/today', '/desks']) expect((await get(path)).body).not.toContain('modulepreload');
});

test('a file whose name changes with its content is kept for good, any other is asked about each time', async () => {
  const kept = async (url: string) => (await get(url)).headers['cache-control'];
  expect(await kept('/main-GN6R4WXJ.js')).toContain('immutable');
  // The worker that keeps the desk on a device: one of yesterday would hold an update back.
  expect(await kept('/main-1.js')).toBe('no-cache');
});

test('files are served as they are; files, data and sockets that are not there are not found', async () => {
  expect((await get('/main-1.js')).body).toBe('start();');
  for (const url of ['/index.html', '/main-2.js', '/api/nothing', '/ws/nothing', '/../package.json'])
    expect({ url, status: (await get(url)).statusCode }).toEqual({ url, status: 404 });
});
