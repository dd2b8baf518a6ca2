import type { Lesson } from '@zeitpunkt/core';
import { heard, render, textOf } from '../../testing/render';
import { sessionDetail } from '../../testing/session';
import { Findings } from './findings';

const { lesson } = sessionDetail();

test('a finding names its beat, says why, and its mend is offered; mended, it is gone', async () => {
  const think = { id: 'b9', kind: 'think', itemId: 'q1', seconds: 3, text: '' } as const;
  const hurried: Lesson = { ...lesson, targetMinutes: 1, beats: [...lesson.beats.slice(0, 2), think, ...lesson.beats.slice(2)] };
  const { find, press, component, setInputs, page } = await render(Findings, { lesson: hurried });
  const mends = heard((component as Findings).mend);
  const row = find.getByText(/Only 3 seconds to think/).closest('li')!;
  expect(textOf(row)).toBe(
    'Worth a look, beat 3: Only 3 seconds to think. Whoever is slower than the quickest has no chance to answer. Give it 8 s',
  );
  await press('Give it 8 s');
  await setInputs({ lesson: mends[0]!.mend.apply(hurried) });
  expect(page.textContent).not.toContain('seconds to think');
});
