import type { Lesson } from '@zeitpunkt/core';
import { checkLesson } from '@zeitpunkt/core/checker-rules/check';
import { heard, render, textOf } from '../../testing/render';
import { sessionDetail } from '../../testing/session';
import { checkedWords, Findings } from './findings';

const { lesson } = sessionDetail();

test('what is found about the whole lesson is told with its reason; mended, it is gone', async () => {
  const long: Lesson = { ...lesson, targetMinutes: 9 };
  const found = (one: Lesson) => checkLesson(one).filter(({ at }) => at === null);
  const { find, press, component, setInputs, page } = await render(Findings, { findings: found(long) });
  const mends = heard((component as Findings).mend);
  const row = find.getByText(/and 9 were wanted/).closest('li')!;
  expect(textOf(row)).toContain('What is too long is cut off at the end');
  await press(/^Plan \d+ minutes?$/);
  await setInputs({ findings: found(mends[0]!.mend.apply(long)) });
  expect(page.textContent).not.toContain('were wanted');
});

test.each([
  [0, 0, 'Checked: nothing to mend'],
  [1, 0, 'Checked: 1 thing to look at'],
  [0, 1, 'Checked: 1 thing to look at, at a beat with a “!”'],
  [0, 3, 'Checked: 3 things to look at, all at beats with a “!”'],
  [1, 1, 'Checked: 2 things to look at, 1 of them at a beat with a “!”'],
])('%i about the lesson and %i at beats: %s', (ofTheLesson, ofBeats, words) => {
  expect(checkedWords(ofTheLesson, ofBeats)).toBe(words);
});
