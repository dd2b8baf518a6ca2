import { ERROR_CODES } from '@zeitpunkt/core/errors';
import { LessonSchema } from '@zeitpunkt/contract';
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
