import { provideRouter } from '@angular/router';
import { provideState, provideStore } from '@ngrx/store';
import { authFeature } from '../../state/auth';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { render, textOf, until } from '../../testing/render';
import { askingOf, responseOf, withRun } from '../../testing/session';
import { Review } from './review';

const taught = () => {
  const responses = [responseOf('Anouk', 'q1'), responseOf('Bashir', 'q1'), responseOf('Bashir', 'q1', ['numeral-as-minutes'], 2)];
  const detail = withRun({ askings: [askingOf('q1', 'revealed'), askingOf('q2', 'revealed')] }, { responses });
  return { ...detail, endedAtMs: 1, unreadable: ['The mark of Ceri to question q2 cannot be read: no such verdict.'] };
};
async function open(answer: unknown) {
  new FakeServer({ 'GET /api/sessions/session': answer });
  const screen = await render(Review, { id: 'session' }, [provideRouter([]), provideStore(), provideState(authFeature)]);
  await new Promise((resolve) => setTimeout(resolve));
  await screen.settled();
  return screen;
}

test('every cell opens the answer it came from, beside the right one, with what would explain it', async () => {
  const { find, press, page } = await open(taught());
  expect(textOf(find.getByRole('columnheader', { name: /Question 1/ }))).toContain('1 of 2 right');
  expect(textOf(find.getByRole('row', { name: /^Ceri/ }))).toBe('Ceri no answer no answer');
  expect(find.getByRole('alert').textContent).toContain('The mark of Ceri to question q2 cannot be read: no such verdict.');
  expect(page.textContent).toMatch(/Not there:\s*Dov\./);
  await press('Bashir, question 1: partly Numeral as minutes');
  expect(find.getByRole('heading', { name: 'Bashir, question 1' })).toBeTruthy();
  expect(page.querySelector('zp-response-card')!.textContent).toContain('changed once');
  await until(() => textOf(page.querySelector('zp-response')!) !== '');
  expect([...page.querySelectorAll('zp-response')].map(textOf)).toEqual(['7:6', '7:30']);
  await press('Close');
  expect(find.getByRole('heading', { name: 'What stood out' })).toBeTruthy();
});

test('a review that is not one’s own says so and can be tried again', async () => {
  const { find } = await open(new Refusal('NOT_FOUND', 'There is no such lesson run among yours.'));
  expect(find.getByRole('alert').textContent).toContain('There is no such lesson run among yours.');
  expect(find.getByRole('button', { name: 'Try again' })).toBeTruthy();
  expect(find.queryByRole('table')).toBeNull();
});
