/* eslint-disable @typescript-eslint/no-restricted-imports -- the page for readers is looked at */
import { ERROR_CODES } from '@zeitpunkt/core/errors';
import { readFileSync } from 'node:fs';
import { PAGE_CODES } from './page-codes';

test('the list of error codes for readers ends with those of a device, and none means two things', () => {
  const written = readFileSync('docs/error-codes.md', 'utf8').split('## On a device itself')[1]!;
  const rows = [...written.matchAll(/^\| ([A-Z_]+) +\| (.+?) +\|$/gm)].map(([, code, meaning]) => [code, meaning]);
  expect(rows).toEqual(Object.entries(PAGE_CODES));
  expect(Object.keys(PAGE_CODES).filter((code) => code in ERROR_CODES)).toEqual([]);
});
