import { fireEvent, within } from '@testing-library/dom';
import { provideRouter } from '@angular/router';
import { provideState, provideStore } from '@ngrx/store';
import { authFeature } from '../../state/auth';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { render, textOf, until } from '../../testing/render';
import { locale, writeAs } from '../../shared/words/language';
import { longDay } from '../../shared/words/days';
import { appearance, lookLike } from '../../shared/appearance';
import { School } from './school';

const INVITE = 'POST /api/staff/invitations';
const waiting = { id: 'i1', forWhom: 'Mr Skua', expiresAtMs: Date.UTC(2026, 11, 4) };
const staff = (invitations: object[] = [], mayInvite = true) => ({
  teachers: [
    {
      id: 't1',
      name: 'Ms Odalys Fenn',
      classes: ['Terns', 'Petrels'],
      isFirst: true,
      secondFactor: true,
      seenAtMs: Date.UTC(2026, 10, 30),
    },
    { id: 't2', name: 'Mr Ruan Holm', classes: [], isFirst: false, secondFactor: false, seenAtMs: null },
  ],
  mayInvite,
  invitations,
});
const ACTS = {
  acts: [
    { atMs: Date.now(), act: 'class-handed-over', who: 'Ms Odalys Fenn', about: 'Terns → Mr Ruan Holm', count: 0 },
    { atMs: Date.now() - 100 * 86_400_000, act: 'retention', who: '', about: 'Petrels', count: 2 },
  ],
  keepDays: 365,
};
const over = within(document.body);

async function open(first: object = staff()) {
  localStorage.clear();
  const server = new FakeServer({
    'GET /api/staff': first,
    'GET /api/addresses': ['https://zeit.school.test'],
    'GET /api/acts': ACTS,
    'GET /api/backups': { each: null, last: null, problem: null, running: false },
  });
  const screen = await render(School, {}, [provideRouter([]), provideStore(), provideState(authFeature)]);
  await until(() => textOf(screen.page).includes('Ms Odalys Fenn'));
  const ask = async (who: string) => {
    if (!over.queryByLabelText('For whom')) await screen.press(/Invite a colleague/);
    await until(() => over.queryByLabelText('For whom') !== null);
    const field = over.getByLabelText<HTMLInputElement>('For whom');
    await screen.type(field, who);
    fireEvent.submit(field.closest('form')!);
    await screen.settled();
    return field;
  };
  return { ...screen, server, ask };
}

test('a code is made for somebody, shown this once with its link, and can be withdrawn', async () => {
  const { page, press, server, ask } = await open();
  server.on(INVITE, { code: 'ABCD-EFGH', staff: staff([waiting]) });
  const who = await ask('  Mr Skua ');
  await until(() => textOf(document.body).includes('The code for Mr Skua, shown this once: ABCD-EFGH'));
  expect(textOf(document.body)).toContain('https://zeit.school.test/invited#code=ABCD-EFGH');
  expect([server.sent(INVITE), who.value]).toEqual([[{ id: expect.any(String), forWhom: 'Mr Skua' }], '']);
  server.on('POST /api/staff/invitations/i1/withdraw', staff());
  await until(() => textOf(page).includes('code until Fri 4 Dec'));
  await press('Withdraw the invitation for Mr Skua');
  await until(() => !textOf(page).includes('Mr Skua'));
});

test('an invitation for nobody is not sent and says what is missing; one that is refused says why and keeps what was typed', async () => {
  const { server, ask } = await open();
  await ask('   ');
  await until(() => textOf(document.body).includes('Say for whom the code is.'));
  expect(server.sent(INVITE)).toEqual([]);
  server.on(INVITE, new Refusal('TOO_MANY', 'Ten invitations are waiting already.'));
  const who = await ask('Mr Skua');
  await until(() => over.queryByRole('alert') !== null);
  expect([textOf(over.getByRole('alert')), who.value]).toEqual(['Ten invitations are waiting already.', 'Mr Skua']);
});

test('who may not invite sees who teaches here, and who can', async () => {
  const { find, page } = await open(staff([], false));
  expect(find.queryByRole('button', { name: /Invite/ })).toBeNull();
  expect(textOf(page)).toContain('The first teacher of this school can invite others.');
});

test('look and language are chosen here, and hold at once and on this device', async () => {
  const { find, settled } = await open();
  fireEvent.click(find.getByRole('radio', { name: 'dark' }));
  await settled();
  expect([appearance(), document.documentElement.dataset['theme'], localStorage.getItem('zp-appearance')]).toEqual([
    'dark',
    'dark',
    'dark',
  ]);
  lookLike('machine');
  expect(document.documentElement.dataset['theme']).toBeUndefined();
  writeAs('en-US');
  expect([locale(), longDay('2026-11-30')]).toEqual(['en-US', 'Monday November 30']);
  writeAs('en-GB');
  expect(longDay('2026-11-30')).toBe('Monday 30 November');
});

/** Opens the menu of a colleague and chooses from it. */
async function doFor({ press, settled }: Pick<Awaited<ReturnType<typeof open>>, 'press' | 'settled'>, name: string, act: string) {
  await press(`What can be done for ${name}`);
  await until(() => over.queryByRole('menuitem', { name: act }) !== null);
  fireEvent.click(over.getByRole('menuitem', { name: act }));
  await settled();
}

test('the first teacher makes a code for a colleague, hands the role on once that was asked, and sees who teaches what', async () => {
  const screen = await open();
  const { find, page, server } = screen;
  expect(find.getAllByRole('row').map((row) => textOf(row))).toEqual(
    expect.arrayContaining([
      expect.stringMatching(/^Ms Odalys Fenn first teacher Terns and Petrels password and code Mon 30 Nov/),
      expect.stringMatching(/^Mr Ruan Holm – password not yet/),
    ]),
  );
  server.on('POST /api/staff/t2/reset-code', { code: 'abcd-efgh-jkmn', expiresAtMs: 1 });
  await doFor(screen, 'Mr Ruan Holm', 'Make a code for a new password');
  await until(() => over.queryByRole('button', { name: 'Make a code' }) !== null);
  fireEvent.click(over.getByRole('button', { name: 'Make a code' }));
  await until(() => textOf(document.body).includes('abcd-efgh-jkmn'));
  expect(textOf(document.body)).toContain('https://zeit.school.test/reset');
  fireEvent.click(over.getByRole('button', { name: 'Close' }));
  await until(
    () => over.queryByRole('dialog') === null && find.queryByRole('button', { name: 'What can be done for Mr Ruan Holm' }) !== null,
  );
  server.on('POST /api/staff/t2/first', staff([], false));
  await doFor(screen, 'Mr Ruan Holm', 'Make the first teacher');
  await until(() => over.queryByRole('button', { name: 'Hand the role on' }) !== null);
  fireEvent.click(over.getByRole('button', { name: 'Hand the role on' }));
  await until(() => textOf(page).includes('The first teacher of this school can invite others.'));
  expect(find.queryByRole('heading', { name: 'What was done' })).toBeNull();
});

test('what was done is read by the first teacher; a shorter time asks before anything goes', async () => {
  const { page, choose, server } = await open();
  await until(() => textOf(page).includes('Handed a class over: Terns → Mr Ruan Holm'));
  expect(textOf(page)).toContain('Deleted what is kept no longer: Petrels, 2 lessons by itself');
  await choose('Kept for', '30 days');
  await until(() => over.queryByRole('button', { name: 'Delete them' }) !== null);
  expect(textOf(document.body)).toContain('1 entry is older than 30 days');
  server.on('POST /api/acts/keep', { acts: ACTS.acts.slice(0, 1), keepDays: 30 });
  fireEvent.click(over.getByRole('button', { name: 'Delete them' }));
  await until(() => !textOf(page).includes('Petrels, 2 lessons'));
});
