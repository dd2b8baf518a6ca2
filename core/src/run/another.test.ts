import fc from 'fast-check';
import { rungOf } from '../ladder/registry.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { kindOf, QUESTION_KIND_IDS, QUESTION_KINDS, type Item } from '../question-kinds/registry.js';
import { seededRng } from '../rehearsal/rng.js';
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

test('where every time of the rung was asked already, one is asked once more', () => {
  const asked = Array.from({ length: 12 }, (_, hour): Item => ({ id: `h${hour}`, kind: 'read-dial', timeSec: hour * 3600 }));
  expect(anotherLike(asked[0]!, asked, 'again', DEFAULT_SETTINGS, seededRng(1))).toMatchObject({ id: 'again', kind: 'read-dial' });
});
