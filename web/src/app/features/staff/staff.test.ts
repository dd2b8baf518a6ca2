import { fireEvent } from '@testing-library/dom';
import { provideRouter } from '@angular/router';
import { provideState, provideStore } from '@ngrx/store';
import { authFeature } from '../../state/auth';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { render, textOf, until } from '../../testing/render';
import { StaffPlace } from './staff';

const INVITE = 'POST /api/staff/invitations';
const waiting = { id: 'i1', forWhom: 'Mr Skua', expiresAtMs: Date.UTC(2026, 11, 4) };
const staff = (invitations: object[] = [], mayInvite = true) => ({
  teachers: [{ id: 't1', name: 'Ms Odalys Fenn' }],
  mayInvite,
  invitations,
});

async function open(first: object = staff()) {
  localStorage.clear();
  const server = new FakeServer({ 'GET /api/staff': first, 'GET /api/addresses': ['https://zeit.school.test'] });
  const screen = await render(StaffPlace, {}, [provideRouter([]), provideStore(), provideState(authFeature)]);
  await until(() => textOf(screen.page).includes('Ms Odalys Fenn'));
  return { ...screen, server };
}

test('a code is made for somebody, shown this once with its link, and can be withdrawn', async () => {
  const { find, page, type, press, server } = await open();
  server.on(INVITE, { code: 'ABCD-EFGH', staff: staff([waiting]) });
  const who = find.getByLabelText<HTMLInputElement>('For whom');
  await type(who, '  Mr Skua ');
  fireEvent.submit(who.closest('form')!);
  await until(() => textOf(page).includes('The code for Mr Skua, shown this once: ABCD-EFGH'));
  expect(textOf(page)).toContain('https://zeit.school.test/invited#code=ABCD-EFGH');
  expect([server.sent(INVITE), who.value]).toEqual([[{ id: expect.any(String), forWhom: 'Mr Skua' }], '']);
  server.on('POST /api/staff/invitations/i1/withdraw', staff());
  await press('Withdraw the invitation for Mr Skua');
  await until(() => !textOf(page).includes('Mr Skua'));
});

test('an invitation for nobody is not sent; one that is refused says why and keeps what was typed', async () => {
  const { find, type, server } = await open();
  const who = find.getByLabelText<HTMLInputElement>('For whom');
  await type(who, '   ');
  fireEvent.submit(who.closest('form')!);
  expect(server.sent(INVITE)).toEqual([]);
  server.on(INVITE, new Refusal('TOO_MANY', 'Ten invitations are waiting already.'));
  await type(who, 'Mr Skua');
  fireEvent.submit(who.closest('form')!);
  await until(() => find.queryByRole('alert') !== null);
  expect([textOf(find.getByRole('alert')), who.value]).toEqual(['Ten invitations are waiting already.', 'Mr Skua']);
});

test('who may not invite sees who teaches here, and who can', async () => {
  const { find, page } = await open(staff([], false));
  expect(find.queryByLabelText('For whom')).toBeNull();
  expect(textOf(page)).toContain('The first teacher of this school can invite others.');
});
