import { fireEvent, screen } from '@testing-library/dom';
import { TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { provideStore } from '@ngrx/store';
import { draftLesson } from '@zeitpunkt/core/draft/draft';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { provideState } from '@ngrx/store';
import { authFeature } from '../../state/auth';
import { CurrentClass } from '../../shared/current-class';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { render, textOf, until } from '../../testing/render';
import { ScriptPlace } from './script-place';

const LESSON = draftLesson({ rung: 'half-past', minutes: 5, delivery: 'live', settings: DEFAULT_SETTINGS, seed: 1 });
const SAVE = 'POST /api/lessons/l1/draft';

async function open(lesson: Lesson = LESSON) {
  localStorage.clear();
  const server = new FakeServer({
    'GET /api/lessons/l1': { id: 'l1', revision: 3, lesson },
    'GET /api/classes': [{ id: 'c1', name: 'Terns', pupilCount: 26 }],
    [SAVE]: (body: unknown) => ({ revision: (body as { revision: number }).revision + 1 }),
  });
  const place = await render(ScriptPlace, { id: 'l1' }, [provideRouter([]), provideStore(), provideState(authFeature)]);
  await until(() => place.page.querySelector('[data-beat]') !== null);
  await place.settled();
  const rows = () => [...place.page.querySelectorAll<HTMLElement>('[data-beat]')];
  const names = () => rows().map((row) => row.querySelector('strong')!.textContent!.trim());
  const chosen = () =>
    rows()
      .filter((row) => row.getAttribute('aria-pressed') === 'true')
      .map((row) => rows().indexOf(row) + 1);
  const choose = async (number: number, change: MouseEventInit = {}) => {
    fireEvent.click(rows()[number - 1]!, change);
    await place.settled();
  };
  const strike = async (key: string, change: KeyboardEventInit = {}) => {
    fireEvent.keyDown(rows()[chosen().at(-1)! - 1] ?? rows()[0]!, { key, ...change });
    await place.settled();
  };
  return { ...place, server, rows, names, chosen, choose, strike };
}

beforeAll(() => {
  (globalThis as { CSS?: unknown }).CSS ??= { escape: (text: string) => text };
});

test('beats are chosen by press and by arrows, several with Shift, moved with Alt, doubled and taken out, and all can be undone', async () => {
  const { names, chosen, choose, strike, press } = await open();
  const before = names();
  await choose(7);
  await strike('ArrowDown', { shiftKey: true });
  expect(chosen()).toEqual([7, 8]);
  await strike('ArrowUp', { altKey: true });
  const plain = (all: readonly (string | undefined)[]) => all.map((name) => name!.replace(/^\d+ /, ''));
  expect(plain(names().slice(5, 8))).toEqual(plain([before[6], before[7], before[5]]));
  expect(chosen()).toEqual([6, 7]);
  await strike('Delete');
  expect(names()).toHaveLength(before.length - 2);
  await press('Undo');
  await press('Undo');
  expect(names()).toEqual(before);
  await choose(1);
  await strike('d', { ctrlKey: true });
  expect([names()[1]!.replace(/^\d+ /, ''), names().length]).toEqual([before[0]!.replace(/^\d+ /, ''), before.length + 1]);
});

test('a letter redraws its own row alone, and all letters of a pause are one step', async () => {
  const { find, page, choose, press, rows, settled } = await open();
  await choose(1);
  const words = find.getByLabelText<HTMLTextAreaElement>('Words to say');
  const before = words.value;
  const redrawn = new Set<number>();
  const watch = new MutationObserver((all) => all.forEach(({ target }) => redrawn.add(rows().findIndex((row) => row.contains(target)))));
  watch.observe(page.querySelector('zp-beat-column')!, { subtree: true, childList: true, characterData: true, attributes: true });
  for (const text of ['Look', 'Look at', 'Look at the lamp.']) {
    fireEvent.input(words, { target: { value: text } });
    await settled();
  }
  expect([...redrawn]).toEqual([0]); // later rows move when the typing is over
  watch.disconnect();
  await press('Undo');
  expect(words.value).toBe(before);
});

test('words are written beside the stage with how long they take; a typed time becomes an example; one that is none is named', async () => {
  const { find, page, choose, names, press, type, settled } = await open();
  await choose(1);
  const words = find.getByLabelText('Words to say');
  await type(words, Array.from({ length: 20 }, () => 'word').join(' '));
  expect(page.textContent).toContain('10 s to say');
  await type(words, 'x'.repeat(10_000));
  expect(find.getByRole('alert').textContent).toBe('Beat 1: these words have 10,000 characters, and 2,000 fit. They are not kept.');
  expect(page.textContent).toContain('10 s to say');
  await type(words, Array.from({ length: 20 }, () => 'word').join(' '));
  await press('Example');
  // The time of what was added can be typed at once.
  await until(() => document.activeElement === find.getByLabelText('Time'));
  fireEvent.change(find.getByLabelText('Time'), { target: { value: '25:00' } });
  await settled();
  expect(find.getByRole('alert').textContent).toContain('There is no hour 25');
  fireEvent.change(find.getByLabelText('Time'), { target: { value: 'half past 9' } });
  await settled();
  expect(names()[1]).toBe('2 Worked example, 9:30');
  // Its steps are generated and can be changed one by one; another time tells that the change no longer fits.
  const step = find.getByLabelText('Words of step 3');
  fireEvent.change(step, { target: { value: 'The boat has left the 9.' } });
  await settled();
  expect(page.textContent).toContain('As it was');
  fireEvent.change(find.getByLabelText('Time'), { target: { value: '7:30' } });
  await settled();
  expect(textOf(find.getByRole('list', { name: 'Found at this beat' }))).toContain(
    '“The boat has left the 9.” was written for another time or another school.',
  );
});

test('a setting that cannot be is refused beside its field, and the lesson stays', async () => {
  const { find, choose, names, settled, server } = await open();
  const place = names().findIndex((name) => name.includes('Sweep')) + 1;
  await choose(place);
  fireEvent.change(find.getByLabelText('Seconds a turn'), { target: { value: '900' } });
  await settled();
  expect(
    find
      .getAllByRole('alert')
      .map(({ textContent }) => textContent)
      .join(),
  ).toContain('A whole number from 5 to 120.');
  fireEvent.change(find.getByLabelText('Stops, with what to look at'), { target: { value: 'no time here' } });
  await settled();
  expect(
    find
      .getAllByRole('alert')
      .map(({ textContent }) => textContent)
      .join(),
  ).toContain('Line 1: it needs a time and some words.');
  expect(server.sent(SAVE)).toEqual([]);
});

test('what is pasted is read by the server; a refusal is told and changes nothing', async () => {
  const { page, names, server, settled } = await open();
  const before = names();
  const paste = (text: string) => {
    const event = new Event('paste', { bubbles: true, cancelable: true });
    Object.assign(event, { clipboardData: { getData: () => text, setData: () => undefined } });
    page.querySelector('[data-beat]')!.dispatchEvent(event);
  };
  server.on(
    'POST /api/clips',
    new Refusal('FORMAT_NEWER', 'The lesson Copied beats was saved by a newer version of Zeitpunkt; open it there.'),
  );
  paste('{"format":"zeitpunkt-beats","formatVersion":99}');
  await until(() => page.textContent!.includes('newer version'));
  expect(names()).toEqual(before);
  server.on('POST /api/clips', { beats: [{ id: 'b1', kind: 'say', text: 'From another lesson.' }], items: [] });
  paste('{"format":"zeitpunkt-beats"}');
  await until(() => names().length === before.length + 1);
  await settled();
  expect(page.textContent).toContain('From another lesson.');
});

test('what was not saved before a reload is sent on, unless the lesson was changed elsewhere', async () => {
  const kept = { id: 'l1', revision: 3, lesson: { ...LESSON, title: 'Kept here' } };
  localStorage.clear();
  localStorage.setItem('zeitpunkt-unsaved-l1', JSON.stringify(kept));
  const server = new FakeServer({ 'GET /api/lessons/l1': { id: 'l1', revision: 4, lesson: kept.lesson }, [SAVE]: { revision: 4 } });
  const { page } = await render(ScriptPlace, { id: 'l1' }, [provideRouter([]), provideStore(), provideState(authFeature)]);
  await until(() => page.querySelector('[data-beat]') !== null);
  expect(server.sent(SAVE)).toMatchObject([{ revision: 3, lesson: { title: 'Kept here' } }]);
  expect(localStorage.getItem('zeitpunkt-unsaved-l1')).toBeNull();
});

test('the room opens on the lesson as it is seen: what was typed is saved before', async () => {
  const { server, find, choose, type, press } = await open();
  await TestBed.inject(CurrentClass).load(); // by the frame
  const START = 'POST /api/sessions';
  server.on(START, {});
  const navigate = jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
  await choose(1);
  await type(find.getByLabelText('Words to say'), 'Good morning, Terns.');
  await press('Open the room');
  await until(() => navigate.mock.calls.length > 0);
  const order = server.asked.map(({ route }) => route).filter((route) => route === SAVE || route === START);
  expect(order).toEqual([SAVE, START]);
  expect(server.sent(SAVE)).toMatchObject([
    { lesson: { beats: expect.arrayContaining([expect.objectContaining({ text: 'Good morning, Terns.' })]) } },
  ]);
  expect(server.sent(START)).toMatchObject([{ lessonId: 'l1', classId: 'c1' }]);
});

test('a beat that says nothing yet stands in its place; a step of an example is seen while its words are written', async () => {
  const { find, page, choose, chosen, names, press, settled } = await open();
  await choose(2);
  await press('Say');
  expect([chosen(), names()[2]]).toEqual([[3], '3 Say']);
  const example = names().findIndex((name) => name.includes('Worked example')) + 1;
  await choose(example);
  const seen = () => page.querySelector('zp-stage-player svg')!.getAttribute('aria-label');
  const whole = seen();
  expect(whole).toMatch(/Display: \d+ : 30/);
  fireEvent.focus(find.getByLabelText('Words of step 1'));
  await settled();
  expect([chosen(), seen() === whole]).toEqual([[example], false]);
});

test('what a beat points at is pointed at on the stage, taken away where it is pointed at again, and wiped', async () => {
  const points = { id: 'points', kind: 'mark', marks: [{ type: 'numeral', numeral: 3 }], text: 'Look here.' } as const;
  const { find, names, choose, press, server, settled } = await open({ ...LESSON, beats: [...LESSON.beats, points] });
  await choose(1);
  expect(find.queryByRole('group', { name: 'Pointers' })).toBeNull();
  await choose(names().length);
  const marks = () => (server.sent(SAVE).at(-1) as { lesson: Lesson }).lesson.beats.find(({ id }) => id === 'points');
  const at = async (numeral: string, many: number) => {
    fireEvent.click(find.getByRole('combobox', { name: 'At' }));
    await settled();
    fireEvent.click(screen.getByRole('option', { name: numeral }));
    await settled();
    await press('Ring it');
    await until(() => server.sent(SAVE).length === many);
  };
  await at('6', 1);
  expect(marks()).toMatchObject({ marks: [points.marks[0], { type: 'numeral', numeral: 6 }], text: 'Look here.' });
  await at('3', 2);
  expect(marks()).toMatchObject({ marks: [{ type: 'numeral', numeral: 6 }] });
  await press('Wipe');
  await until(() => server.sent(SAVE).length === 3);
  expect(marks()).toMatchObject({ marks: [] });
});
