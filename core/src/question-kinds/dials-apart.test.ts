import { poolOf } from '../diagnosis/pool.js';
import { gearedPose, turnDeg, type Pose } from '../dial/pose.js';
import { RUNG_IDS, RUNGS } from '../ladder/registry.js';
import { draftLesson } from '../draft/draft.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { sheetVersions } from '../paper/versions.js';
import { seededRng } from '../random/rng.js';
import { anotherLike } from '../run/another.js';
import { toSecondOfDay } from '../time/second-of-day.js';
import { kindOf, QUESTION_KINDS, type Item } from './registry.js';

const offDeg = (a: Pose, b: Pose) => [Math.abs(turnDeg(a.hourDeg, b.hourDeg)), Math.abs(turnDeg(a.minuteDeg, b.minuteDeg))] as const;

/** Dials that a question shows beside each other. */
function dialsOf(item: Item): Pose[] {
  const view = kindOf(item).viewOf(item, DEFAULT_SETTINGS);
  const cards = 'choices' in view ? view.choices : 'cards' in view ? view.cards : [];
  return cards.flatMap((card) => ('text' in card ? [] : [card]));
}

/** What is wrong with the dials of a question: two that can hardly be told apart, or a key that does not show the time. */
function faultsOf(item: Item): string[] {
  const dials = dialsOf(item);
  const twins = dials.flatMap((one, place) =>
    dials.slice(place + 1).flatMap((other) => {
      const [hour, minute] = offDeg(one, other);
      const isSame = hour < 0.01 && minute < 0.01;
      return isSame || hour > 5.99 || minute > 5.99 ? [] : [`${JSON.stringify(one)} beside ${JSON.stringify(other)}`];
    }),
  );
  if (item.kind !== 'choose-one' || dials.length === 0) return twins;
  const { chosen } = QUESTION_KINDS['choose-one'].keyOf(item, DEFAULT_SETTINGS);
  const [key = -1] = chosen;
  const [hour, minute] = offDeg(dials[key]!, gearedPose(toSecondOfDay(item.timeSec)));
  return hour + minute < 0.01 ? twins : [...twins, `key ${key} of ${JSON.stringify(item)}`];
}

test.each(RUNG_IDS)(
  '%s: two dials of a question are clearly two, and the key shows the time; made, asked again, on paper, drafted',
  (id) => {
    const rung = RUNGS[id];
    const kinds = rung.kinds.filter((kind) =>
      ['choose-one', 'choose-all', 'odd-one-out', 'match', 'order-times', 'possible-dial'].includes(kind),
    );
    for (let seed = 1; seed <= 1; seed++) {
      const made = [...poolOf(60, rung, DEFAULT_SETTINGS, seed, kinds)];
      const again = made.slice(0, 8).map((item) => anotherLike(item, made, 'again', DEFAULT_SETTINGS, seededRng(seed)));
      const versions = sheetVersions(made.slice(0, 3), id, DEFAULT_SETTINGS, 4, seed).flatMap(({ items }) => items);
      const drafted = draftLesson({ rung: id, minutes: 5, delivery: 'live', settings: DEFAULT_SETTINGS, seed }).items;
      for (const item of [...made, ...again, ...versions, ...drafted]) expect(faultsOf(item)).toEqual([]);
    }
  },
);

test('of twin dials in a lesson of before, the one that shows the time is the key', () => {
  const twins = [{ hourDeg: 315, minuteDeg: 150, numerals: 'all' }, { hourDeg: 312.5, minuteDeg: 150, numerals: 'all' }] as const; // prettier-ignore
  const item: Item = { id: 'old', kind: 'choose-one', timeSec: 10 * 3600 + 25 * 60, from: 'display', choices: twins };
  expect(kindOf(item).keyOf(item, DEFAULT_SETTINGS)).toEqual({ kind: 'choose-one', chosen: [1] });
});
