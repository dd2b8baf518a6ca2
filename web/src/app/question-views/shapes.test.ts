import { DEFAULT_SETTINGS, kindOf, QUESTION_KINDS, type Item, type QuestionKindId, type Response } from '@zeitpunkt/core';
import { TestBed } from '@angular/core/testing';
import { heard, render } from '../testing/render';
import { LineAnswerView } from './line/answer';
import { NumbersAnswerView } from './numbers/answer';
import { OrderAnswerView } from './order/answer';
import { PairsAnswerView } from './pairs/answer';
import { TextResponse } from './text-response';
import { TimesAnswerView } from './times/answer';
import { WordsAnswerView } from './words/answer';

const itemOf = (kind: QuestionKindId, place = 0) => QUESTION_KINDS[kind].samples[place] as Item;
const viewOf = (item: Item) => kindOf(item).viewOf(item, DEFAULT_SETTINGS);

async function open(component: Parameters<typeof render>[0], item: Item, given: Response | null = null) {
  const screen = await render(component, { view: viewOf(item), given });
  const view = screen.component as {
    answered: { subscribe(hear: (one: Response) => void): unknown };
    drafted: { subscribe(hear: (one: Response) => void): unknown };
  };
  return { ...screen, answers: heard(view.answered), drafts: heard(view.drafted) };
}
const SEND = 'This is my answer';

test('numbers go from box to box by the pad, in digits of any script, and a draft is told with each', async () => {
  const { press, find, type, answers, drafts } = await open(NumbersAnswerView, itemOf('ring-minutes', 1)); // the 1 and the 9
  for (const digit of ['5']) await press(digit);
  await type(find.getByRole('textbox', { name: '9' }), '٤٥');
  await press(SEND);
  expect(answers).toEqual([{ kind: 'ring-minutes', values: ['5', '45'] }]);
  expect(drafts).toEqual([
    { kind: 'ring-minutes', values: ['5', ''] },
    { kind: 'ring-minutes', values: ['5', '45'] },
  ]);
});

test('the gaps of a row are filled, hour and minutes each, and Enter sends them', async () => {
  const { find, type, key, answers, page } = await open(TimesAnswerView, itemOf('pattern', 4));
  expect([...page.querySelectorAll('.plate, .rest span')].map((one) => one.textContent!.trim())).toEqual(['6:50', '7:00', '7:20', '7:30']);
  await type(find.getByRole('textbox', { name: 'Gap 1, hour' }), '7');
  await type(find.getByRole('textbox', { name: 'Gap 1, minutes' }), '10');
  await key(find.getByRole('textbox', { name: 'Gap 1, minutes' }), 'Enter');
  expect(answers).toEqual([{ kind: 'pattern', times: [{ hour: '7', minute: '10' }] }]);
});

test('words are pressed together and rubbed out, or typed; nothing is no answer, and 10,000 letters are cut', async () => {
  const { press, find, type, answers } = await open(WordsAnswerView, itemOf('write-words'));
  const line = () => find.getByRole<HTMLInputElement>('textbox', { name: 'In words' });
  const send = find.getByRole<HTMLButtonElement>('button', { name: SEND });
  expect(send.disabled).toBe(true);
  for (const word of ['half', 'past', 'eight']) await press(word);
  await press('Rub out');
  await press('seven');
  expect(line().value).toBe('half past seven');
  await press(SEND);
  await type(line(), '<b>half</b> '.repeat(1000));
  await press(SEND);
  expect(answers[0]).toEqual({ kind: 'write-words', lines: ['half past seven'] });
  expect((answers[1] as unknown as { lines: string[] }).lines[0]).toHaveLength(120);
});

test('a card takes the partner that is pressed after it, a partner has one card, and the next card waits', async () => {
  const { find, press, answers, page } = await open(PairsAnswerView, itemOf('match'));
  const cards = () => [...page.querySelectorAll('.cards button')];
  expect(cards()[0]!.getAttribute('aria-pressed')).toBe('true');
  await press(/^2, for card A/);
  expect(cards()[1]!.getAttribute('aria-pressed')).toBe('true');
  await press(/^2, for card B/);
  expect(find.getByRole('status').textContent).toBe('Card B with 2.');
  await press(/^3, for card A/);
  await press(SEND);
  expect(answers).toEqual([{ kind: 'match', pairs: [2, 1, null] }]);
});

test('cards change places by their buttons, and the order is told', async () => {
  const { press, find, answers } = await open(OrderAnswerView, itemOf('order-times'));
  await press('B earlier');
  expect(find.getByRole('status').textContent).toBe('In order now: B, A, C.');
  expect(find.getByRole<HTMLButtonElement>('button', { name: 'B earlier' }).disabled).toBe(true);
  await press(SEND);
  expect(answers).toEqual([{ kind: 'order-times', order: [1, 0, 2] }]);
});

test('a marker says where it is by what is written on the line, and is no answer before it is moved', async () => {
  const { find, type, press, answers } = await open(LineAnswerView, itemOf('place-on-line', 3));
  const marker = find.getByRole<HTMLInputElement>('slider', { name: 'Marker' });
  const send = find.getByRole<HTMLButtonElement>('button', { name: SEND });
  expect([send.disabled, marker.getAttribute('aria-valuetext')]).toEqual([true, 'midnight']);
  await type(marker, '70200');
  expect(marker.getAttribute('aria-valuetext')).toBe('after 7, right of noon');
  await press(SEND);
  expect(answers).toEqual([{ kind: 'place-on-line', atSec: 70_200 }]);
});

test.each<[Parameters<typeof render>[0], QuestionKindId]>([
  [NumbersAnswerView, 'fill-face'],
  [TimesAnswerView, 'pattern'],
  [WordsAnswerView, 'write-words'],
  [PairsAnswerView, 'match'],
  [OrderAnswerView, 'order-times'],
  [LineAnswerView, 'place-on-line'],
])('what was put together before is there again to go on with', async (component, kind) => {
  const item = itemOf(kind);
  const key = kindOf(item).keyOf(item, DEFAULT_SETTINGS);
  const { press, answers } = await open(component, item, key);
  await press(SEND);
  expect(answers).toEqual([key]);
});

test('a response reads as it was given, whatever its shape', async () => {
  const read = async (kind: QuestionKindId, response: unknown, place = 0) => {
    TestBed.resetTestingModule();
    const { page } = await render(TextResponse, { view: viewOf(itemOf(kind, place)), response });
    return page.textContent;
  };
  expect(await read('later-earlier', { kind: 'later-earlier', hour: '1', minute: '' }, 2)).toBe('1 h 0 min');
  expect(await read('match', { kind: 'match', pairs: [2, null, 0] })).toBe('A 3, B –, C 1');
  expect(await read('place-on-line', { kind: 'place-on-line', atSec: 70_200 }, 3)).toBe('19:30');
  expect(await read('write-words', { kind: 'write-words', lines: ['', 'half past'] })).toBe('_ / half past');
});
