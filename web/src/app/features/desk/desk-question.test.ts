import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import type { DeskView } from '@zeitpunkt/contract';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { QUESTION_KINDS, type Response } from '@zeitpunkt/core/question-kinds/registry';
import { NEW_BUILD, stageOfBuild } from '@zeitpunkt/core/stage/dial-build';
import { deskView, questionView } from '../../testing/desk';
import { render } from '../../testing/render';
import { loadShape } from '../../question-views/shape-views';
import { DeskQuestion } from './desk-question';
import { DeskStore } from './desk-store';

const half = { kind: 'read-dial', hour: '8', minute: '30' } as const;

/** The question as it stands on a desk whose store says what has been given and how safe it is. */
async function open(question = questionView(), safety: 'none' | 'waiting' | 'kept' = 'none') {
  const store = {
    given: signal<Response | null>(safety === 'none' ? null : half),
    safety: signal(safety),
    deviceKeeps: signal(true),
    viewAtMs: signal(0),
    view: signal(deskView({ question })),
    answer: jest.fn(async () => undefined),
  };
  await loadShape(question.view.shape); // as the desk has done before it shows a question
  const screen = await render(DeskQuestion, { question }, [{ provide: DeskStore, useValue: store }]);
  return { ...screen, store, status: () => screen.find.getByRole('status').textContent?.replace(/\s+/g, ' ').trim() };
}

beforeEach(() => localStorage.clear());

test('an answer goes out with the time it took, and what follows says how safe it is', async () => {
  const now = jest.spyOn(performance, 'now').mockReturnValue(1000);
  const { press, store, status, settled } = await open();
  now.mockReturnValue(5200);
  for (const digit of ['8', '3', '0']) await press(digit);
  await press('This is my answer');
  expect(store.answer).toHaveBeenCalledWith(half, 4200);
  store.given.set(half);
  const timers = jest.spyOn(window, 'setTimeout');
  store.safety.set('waiting');
  await settled();
  expect(status()).toBe('One moment …');
  const [slow] = timers.mock.calls.find(([, ms]) => ms === 1000)!; // only who waits for so long reads why
  (slow as () => void)();
  await settled();
  expect(status()).toBe('Waiting for the line. Your answer is safe on this device.');
  store.deviceKeeps.set(false);
  await settled();
  expect(status()).toBe('Waiting for the line. Leave this page open until it has gone.');
  store.safety.set('kept');
  await settled();
  expect(status()).toBe('Kept. Your teacher has your answer.');
});

test('the focus is never lost: it goes to what became of the answer, and to the question when the answer is changed', async () => {
  const { press, store, find, settled } = await open();
  await press('8');
  await press('This is my answer');
  store.given.set(half);
  store.safety.set('kept');
  await settled();
  expect(document.activeElement).toBe(find.getByRole('status'));
  await press('Change my answer');
  expect(document.activeElement).toBe(find.getByRole('heading'));
});

test('a mind can be changed while the question is open, and not any more when it has closed', async () => {
  const { press, find, setInputs } = await open(questionView(), 'kept');
  await press('Change my answer');
  expect(find.getByRole<HTMLInputElement>('textbox', { name: 'Hour' }).value).toBe('8');
  await setInputs({ question: questionView({ phase: 'closed' }) });
  expect(find.queryByRole('textbox')).toBeNull();
  expect(find.queryByRole('button', { name: 'Change my answer' })).toBeNull();
});

test('the next question of the same kind starts with nothing given', async () => {
  const { setInputs, find, store } = await open(questionView(), 'kept');
  store.given.set(null);
  store.safety.set('none');
  const { view } = questionView();
  await setInputs({ question: questionView({ askingId: 'q2', view: { ...view, itemId: 'q2', stem: 'And now?' } }) });
  expect(find.getByRole('heading').textContent).toBe('And now?');
  expect(find.getByRole<HTMLInputElement>('textbox', { name: 'Hour' }).value).toBe('');
});

const reveal = (own: NonNullable<NonNullable<DeskView['question']>['reveal']>['own'], stage = stageOfBuild(NEW_BUILD)) =>
  questionView({
    phase: 'revealed',
    reveal: { stage, key: { kind: 'read-dial', hour: '7', minute: '30' }, own },
  });

test('the reveal has one kind sentence, the pupil’s own answer and the dial; no verdict is named', async () => {
  const { status, find, page } = await open(reveal({ verdict: 'partly', sayToPupil: 'Look at the short hand once more.' }), 'kept');
  expect(status()).toBe('Look at the short hand once more.');
  expect(find.getByText('8:30')).toBeTruthy();
  // What was written is a clock, too: beside the right one it shows what is different.
  const [own, right] = find.getAllByRole('img').map((image) => image.getAttribute('aria-label'));
  expect(own).toMatch(/short hour hand points between 8 and 9.*points at 6/);
  expect(right).toMatch(/^A clock dial/);
  expect(right).not.toBe(own);
  expect(page.textContent).not.toMatch(/wrong|partly|not right/i);
});

test('who gave no answer is told so without blame', async () => {
  const { status } = await open(reveal(null));
  expect(status()).toBe('This one went by without your answer. Look at what is right.');
});

test('the same question asked again starts with nothing given, also where it was being answered', async () => {
  const { press, setInputs, find, store } = await open();
  await press('8');
  await setInputs({ question: questionView({ askingId: 'q1.2' }) });
  expect(find.getByRole<HTMLInputElement>('textbox', { name: 'Hour' }).value).toBe('');
  expect(store.answer).not.toHaveBeenCalled();
});

test('whoever is not sure says so; it goes out like an answer', async () => {
  const { press, store } = await open();
  await press('I am not sure');
  expect(store.answer).toHaveBeenCalledWith({ kind: 'not-sure' }, expect.any(Number));
});

test('what is put together is kept on the device until it is given away', async () => {
  const { press } = await open();
  await press('8');
  expect(Object.values(localStorage)).toContain(JSON.stringify({ kind: 'read-dial', hour: '8', minute: '' }));
  TestBed.resetTestingModule();
  document.body.replaceChildren();
  const again = await open();
  expect(again.find.getByRole<HTMLInputElement>('textbox', { name: 'Hour' }).value).toBe('8');
  await again.press('This is my answer');
  expect(Object.values(localStorage)).toEqual([]);
});

test('an answer with several dials shows them all and says which are right', async () => {
  const [item] = QUESTION_KINDS['choose-all'].samples;
  const { find } = await open(reveal(null, QUESTION_KINDS['choose-all'].answered(item!, DEFAULT_SETTINGS)), 'none');
  const label = find.getByRole('img').getAttribute('aria-label')!;
  expect(label.match(/[A-E]: A clock dial/g)).toHaveLength(5);
  expect(label.match(/This one is right\./g)).toHaveLength(2);
  expect(find.getByText('A and D show half past seven.')).toBeTruthy();
});

test('where two share the device each one’s answer can be given', async () => {
  const { press, store, find, settled } = await open();
  const send = () => find.getByRole<HTMLButtonElement>('button', { name: 'This is my answer' });
  await press('8');
  await press('This is my answer');
  store.given.set(half);
  store.safety.set('kept');
  await settled();
  store.given.set(null);
  store.safety.set('none');
  store.view.set(deskView({ participantId: 'other', question: questionView() }));
  await settled();
  expect(send().disabled).toBe(true);
  await press('7');
  expect(send().disabled).toBe(false);
});

test('what else comes of a question that is open takes the focus from nobody', async () => {
  const { find, setInputs } = await open();
  const hour = find.getByRole('textbox', { name: 'Hour' });
  hour.focus();
  await setInputs({ question: { ...questionView(), nudged: true } });
  expect(document.activeElement).toBe(hour);
});
