import { fireEvent, screen } from '@testing-library/dom';
import { heard, render } from '../testing/render';
import { PointAt } from './point-at';

async function pointing(tool: string) {
  const place = await render(PointAt, { tool, arcBy: 5 });
  const { marked, gapped, arcBy } = place.component as PointAt;
  return { ...place, marks: heard(marked), gaps: heard(gapped), arcBy };
}

test('a numeral is ringed, a ray and an arc are drawn, by number and without dragging', async () => {
  const ring = await pointing('ring');
  await ring.choose('At', '4');
  await ring.press('Ring it');
  expect(ring.marks).toEqual([{ type: 'numeral', numeral: 4 }]);
  await ring.setInputs({ tool: 'ray' });
  await ring.choose('To minute', '37');
  await ring.press('Draw it');
  expect(ring.marks[1]).toEqual({ type: 'ray', deg: 222 });
  await ring.setInputs({ tool: 'gap' });
  await ring.choose('At', '12');
  await ring.press('Leave it out');
  expect(ring.gaps).toEqual([12]);
  expect(ring.marks).toHaveLength(2);
});

test('an arc goes clockwise between places of its count; one of no length cannot be drawn', async () => {
  const arc = await pointing('arc');
  fireEvent.click(arc.find.getByRole('combobox', { name: 'From minute' }));
  await arc.settled();
  expect(screen.getAllByRole('option')).toHaveLength(12);
  fireEvent.click(screen.getByRole('option', { name: '0' }));
  await arc.choose('From minute', '50');
  await arc.choose('To minute', '10');
  await arc.press('Draw it');
  expect(arc.marks).toEqual([{ type: 'arc', fromMinute: 50, toMinute: 10, by: 5 }]);
  await arc.choose('To minute', '50');
  expect(arc.find.getByRole('button', { name: 'Draw it' })).toHaveProperty('disabled', true);
  fireEvent.click(arc.find.getByText('quarters'));
  await arc.settled();
  await arc.press('Draw it');
  expect(arc.arcBy()).toBe(15);
  expect(arc.marks[1]).toEqual({ type: 'arc', fromMinute: 0, toMinute: 15, by: 15 });
});
