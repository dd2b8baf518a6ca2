import { provideRouter } from '@angular/router';
import { fireEvent, screen } from '@testing-library/dom';
import { FileLook } from '../../shared/file-look';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { heard, render, textOf, until } from '../../testing/render';
import { FileChoice } from '../file-choice';
import { HandSteps } from '../hand-steps';
import { QrCode } from '../qr-code';
import { Chips } from './chips';
import { DayField } from './day-field';
import { Failing } from './states';

test('a name goes to another list by its menu, says which lists there are, and back where it was moved by hand', async () => {
  const chips = [
    { id: 'a', name: 'Anouk', link: ['/insight', 'a'], moved: false },
    { id: 'b', name: 'Bashir', link: null, moved: true },
  ];
  const lists = [
    { key: 'one', name: 'Says the coming hour' },
    { key: 'two', name: 'Further up' },
  ];
  const { find, press, component, settled } = await render(Chips, { chips, lists, key: 'one', label: 'Says the coming hour' }, [
    provideRouter([]),
  ]);
  const moved = heard((component as Chips).moved);
  expect(find.getByRole('link', { name: 'Anouk' }).getAttribute('href')).toBe('/insight/a');
  expect(find.queryByRole('link', { name: 'Bashir' })).toBeNull();
  await press(/Move Anouk/);
  const menu = () => screen.getAllByRole('menuitem').map((item) => textOf(item));
  expect(menu()).toEqual(['to “Further up”']); // not to where it is, and it was not moved
  fireEvent.click(screen.getByRole('menuitem', { name: 'to “Further up”' }));
  await settled();
  await until(() => screen.queryAllByRole('menuitem').length === 0);
  await press(/Move Bashir/);
  expect(menu()).toEqual(['to “Further up”', 'back to where it was proposed']);
  fireEvent.click(screen.getByRole('menuitem', { name: /back to where/ }));
  expect(moved).toEqual([
    { id: 'a', key: 'two' },
    { id: 'b', key: null },
  ]);
});

test('hands turn by presses beside the dial: geared ones together, free ones alone and by five degrees', async () => {
  const geared = await render(HandSteps, { turning: { hands: 'geared', at: 12_600 } }); // half past three
  const turning = () => (geared.component as HandSteps).turning();
  await geared.press('Long hand on five minutes');
  expect(turning()).toMatchObject({ at: 12_900 });
  await geared.press('Short hand on to the next numeral');
  expect(turning()).toMatchObject({ at: 16_500 });
  await geared.press('Short hand back to the numeral before');
  await geared.press('Long hand back one minute');
  expect(turning()).toMatchObject({ at: 12_840 });
  await geared.setInputs({ turning: { hands: 'free', pose: { hourDeg: 105, minuteDeg: 180 } } });
  await geared.press('Short hand on a little');
  expect(turning()).toMatchObject({ pose: { hourDeg: 110, minuteDeg: 180 } });
});

test('an address as squares has quiet around it, and is named where its text is not for reading out', async () => {
  const { page, setInputs } = await render(QrCode, { text: 'https://zeit.school.test/desk' });
  const svg = page.querySelector('svg')!;
  const side = Number(svg.getAttribute('viewBox')!.split(' ')[2]);
  const squares = [
    ...svg
      .querySelector('path')!
      .getAttribute('d')!
      .matchAll(/M(\d+) (\d+)/g),
  ].map(([, x, y]) => [Number(x), Number(y)]);
  expect(Math.min(...squares.flat())).toBe(4);
  expect(Math.max(...squares.flat())).toBe(side - 5);
  expect(svg.getAttribute('aria-label')).toBe('QR code of https://zeit.school.test/desk');
  await setInputs({ name: 'Anouk’s card' });
  expect(svg.getAttribute('aria-label')).toBe('Anouk’s card');
});

test('a file is looked through first: what is wrong with it is said, and looking can be stopped', async () => {
  const server = new FakeServer({ 'POST /api/look': new Refusal('FILE_UNREADABLE', 'This file is not text in UTF-8.', 400) });
  const look = new FileLook<object>(100);
  const { chooseFile, find, page, component, press, settled } = await render(FileChoice, { look, label: 'Choose a file', accept: '.csv' });
  const chosen = heard((component as FileChoice).chosen);
  await chooseFile('Choose a file', new File(['Anouk'], 'class.csv'));
  expect(chosen.map(({ name }) => name)).toEqual(['class.csv']);
  await look.look(chosen[0]!, '/api/look');
  await settled();
  expect(textOf(find.getByRole('alert'))).toContain('This file is not text in UTF-8.');
  expect(textOf(page)).toContain('class.csv');
  await look.look(new File(['x'.repeat(200)], 'large.csv'), '/api/look');
  expect(look.problem()).toMatch(/large\.csv/);
  expect(server.sent('POST /api/look')).toHaveLength(1); // what is too large is not sent
  server.on('POST /api/look', () => new Promise(() => undefined));
  const looking = look.look(chosen[0]!, '/api/look');
  await settled();
  await press('Stop');
  expect([await looking, look.busy(), look.problem()]).toEqual([null, null, null]);
});

test('a day is typed as days are written here, and what is none chooses nothing', async () => {
  const { find, component, setInputs } = await render(DayField, { label: 'First day', day: '2026-12-04', from: '2026-11-30' });
  const chosen = heard((component as DayField).chosen);
  const field = find.getByRole<HTMLInputElement>('textbox', { name: 'First day' });
  const fourth = field.value;
  await setInputs({ day: '2026-12-01' });
  const write = (text: string) => {
    fireEvent.input(field, { target: { value: text } });
    fireEvent.change(field);
  };
  write('nonsense');
  expect(chosen).toEqual([]);
  write(fourth);
  expect(chosen).toEqual(['2026-12-04']);
});

test('what stands in the way is told at once, with the press that tries again only where that can help', async () => {
  const { find, press, setInputs, component } = await render(Failing, { problem: 'The server cannot be reached just now.' });
  const again = heard((component as Failing).again);
  expect(textOf(find.getByRole('alert'))).toBe('The server cannot be reached just now.');
  await press('Try again');
  expect(again).toHaveLength(1);
  await setInputs({ canTryAgain: false });
  expect(find.queryByRole('button')).toBeNull();
});
