import fc from 'fast-check';
import { begin, redo, step, undo, type History } from './history';

test('any number of steps can be undone and redone, and undoing everything is where it began', () => {
  fc.assert(
    fc.property(fc.array(fc.integer(), { maxLength: 200 }), (values) => {
      const steps = values.reduce<History<number>[]>((all, value) => [...all, step(value)(all.at(-1)!)], [begin(0)]);
      let back = steps.at(-1)!;
      const seen = [back.now];
      while (back.past.length) seen.push((back = undo(back)).now);
      expect(back.now).toBe(0);
      let forth = back;
      while (forth.future.length) forth = redo(forth);
      expect(forth).toEqual(steps.at(-1));
      expect(undo(begin(1))).toEqual(begin(1));
    }),
  );
});

test('a new step forgets what had been undone; a step that changes nothing is none', () => {
  const undone = undo(step('b')(begin('a')));
  expect(step('c')(undone)).toEqual({ past: ['a'], now: 'c', future: [] });
  expect(step('a')(undone)).toBe(undone);
});
