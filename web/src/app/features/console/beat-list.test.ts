import { MAT_DIALOG_DATA, MatDialogRef } from '@angular/material/dialog';
import { fireEvent } from '@testing-library/dom';
import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import { render, textOf } from '../../testing/render';
import { sessionDetail, stepOf, withRun } from '../../testing/session';
import { BeatList, type BeatListShown } from './beat-list';

const prepared = prepareLesson(sessionDetail().lesson);
const { run } = withRun({
  at: stepOf(2),
  trail: [
    { beatId: 'b1', atMs: 0 },
    { beatId: 'b2', atMs: 65_000 },
  ],
}).live.room;

test('every beat stands with what it was to take and what it took; one that is found is leapt to', async () => {
  const leaps: string[] = [];
  const shown: BeatListShown = { prepared, run, nowMs: 70_000, leap: (beatId) => leaps.push(beatId) };
  const dialog = { close: jest.fn() };
  const { settled, find, page } = await render(BeatList, {}, [
    { provide: MAT_DIALOG_DATA, useValue: shown },
    { provide: MatDialogRef, useValue: dialog },
  ]);
  const rows = () => [...page.querySelectorAll('tbody tr')].map((row) => textOf(row));
  expect(rows()[0]).toMatch(/1 Say Hello\. 0:0\d 1:05 , longer than planned/);
  expect(rows()[1]).toMatch(/2 Ask: read a dial, 7:30 0:0\d 0:05$/);
  expect(find.getByRole('button', { current: 'step' }).textContent).toContain('7:30');
  fireEvent.input(find.getByRole('searchbox'), { target: { value: '9:30' } });
  await settled();
  expect(rows()).toHaveLength(1);
  fireEvent.click(find.getByRole('button', { name: /set a dial, 9:30/ }));
  expect(leaps).toEqual(['b4']);
  expect(dialog.close).toHaveBeenCalled();
});
