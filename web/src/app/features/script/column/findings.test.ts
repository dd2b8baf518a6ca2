import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { checkLesson } from '@zeitpunkt/core/checker-rules/check';
import { heard, render, textOf } from '../../../testing/render';
import { sessionDetail } from '../../../testing/session';
import { Findings } from './findings';

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
