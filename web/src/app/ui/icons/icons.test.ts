/* eslint-disable @typescript-eslint/no-restricted-imports -- the sources themselves are looked at */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ICONS } from './icons';

const APP = join(__dirname, '../..');
const sources = readdirSync(APP, { recursive: true })
  .map(String)
  .filter((path) => /\.(ts|html)$/.test(path) && !/\.test\.ts$|ui\/icons\//.test(path))
  .map((path) => readFileSync(join(APP, path), 'utf8'));

test('every icon that a place names is there, and every one that is there is used: all of them are loaded with the first view', () => {
  const named = new Set(sources.flatMap((text) => [...text.matchAll(/svgIcon="([^"]+)"/g)].map(([, name]) => name!)));
  expect([...named].filter((name) => !(name in ICONS))).toEqual([]);
  const all = sources.join('\n');
  expect(Object.keys(ICONS).filter((name) => !all.includes(`'${name}'`) && !all.includes(`"${name}"`))).toEqual([]);
});
