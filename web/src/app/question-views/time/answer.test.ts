import type { ViewOf } from '@zeitpunkt/core/question-kinds/registry';
import { questionView } from '../../testing/desk';
import { render } from '../../testing/render';
import { TimeAnswerView } from './answer';

const view = questionView().view as ViewOf<'read-dial'>;
async function open(given: unknown = null) {
  const screen = await render(TimeAnswerView, { view, given });
  const box = (name: string) => screen.find.getByRole<HTMLInputElement>('textbox', { name });
  const digits = () => [box('Hour').value, box('Minutes').value];
  return { ...screen, box, digits, view: screen.component as TimeAnswerView };
}

test('digits go into the hour and on to the minutes by themselves, from the pad as from a keyboard', async () => {
  const { press, digits, view: answer, type, box } = await open();
  for (const digit of ['7', '3', '0']) await press(digit);
  expect(digits()).toEqual(['7', '30']);
  await press('5'); // there is no third digit
  expect(digits()).toEqual(['7', '30']);
  await type(box('Hour'), '12');
  expect(document.activeElement).toBe(box('Minutes'));
  expect(answer.response()).toEqual({ kind: 'read-dial', hour: '12', minute: '30' });
});

test('a 1 may become 10, 11 or 12, so it waits for a second digit', async () => {
  const { press, digits } = await open();
  await press('1');
  await press('0');
  await press('0');
  expect(digits()).toEqual(['10', '0']);
});

test('a number that no clock has is told so, and may be sent: it says what is thought of clocks', async () => {
  const { type, box, find, view: answer } = await open();
  await type(box('Hour'), '9');
  await type(box('Minutes'), '60');
  expect(find.queryByRole('status')).toBeNull();
  await type(box('Minutes'), '99');
  expect(find.getByRole('status').textContent).toContain('No clock has a 99.');
  expect([answer.ready(), answer.response()]).toEqual([true, { kind: 'read-dial', hour: '9', minute: '99' }]);
});

test('nothing but digits gets in, and what was given is there to be changed', async () => {
  const { type, digits, box } = await open({ kind: 'read-dial', hour: '8', minute: '5' });
  expect(digits()).toEqual(['8', '5']);
  await type(box('Minutes'), '3x0:');
  expect(digits()).toEqual(['8', '30']);
});

test('rubbing out goes back from the minutes into the hour; an empty answer cannot be given', async () => {
  const { press, digits, find, view: answer } = await open({ kind: 'read-dial', hour: '7', minute: '3' });
  find.getByRole('textbox', { name: 'Minutes' }).focus();
  await press('Rub out');
  expect(digits()).toEqual(['7', '']);
  await press('Rub out');
  expect([digits(), answer.ready()]).toEqual([['', ''], false]);
});

test('a new view of the same question keeps what is typed, the next question starts empty', async () => {
  const { press, digits, setInputs } = await open();
  await press('7');
  await setInputs({ view: { ...view } });
  expect(digits()).toEqual(['7', '']);
  await setInputs({ view: { ...view, itemId: 'q2' } });
  expect(digits()).toEqual(['', '']);
});
