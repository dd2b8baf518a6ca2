import { fireEvent, screen } from '@testing-library/dom';
import { provideRouter } from '@angular/router';
import { provideState, provideStore } from '@ngrx/store';
import type { OwnPaceDetail, OwnPaceLive } from '@zeitpunkt/contract';
import { authFeature } from '../../state/auth';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { FakeSocket } from '../../testing/fake-socket';
import { render, textOf, until } from '../../testing/render';
import { responseOf, sessionDetail } from '../../testing/session';
import { OwnPacePlace } from './own-pace-place';

const ID = '11111111-1111-4111-8111-111111111111';
/** Messages are checked, and so ids are real ones. */
const idOf = (name: string) =>
  `${name.length}`.repeat(8) +
  `-2222-4222-8222-${name
    .toLowerCase()
    .replace(/[^a-f]/g, '0')
    .padEnd(12, '0')}`;
const placeOf = (name: string, at: number | null, change: object = {}) => {
  return { pupilId: idOf(name), name, at, done: false, heardAtMs: null, online: false, line: '', ...change };
};
const answerOf = (name: string, ...wrong: Parameters<typeof responseOf> extends [string, ...infer Rest] ? Rest : never) => {
  return { ...responseOf(name, ...wrong), id: idOf(`${name} ${wrong[0]}`), pupilId: idOf(name) };
};
const LIVE: OwnPaceLive = {
  nowMs: 0,
  firstDay: '2026-11-27',
  lastDay: '2026-12-04',
  byKey: true,
  voice: false,
  endedAtMs: null,
  line: '',
  places: [placeOf('Anouk', 4, { done: true }), placeOf('Bashir', 1, { online: true }), placeOf('Ceri', null)],
  responses: [answerOf('Anouk', 'q1'), answerOf('Anouk', 'q2', ['hour-hand-on-numeral'])],
};
const detailOf = (live: OwnPaceLive): OwnPaceDetail => ({
  id: ID,
  lessonId: 'l1',
  classId: 'c1',
  className: 'Terns',
  roomKey: ['boat', 'lamp', 'shell', 'fish'],
  lesson: sessionDetail().lesson,
  live,
});

async function open(live: OwnPaceLive = LIVE) {
  FakeSocket.install();
  const server = new FakeServer({
    [`GET /api/own-pace/${ID}`]: detailOf(live),
    'GET /api/addresses': { addresses: ['http://zeit.school.test'], now: null },
  });
  const place = await render(OwnPacePlace, { id: ID }, [provideRouter([]), provideStore(), provideState(authFeature)]);
  await until(() => !textOf(place.page).includes('Fetching the lesson'));
  const row = (name: string) => textOf(place.find.getByRole('row', { name: new RegExp(`^${name}`) }));
  const hear = async (message: object) => {
    FakeSocket.latest.hear(message);
    await place.settled();
  };
  return { ...place, server, row, hear };
}

test('where everybody is, what they answered, and how many are done; all of it goes along as they work', async () => {
  const { page, row, hear } = await open();
  expect(textOf(page)).toContain('1 of 3 are done, 1 are on the way, 1 have not begun. 1 is at it now.');
  expect(row('Anouk')).toMatch(/done.*right.*partly/);
  expect(row('Bashir')).toContain('2 of ');
  expect(row('Ceri')).toContain('not begun');
  FakeSocket.latest.accept();
  await hear({ type: 'hello', build: document.querySelector('meta[name=build]')?.getAttribute('content') ?? '' });
  await hear({ type: 'place', place: placeOf('Ceri', 0, { online: true }) });
  await hear({ type: 'answer', response: answerOf('Bashir', 'q1') });
  expect(row('Ceri')).toContain('1 of ');
  expect(row('Bashir')).toContain('right');
  expect(textOf(page)).toContain('0 have not begun. 2 are at it now.');
});

test('one line goes to one pupil or to all, and a refusal is said', async () => {
  const { find, type, press, server, row, settled } = await open();
  const LINE = `POST /api/own-pace/${ID}/line`;
  server.on(LINE, (body: unknown) => {
    const { line, pupilId } = body as { line: string; pupilId: string | null };
    return detailOf(pupilId === null ? { ...LIVE, line } : { ...LIVE, places: LIVE.places.map((one) => (one.pupilId === pupilId ? { ...one, line } : one)) }); // prettier-ignore
  });
  await press('Write one line to Ceri');
  const write = async (line: string) => {
    const field = screen.getByRole('textbox', { name: 'One line' });
    await type(field, line);
    fireEvent.submit(field.closest('form')!);
  };
  await write('  Begin today. ');
  await until(() => row('Ceri').includes('Begin today.'));
  expect(server.sent(LINE)).toEqual([{ pupilId: idOf('Ceri'), line: 'Begin today.' }]);
  server.on(LINE, new Refusal('OWN_PACE_OVER', 'This lesson is over.'));
  await until(() => screen.queryByRole('dialog') === null);
  await press('One line to all');
  await write('Till Friday.');
  await until(() => find.queryByRole('alert') !== null);
  await settled();
  expect(textOf(find.getByRole('alert'))).toBe('This lesson is over.');
});

test('the last day is moved at once; ending it for all is asked first, and a lesson that is over listens no more', async () => {
  const { find, press, server, page } = await open();
  const CHANGE = `POST /api/own-pace/${ID}/change`;
  server.on(CHANGE, (body: unknown) => detailOf({ ...LIVE, ...(body as object) }));
  const field = find.getByLabelText('Last day');
  fireEvent.input(field, { target: { value: '11/12/2026' } });
  fireEvent.change(field);
  await until(() => textOf(page).includes('Kept.'));
  expect(server.sent(CHANGE)).toEqual([{ lastDay: '2026-12-11' }]);
  const END = `POST /api/own-pace/${ID}/end`;
  server.on(END, detailOf({ ...LIVE, endedAtMs: 5 }));
  await press('More for this lesson');
  fireEvent.click(screen.getByRole('menuitem', { name: 'End it now' }));
  await until(() => screen.queryByRole('button', { name: 'End it' }) !== null);
  expect(server.sent(END)).toHaveLength(0);
  fireEvent.click(screen.getByRole('button', { name: 'End it' }));
  await until(() => textOf(page).includes('Over since'));
  expect(find.queryByRole('button', { name: 'More for this lesson' })).toBeNull();
  expect(find.queryByRole('button', { name: /one line to Ceri/ })).toBeNull();
});

test('a lesson that was over when it was opened opens no line', async () => {
  const { page } = await open({ ...LIVE, endedAtMs: 5 });
  expect(textOf(page)).toContain('A later last day opens it again.');
  expect(FakeSocket.all).toHaveLength(0);
});
