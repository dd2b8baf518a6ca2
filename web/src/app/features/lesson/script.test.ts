import { fireEvent } from '@testing-library/dom';
import { edited, type Lesson, type ScriptEdit } from '@zeitpunkt/core';
import { heard, render, textOf } from '../../testing/render';
import { sessionDetail } from '../../testing/session';
import { Script } from './script';

const { lesson } = sessionDetail();

async function open() {
  const screen = await render(Script, { lesson });
  const edits = heard<ScriptEdit>((screen.component as Script).edit);
  let now: Lesson = lesson;
  /** Carries out what was asked for last, as the page does. */
  const carryOut = async () => {
    now = edited(now, edits.at(-1)!);
    await screen.setInputs({ lesson: now });
    return now;
  };
  const names = () => [...screen.page.querySelectorAll('li strong')].map((one) => one.textContent);
  return { ...screen, carryOut, names };
}

test('beats are named with their times, moved, doubled and taken out', async () => {
  const { names, press, carryOut } = await open();
  expect(names()).toEqual(['Say', 'Ask: read a dial, 7:30', 'Answer: read a dial, 7:30', 'Ask: set a dial, 9:30']);
  await press('Move beat 1 down');
  await carryOut();
  expect(names()[1]).toBe('Say');
  await press('Double beat 2');
  await carryOut();
  expect(names().slice(1, 3)).toEqual(['Say', 'Say']);
  await press('Take beat 1 out');
  await carryOut();
  expect(names()).toEqual(['Say', 'Say', 'Ask: set a dial, 9:30']);
});

test('words are written in place, and how long they take to say is told while they are typed', async () => {
  const { find, page, carryOut } = await open();
  const words = find.getByRole<HTMLTextAreaElement>('textbox', { name: 'Words of beat 1' });
  fireEvent.input(words, { target: { value: Array.from({ length: 20 }, () => 'word').join(' ') } });
  await new Promise((resolve) => setTimeout(resolve));
  expect(textOf(page.querySelector('li')!)).toContain('10 s to say');
  fireEvent.change(words);
  expect((await carryOut()).beats[0]).toMatchObject({ kind: 'say', text: expect.stringContaining('word word') });
});

test('a time that is typed becomes a worked example, before the beat that is chosen; one that cannot be read is named', async () => {
  const { names, press, find, type, carryOut } = await open();
  const time = find.getByRole('textbox', { name: 'Worked example of' });
  await type(time, '25:00');
  await press('Put it in at the end');
  expect(find.getByRole('alert').textContent).toContain('There is no hour 25');
  await press('Put new beats in before beat 2');
  await type(time, 'quarter to 8');
  await press('Put it in before beat 2');
  await carryOut();
  expect(names()[1]).toBe('Worked example, 7:45');
});
