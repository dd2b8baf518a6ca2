import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import {
  kindOf,
  QUESTION_KINDS,
  type Item,
  type ItemView,
  type QuestionKindId,
  type Response,
} from '@zeitpunkt/core/question-kinds/registry';
import { TestBed } from '@angular/core/testing';
import { heard, render } from '../testing/render';
import type { AnswerView, ViewOfShape } from './answer-view';
import { LineAnswerView } from './line/answer';
import { markedLine, placeOnLine } from './line/marked-line';
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
  const view = screen.component as AnswerView<ItemView>;
  const answers = heard(view.answered);
  /** What the press at the foot of the desk does. */
  const send = () => {
    if (view.ready()) answers.push(view.response());
  };
  return { ...screen, view, send, answers, drafts: heard(view.drafted) };
}

test('numbers go from box to box by the pad, in digits of any script, and a draft is told with each', async () => {
  const { press, find, type, send, answers, drafts } = await open(NumbersAnswerView, itemOf('ring-minutes', 1)); // the 1 and the 9
  for (const digit of ['5']) await press(digit);
  await type(find.getByRole('textbox', { name: 'Number at 9' }), '٤٥');
  send();
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
  const { press, find, type, view, send, answers } = await open(WordsAnswerView, itemOf('write-words'));
  const line = () => find.getByRole<HTMLInputElement>('textbox', { name: 'In words' });
  expect(view.ready()).toBe(false);
  for (const word of ['half', 'past', 'eight']) await press(word);
  await press('Rub out');
  await press('seven');
  expect(line().value).toBe('half past seven');
  send();
  await type(line(), '<b>half</b> '.repeat(1000));
  send();
  expect(answers[0]).toEqual({ kind: 'write-words', lines: ['half past seven'] });
  expect((answers[1] as unknown as { lines: string[] }).lines[0]).toHaveLength(120);
});

test('a card takes the partner that is pressed after it, a partner has one card, and the next card waits', async () => {
  const { find, press, send, answers, page } = await open(PairsAnswerView, itemOf('match'));
  const cards = () => [...page.querySelectorAll('.cards button')];
  expect(cards()[0]!.getAttribute('aria-pressed')).toBe('true');
  await press(/^2, for card A/);
  expect(cards()[1]!.getAttribute('aria-pressed')).toBe('true');
  await press(/^2, for card B/);
  expect(find.getByRole('status').textContent).toBe('Card B with 2.');
  await press(/^3, for card A/);
  send();
  expect(answers).toEqual([{ kind: 'match', pairs: [2, 1, null] }]);
});

test('cards change places by their buttons, and the order is told', async () => {
  const { press, find, view, send, answers } = await open(OrderAnswerView, itemOf('order-times'));
  expect(view.ready()).toBe(false);
  await press('B earlier');
  expect(find.getByRole('status').textContent).toBe('In order now: B, A, C.');
  expect(find.getByRole<HTMLButtonElement>('button', { name: 'B earlier' }).disabled).toBe(true);
  send();
  expect(answers).toEqual([{ kind: 'order-times', order: [1, 0, 2] }]);
});

test('a marker says where it is by what is written on the line, and is no answer before it is moved', async () => {
  const { find, key, press, view, send, answers } = await open(LineAnswerView, itemOf('place-on-line', 3));
  const marker = find.getByRole('slider', { name: 'Marker' });
  expect([view.ready(), marker.getAttribute('aria-valuetext')]).toEqual([false, 'midnight']);
  await key(marker, 'End');
  await key(marker, 'PageDown');
  await press('Marker back a little');
  const { stepSec } = view.view() as ViewOfShape<'line'>;
  expect(Number(marker.getAttribute('aria-valuenow'))).toBe(86_400 - 6 * stepSec);
  expect(marker.getAttribute('aria-valuetext')).toMatch(/right of noon$/);
  send();
  expect(answers).toEqual([{ kind: 'place-on-line', atSec: 86_400 - 6 * stepSec }]);
});

test('a tap on the drawn line is the place that is drawn there, at every step of it', () => {
  for (const place of [0, 3]) {
    const view = viewOf(itemOf('place-on-line', place)) as ViewOfShape<'line'>;
    for (const isNarrow of [false, true]) {
      for (let atSec = view.fromSec; atSec <= view.toSec; atSec += view.stepSec) {
        const { width, nodes } = markedLine(view, atSec, isNarrow);
        const mark = nodes.find(({ id }) => id === 'band-at')!;
        const x = mark.type === 'circle' ? mark.cx : Number(/L([\d.]+) [\d.]+ Z/.exec((mark as { d: string }).d)![1]);
        const at = view.line.type === 'day-line' ? Math.min(86_399, atSec) : atSec;
        expect(Math.abs(placeOnLine(view, x, width) - at)).toBeLessThanOrEqual(1);
        expect(nodes.some(({ id }) => id === 'band-at-text')).toBe(false);
      }
    }
  }
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
  const { send, answers } = await open(component, item, key);
  send();
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
