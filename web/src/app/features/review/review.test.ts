import { provideRouter } from '@angular/router';
import { provideState, provideStore } from '@ngrx/store';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { markOf } from '@zeitpunkt/core/question-kinds/marking';
import type { Item, Response } from '@zeitpunkt/core/question-kinds/registry';
import { diagnose } from '@zeitpunkt/core/diagnosis/diagnose';
import { Diagnoser, type DiagnosisWish } from '../../shared/diagnosis/diagnoser';
import { authFeature } from '../../state/auth';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { render, textOf, until } from '../../testing/render';
import { askingOf, responseOf, withRun } from '../../testing/session';
import { Review } from './review';

/** Looks through the answers in the page: there are no workers here. */
class DirectDiagnoser {
  diagnose({ pupils, nowMs }: DiagnosisWish) {
    return {
      done: Promise.resolve(new Map(pupils.map(({ pupilId, answered }) => [pupilId, diagnose(answered, nowMs)]))),
      stop: () => undefined,
    };
  }
}

const taught = () => {
  const responses = [responseOf('Anouk', 'q1'), responseOf('Bashir', 'q1'), responseOf('Bashir', 'q1', ['numeral-as-minutes'], 2)];
  const detail = withRun({ askings: [askingOf('q1', 'revealed'), askingOf('q2', 'revealed')] }, { responses });
  return { ...detail, endedAtMs: 1, unreadable: ['The mark of Ceri to question q2 cannot be read: no such verdict.'] };
};
async function open(answer: unknown, inputs: object = {}) {
  const server = new FakeServer({ 'GET /api/sessions/session': answer, 'GET /api/sessions/session/sheet': { sheet: null } });
  const diagnoser = { provide: Diagnoser, useClass: DirectDiagnoser };
  const screen = await render(Review, { id: 'session', ...inputs }, [
    provideRouter([]),
    provideStore(),
    provideState(authFeature),
    diagnoser,
  ]);
  await new Promise((resolve) => setTimeout(resolve));
  await screen.settled();
  return { ...screen, server };
}

test('every cell opens the answer it came from, beside the right one, with what would explain it', async () => {
  const { find, press, page } = await open(taught());
  expect(textOf(find.getByRole('columnheader', { name: /Question 1/ }))).toContain('1 of 2 right');
  expect(textOf(find.getByRole('row', { name: /^Ceri/ }))).toBe('Ceri no answer no answer');
  expect(find.getByRole('alert').textContent).toContain('The mark of Ceri to question q2 cannot be read: no such verdict.');
  expect(textOf(page)).toContain('1 was not there Dov');
  await press('Bashir, question 1: partly Reads the 6 as 6 minutes');
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

test('what pupils hold is said with how sure it is, and every answer that shows it can be opened', async () => {
  const { find, page, press } = await open(taught());
  await until(() => page.querySelector('zp-held-ideas ul') !== null);
  expect(textOf(page.querySelector('zp-held-ideas')!)).toContain('Bashir Reads the 9 as 9 minutes: too few answers to say, 1 of 1 chance');
  await press('question 1');
  expect(find.getByRole('heading', { name: 'Bashir, question 1' })).toBeTruthy();
});

test('what stood out opens its answers, a question all that was given to it, a name one answer; closing goes back', async () => {
  const { find, page, press } = await open(taught());
  await press('Question 1, Read a dial, 7:30: all answers');
  const card = page.querySelector('zp-question-card')!;
  expect(textOf(card)).toMatch(/Reads the 6 as 6 minutes 1 .*Bashir Next: .*Right 1 .*Anouk/);
  expect(textOf(card)).toContain('1 of 2 right.');
  await press('Bashir');
  expect(find.getByRole('heading', { name: 'Bashir, question 1' })).toBe(document.activeElement);
  await press('Close');
  expect(find.getByRole('heading', { name: 'What stood out' })).toBeTruthy();
});

test('an address with a pupil and an asking opens that answer at once', async () => {
  const detail = { ...taught(), id: 'session' };
  const pupil = detail.pupils.find(({ name }) => name === 'Bashir')!.id;
  const { find } = await open(detail, { pupil, asking: 'q1' });
  expect(find.getByRole('heading', { name: 'Bashir, question 1' })).toBeTruthy();
});

test('a mark is corrected with a reason, all that is counted follows, and it is taken back; without a reason it is not sent', async () => {
  const { find, page, press, type, server } = await open(taught());
  const [, , given] = taught().live.responses;
  const path = `POST /api/sessions/session/responses/${given!.id}`;
  const correction = { was: 'partly', reason: 'Said half past seven.', atMs: 1 };
  const mark = { ...given!.mark, verdict: 'right', misconceptions: [], sayToPupil: 'Yes.' };
  server.on(`${path}/correct`, { ...given, mark, correction });
  server.on(`${path}/as-at-first`, given);
  await press('Bashir, question 1: partly Reads the 6 as 6 minutes');
  await press('Correct it');
  expect(textOf(page.querySelector('zp-mark-correction')!)).toContain('Say why in a few words');
  expect(server.sent(`${path}/correct`)).toEqual([]);
  await type(find.getByLabelText('Why'), ' Said half past seven. ');
  await press('Correct it');
  await until(() => page.textContent!.includes('Corrected. Everything that is computed follows.'));
  expect(server.sent(`${path}/correct`)).toMatchObject([{ verdict: 'right', reason: 'Said half past seven.' }]);
  expect(textOf(find.getByRole('columnheader', { name: /Question 1/ }))).toContain('2 of 2 right');
  expect(textOf(page.querySelector('zp-mark-correction')!)).toContain('Corrected from “partly”: Said half past seven.');
  await press('Take it back');
  await until(() => textOf(find.getByRole('columnheader', { name: /Question 1/ })).includes('1 of 2 right'));
});

test('a correction that is refused says why, and nothing changes on the screen', async () => {
  const { find, page, press, type, server } = await open(taught());
  const [, , given] = taught().live.responses;
  server.on(
    `POST /api/sessions/session/responses/${given!.id}/correct`,
    new Refusal('NOT_FOUND', 'There is no such answer in this lesson.', 404),
  );
  await press('Bashir, question 1: partly Reads the 6 as 6 minutes');
  await type(find.getByLabelText('Why'), 'A slip.');
  await press('Correct it');
  await until(() => page.textContent!.includes('There is no such answer in this lesson.'));
  expect(textOf(find.getByRole('columnheader', { name: /Question 1/ }))).toContain('1 of 2 right');
});

test('a wording that says no time can be let count for the class, and what it did is said', async () => {
  const item: Item = { id: 'w', kind: 'write-words', timeSec: 27_000, from: 'display', lines: 1 };
  const wrote = (name: string, line: string) => {
    const response: Response = { kind: 'write-words', lines: [line] };
    return { ...responseOf(name, 'q1'), askingId: 'w', response, mark: markOf(item, response, DEFAULT_SETTINGS) };
  };
  const asking = { ...askingOf('q1', 'revealed'), id: 'w', item };
  const responses = [wrote('Anouk', 'seven and a half'), wrote('Bashir', 'half past eight')];
  const detail = { ...withRun({ askings: [asking] }, { responses }), endedAtMs: 1 };
  const { find, page, press, server } = await open(detail);
  const WORDINGS = `POST /api/classes/${detail.classId}/wordings`;
  const wordings = [{ id: 'w1', wording: 'seven and a half', timeSec: 27_000, atMs: 1, answers: 4 }];
  server.on(WORDINGS, { comments: [], moves: [], wordings, homePages: [] });
  server.on(`GET /api/sessions/${detail.id}`, detail);
  await press(/^Bashir, question 1/);
  expect(find.queryByRole('button', { name: /count for the whole class/ })).toBeNull();
  await press(/^Anouk, question 1/);
  await press('Let “seven and a half” count for the whole class');
  await until(() => page.textContent!.includes('4 answers are right by it.'));
  expect(server.sent(WORDINGS)).toMatchObject([{ responseId: responses[0]!.id, wording: 'seven and a half' }]);
});
