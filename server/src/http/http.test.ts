import { ERROR_CODES } from '@zeitpunkt/core';
import { LessonSchema } from '@zeitpunkt/contract';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { STARTER_LESSONS } from '../features/lessons/starter.js';
import { readLesson } from '../features/lessons/read-lesson.js';
import { School } from '../testing/school.js';
import { STATUS_OF } from './problems.js';

test('pages come under a strict policy, with the nonce of the reply in the page and nothing inline allowed; data under a stricter one', async () => {
  const webDir = mkdtempSync(join(tmpdir(), 'zeitpunkt-web-'));
  writeFileSync(join(webDir, 'index.html'), '<app-root ngCspNonce="CSP_NONCE"></app-root>');
  const school = await new School().start({ webDir });
  const page = await school.browser().send('GET', '/console/some-room');
  const policy = String(page.headers['content-security-policy']);
  const nonce = /ngCspNonce="(\w+)"/.exec(page.body)?.[1];
  expect(policy).toContain("default-src 'none'");
  expect(policy).toContain(`style-src 'self' 'nonce-${nonce}'`);
  expect(policy).not.toMatch(/unsafe|https?:|\*/);
  const missing = await school.browser().send('GET', '/no/such/place?with=query');
  expect(missing.json()).toMatchObject({ code: 'NOT_FOUND', status: 404, detail: 'There is nothing at /no/such/place.' });
  for (const [path, status] of [
    ['/api/me', 200],
    ['/api/lessons', 401],
    ['/api/no-such-place', 404],
  ] as const) {
    const { statusCode, headers } = await school.browser().send('GET', path);
    expect([path, statusCode]).toEqual([path, status]);
    expect(headers['content-security-policy']).toMatch(/^default-src 'none';.*frame-ancestors 'none'/);
    expect(headers['x-content-type-options']).toBe('nosniff');
  }
  await school.remove();
  rmSync(webDir, { recursive: true });
});

test('the list of error codes for readers is the list of the core with the statuses of the server', () => {
  const rows = Object.entries(ERROR_CODES).map(
    ([code, meaning]) => `| ${code} | ${STATUS_OF[code as keyof typeof STATUS_OF]} | ${meaning} |`,
  );
  const written = readFileSync('docs/error-codes.md', 'utf8')
    .split('\n')
    .filter((line) => /^\| [A-Z_]+ \|/.test(line));
  expect(written).toEqual(rows);
});

test('the published schema of lesson files is the one that is checked', () => {
  expect(JSON.parse(readFileSync('docs/lesson-file.schema.json', 'utf8'))).toEqual(JSON.parse(JSON.stringify(LessonSchema)));
});

test('starter lessons follow the format; a lesson with an unknown part is refused with the path to it', () => {
  for (const file of STARTER_LESSONS) expect(readLesson(file)).toBe(file);
  const [lesson] = STARTER_LESSONS as [{ settings: object }];
  const broken = { ...lesson, settings: { ...lesson.settings, betweenRule: 'nearest' } };
  expect(() => readLesson(broken)).toThrow(
    expect.objectContaining({
      code: 'LESSON_UNREADABLE',
      message: expect.stringMatching(/\/settings\/betweenRule.*passed, step-back, zone/),
    }),
  );
});
