import { ERROR_CODES } from '@zeitpunkt/core/errors';
import { COUNTS, LessonSchema, PARTS, RATES, SIZES } from '@zeitpunkt/contract';
import { readFileSync } from 'node:fs';
import { STARTER_LESSONS } from '../features/lessons/starter.js';
import { stored } from '../db/stored.js';
import { STATUS_OF } from './problems.js';

test('the list of error codes for readers is the list of the core with the statuses of the server', () => {
  const rows = Object.entries(ERROR_CODES).map(
    ([code, meaning]) => `| ${code} | ${STATUS_OF[code as keyof typeof STATUS_OF]} | ${meaning} |`,
  );
  const written = readFileSync('docs/error-codes.md', 'utf8')
    .split('\n')
    .filter((line) => /^\| [A-Z_]+ \| [0-9]{3} \|/.test(line));
  expect(written).toEqual(rows);
});

test('the published schema of lesson files is the one that is checked', () => {
  expect(JSON.parse(readFileSync('docs/lesson-file.schema.json', 'utf8'))).toEqual(JSON.parse(JSON.stringify(LessonSchema)));
});

test('the page of limits names every bound of the one list, as it is', () => {
  const page = readFileSync('docs/limits.md', 'utf8');
  const rows = page.split('\n').filter((line) => line.startsWith('| '));
  const count = [COUNTS, SIZES, RATES, PARTS].reduce((sum, list) => sum + Object.keys(list).length, 0);
  expect(rows).toHaveLength(count + 2 * 4); // with the head of each table and the line below it
  for (const { most, of } of [COUNTS, RATES, PARTS].flatMap((list) => Object.values<{ most: number; of: string }>(list)))
    expect(rows.some((row) => row.startsWith(`| ${of.replace(/,$/, '')} | ${most.toLocaleString('en')} |`))).toBe(true);
  for (const { bytes, of } of Object.values(SIZES)) {
    const size = bytes >= 2 ** 20 ? `${bytes / 2 ** 20} MB` : `${bytes / 2 ** 10} kB`;
    expect(rows).toContain(`| ${of} | ${size} |`);
  }
});

test('starter lessons follow the format; a lesson with an unknown part is refused with the path to it', () => {
  for (const file of STARTER_LESSONS) expect(stored.lesson(file)).toEqual(file);
  const [lesson] = STARTER_LESSONS as [{ settings: object }];
  const broken = { ...lesson, settings: { ...lesson.settings, betweenRule: 'nearest' } };
  expect(() => stored.lesson(broken)).toThrow(
    expect.objectContaining({
      code: 'LESSON_UNREADABLE',
      message: expect.stringMatching(/passed, step-back, zone at \/settings\/betweenRule/),
    }),
  );
});
