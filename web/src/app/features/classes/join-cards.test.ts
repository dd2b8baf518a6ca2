import { fireEvent, within } from '@testing-library/dom';
import { provideRouter } from '@angular/router';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { paperWorkers } from '../../testing/paper-workers';
import { render, textOf, until } from '../../testing/render';
import { JoinCards } from './join-cards';

const pupil = (name: string, cardAtMs: number | null, leftAtMs: number | null = null) => ({ id: name, name, reference: null, leftAtMs, cardAtMs }); // prettier-ignore
const MAKE = 'POST /api/classes/c1/cards';
const detailOf = (...pupils: object[]) => ({ id: 'c1', name: 'Terns', pupils });

async function open() {
  localStorage.clear();
  paperWorkers.length = 0;
  const server = new FakeServer({
    'GET /api/classes/c1': detailOf(pupil('Anouk', 5), pupil('Bashir', null), pupil('Ceri', null), pupil('Dov', null, 9)),
    'GET /api/classes': [],
    'GET /api/classes/c1/record': [],
    'GET /api/addresses': ['https://zeit.school.test', 'http://10.0.0.2:4000'],
    [MAKE]: (body: unknown) => ({
      cards: (body as { pupilIds: string[] }).pupilIds.map((id) => ({ pupilId: id, name: id, token: `token-of-${id}` })),
    }),
  });
  const screen = await render(JoinCards, { id: 'c1' }, [provideRouter([])]);
  await until(() => screen.find.queryByRole('button', { name: 'Make 2 cards' }) !== null);
  const confirm = (words: string) => fireEvent.click(within(document.body).getByRole('button', { name: words }));
  return { ...screen, server, confirm };
}

test('those without a card are chosen first; each card leads to the address that was chosen, and its token stays behind the #', async () => {
  const { find, press, server, page } = await open();
  expect(find.queryByRole('checkbox', { name: /^Dov/ })).toBeNull(); // left
  await press('Make 2 cards');
  await until(() => find.queryByRole('list', { name: 'Cards' }) !== null);
  expect(server.sent(MAKE)).toEqual([{ pupilIds: ['Bashir', 'Ceri'] }]);
  const links = () => [...page.querySelectorAll('.link')].map((link) => link.textContent);
  expect(links()[0]).toBe('https://zeit.school.test/desk#card=token-of-Bashir');
  fireEvent.click(find.getByRole('combobox', { name: 'Address on the cards' }));
  await until(() => within(document.body).queryByRole('option', { name: 'http://10.0.0.2:4000' }) !== null);
  fireEvent.click(within(document.body).getByRole('option', { name: 'http://10.0.0.2:4000' }));
  await until(() => links()[1] === 'http://10.0.0.2:4000/desk#card=token-of-Ceri');
  await press('Save as PDF');
  expect(paperWorkers.at(-1)!.asked.at(-1)).toMatchObject({
    type: 'make',
    title: 'Join cards of Terns',
    order: {
      wish: {
        kind: 'join-links',
        cards: [
          { name: 'Bashir', link: links()[0] },
          { name: 'Ceri', link: links()[1] },
        ],
      },
    },
  });
});

test('a card that somebody has is replaced only when that is said once more', async () => {
  const { find, press, server, confirm, settled } = await open();
  fireEvent.click(find.getByRole('checkbox', { name: /^Anouk/ }));
  await settled();
  await press('Make 3 cards');
  expect(server.sent(MAKE)).toEqual([]);
  expect(textOf(document.body)).toContain('1 of them has a card already');
  confirm('Make new ones');
  await until(() => server.sent(MAKE).length === 1);
});

test('cards that cannot be made are said, and none is shown', async () => {
  const { find, press, server } = await open();
  server.on(MAKE, new Refusal('NOT_FOUND', 'Bashir is not in this class any more.', 404));
  await press('Make 2 cards');
  await until(() => find.queryByRole('alert') !== null);
  expect(textOf(find.getByRole('alert'))).toBe('Bashir is not in this class any more.');
  expect(find.queryByRole('list', { name: 'Cards' })).toBeNull();
});
