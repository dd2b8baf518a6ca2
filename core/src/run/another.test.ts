import fc from 'fast-check';
import { rungOf } from '../ladder/registry.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { kindOf, QUESTION_KIND_IDS, QUESTION_KINDS, type Item } from '../question-kinds/registry.js';
import { seededRng } from '../random/rng.js';
import { predictionsOf } from '../question-kinds/predictions.js';
import { anotherLike } from './another.js';

const items = QUESTION_KIND_IDS.flatMap((id) => QUESTION_KINDS[id].samples as readonly Item[]);

test('another question is of the same kind and rung, and asks for no time of the dial that was asked', () => {
  fc.assert(
    fc.property(fc.constantFrom(...items), fc.nat(), (item, seed) => {
      const another = anotherLike(item, [item], 'another', DEFAULT_SETTINGS, seededRng(seed));
      expect(another).toMatchObject({ id: 'another', kind: item.kind });
      const times = (one: Item) => kindOf(one).timesOf(one);
      expect(rungOf([...times(item), ...times(another)])).toBe(rungOf(times(item)));
      for (const at of times(another)) expect(times(item).map((one) => one % 43_200)).not.toContain(at % 43_200);
    }),
  );
});

test('half past is asked again as half past, of another hour, in the same way, with the same ideas’ chances; so is a 24-hour reading', () => {
  const cases: readonly Item[] = [
    { id: 'a', kind: 'read-dial', timeSec: 7 * 3600 + 1800 },
    { id: 'b', kind: 'read-dial', timeSec: 12 * 3600 + 2700 },
    { id: 'c', kind: 'read-dial', timeSec: 15 * 3600 + 1800, as: 'of-24' },
    { id: 'd', kind: 'set-dial', timeSec: 8 * 3600 + 900, from: 'words', hands: 'free' },
  ];
  for (const item of cases) {
    for (let seed = 1; seed <= 20; seed++) {
      const again = anotherLike(item, [item], 'again', DEFAULT_SETTINGS, seededRng(seed));
      const { timeSec: before, ...way } = item as Extract<Item, { timeSec: number }>;
      const { timeSec: at } = again as Extract<Item, { timeSec: number }>;
      expect(again).toMatchObject({ ...way, id: 'again' });
      expect(at % 3600).toBe(before % 3600);
      expect(Math.floor(at / 3600) % 12).not.toBe(Math.floor(before / 3600) % 12);
      const ideas = (one: Item) => [...predictionsOf(one, DEFAULT_SETTINGS).keys()];
      expect(ideas(again)).toEqual(expect.arrayContaining(ideas(item)));
    }
  }
});

test('where every time of the rung was asked already, one is asked once more', () => {
  const asked = Array.from({ length: 12 }, (_, hour): Item => ({ id: `h${hour}`, kind: 'read-dial', timeSec: hour * 3600 }));
  expect(anotherLike(asked[0]!, asked, 'again', DEFAULT_SETTINGS, seededRng(1))).toMatchObject({ id: 'again', kind: 'read-dial' });
});
