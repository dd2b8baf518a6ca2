import { RUNGS } from '../ladder/registry.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { secondOfDay } from '../time/second-of-day.js';
import { makeAbout } from './make-about.js';
import { predictionsOf } from './predictions.js';
import { textOfResponse } from './registry.js';
import { timeThatTells } from './telling-time.js';

const settings = DEFAULT_SETTINGS;

test('where two ideas read a dial alike, another time of the rung tells them apart', () => {
  const rung = RUNGS['quarter-to'];
  const asked = makeAbout('read-dial', secondOfDay(2, 45), rung, settings, 1)!;
  const at = (item: typeof asked) =>
    new Map([...predictionsOf(item, settings)].map(([id, [response]]) => [id, textOfResponse(item, response!, settings)]));
  expect(at(asked).get('coming-hour')).toBe(at(asked).get('nearest-hour'));
  const telling = timeThatTells(asked, ['coming-hour', 'nearest-hour'], rung, settings)!;
  expect(telling.item.kind).toBe('read-dial');
  expect(new Set(telling.answers).size).toBe(2);
});

test('two ideas that are one answer at every time of the rung are not told apart', () => {
  const rung = RUNGS['quarter-to'];
  const asked = makeAbout('read-dial', secondOfDay(2, 45), rung, settings, 1)!;
  expect(timeThatTells(asked, ['coming-hour', 'coming-hour'], rung, settings)).toBeNull();
});
