import { provideRouter } from '@angular/router';
import { provideState, provideStore } from '@ngrx/store';
import { NEW_PLAN, type ClassPlan } from '@zeitpunkt/core/series/plan';
import { dayOf } from '@zeitpunkt/core/series/school-days';
import { authFeature } from '../../state/auth';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { render, textOf, until } from '../../testing/render';
import { Cards } from './cards';

const SAVE = 'POST /api/classes/c1/plan';
const TODAY = dayOf(Date.now());
const PLAN: ClassPlan = {
  ...NEW_PLAN,
  schoolDays: [1, 2, 3, 4, 5, 6, 7],
  cards: { startsOn: TODAY, pattern: { firstSec: 28_800, stepsMin: [30] }, shown: 0 },
};

async function open(plan: ClassPlan = PLAN, saved: unknown = { revision: 5 }) {
  Object.assign(globalThis, {
    BroadcastChannel: class {
      postMessage() {}
      close() {}
      addEventListener() {}
    },
  });
  const server = new FakeServer({ 'GET /api/classes/c1/plan': { revision: 4, plan }, 'GET /api/lessons': [], [SAVE]: saved });
  const screen = await render(Cards, { id: 'c1' }, [provideRouter([]), provideStore(), provideState(authFeature)]);
  await until(() => !textOf(screen.page).includes('Fetching the cards'));
  return { ...screen, server };
}

test('the card of today is guessed, then shown, and only then counts as shown', async () => {
  const { press, find, server, page, settled } = await open();
  await settled();
  expect(find.queryByRole('link', { name: 'Done' })).toBeNull();
  expect(server.sent(SAVE)).toEqual([]);
  await press('Show it');
  expect(textOf(page)).toContain('eight o’clock');
  await until(() => server.sent(SAVE).length === 1);
  expect(server.sent(SAVE)).toEqual([{ revision: 4, plan: { ...PLAN, cards: { ...PLAN.cards, shown: 1 } } }]);
  expect(find.getByRole('link', { name: 'Done' })).toBeTruthy();
  await press('Back');
  await press('Show it');
  expect(server.sent(SAVE)).toHaveLength(1);
});

test('where today’s card was shown already none is due', async () => {
  const { page } = await open({ ...PLAN, cards: { ...PLAN.cards!, shown: 1 } });
  expect(textOf(page)).toContain('No card is due today.');
});

test('a plan that was changed meanwhile says so when the card is shown', async () => {
  const { press, find } = await open(PLAN, new Refusal('PLAN_CHANGED', 'The plan of Terns was changed meanwhile.'));
  await press('Show it');
  await until(() => find.queryByRole('alert') !== null);
  expect(textOf(find.getByRole('alert'))).toContain('The plan of Terns was changed meanwhile.');
});
