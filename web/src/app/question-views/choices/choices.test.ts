import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { kindOf, QUESTION_KINDS, type ViewOf } from '@zeitpunkt/core/question-kinds/registry';
import { render, textOf } from '../../testing/render';
import { ChoicesAnswerView } from './answer';
import { ChoicesResponseView } from './response';

const [dials, , texts] = QUESTION_KINDS['choose-all'].samples;
const viewOf = (item: typeof dials) => kindOf(item!).viewOf(item!, DEFAULT_SETTINGS) as ViewOf<'choose-all'>;

async function open(item: typeof dials, given: unknown = null) {
  const screen = await render(ChoicesAnswerView, { view: viewOf(item), given });
  const choices = () => screen.find.getByRole('group').querySelectorAll('button');
  const taken = () => [...choices()].flatMap((button, place) => (button.getAttribute('aria-pressed') === 'true' ? [place] : []));
  const press = async (place: number) => {
    choices()[place]!.click();
    await screen.settled();
  };
  return { ...screen, choices, taken, pressChoice: press, view: screen.component as ChoicesAnswerView };
}

test('choices are taken and left again, and go out in the order they stand', async () => {
  const { pressChoice, taken, view } = await open(dials);
  for (const place of [3, 1, 0, 1]) await pressChoice(place);
  expect(taken()).toEqual([0, 3]);
  expect(view.response()).toEqual({ kind: 'choose-all', chosen: [0, 3] });
});

test('nothing taken is no answer; what was given is there to be changed', async () => {
  const { view, pressChoice, taken } = await open(dials, { kind: 'choose-all', chosen: [2] });
  expect(taken()).toEqual([2]);
  await pressChoice(2);
  expect(view.ready()).toBe(false);
});

test('each dial says what is seen on it, without reading it', async () => {
  const { find } = await open(dials);
  const images = find.getAllByRole('img').map((image) => image.getAttribute('aria-label'));
  expect(images).toHaveLength(5);
  for (const label of images) expect(label).toMatch(/^A clock dial\. .* between \d+ and \d+|^A clock dial\. .* at 7/);
});

test('of choices of which one fits, taking another leaves the first', async () => {
  const [item] = QUESTION_KINDS['choose-one'].samples;
  const { view, choices, settled } = await open(item as unknown as typeof dials);
  choices()[0]!.click();
  choices()[1]!.click();
  await settled();
  expect(view.response()).toEqual({ kind: 'choose-one', chosen: [1] });
});

test('texts stand one under the other with their letters', async () => {
  const { choices } = await open(texts);
  expect([...choices()].map(textOf)).toContain('B quarter to four ✓');
});

test('whole sentences stand there one at a time; one is taken where it stands, and another instead of it', async () => {
  const [item] = QUESTION_KINDS['explain-mistake'].samples;
  const { view, press, page, find, setInputs } = await open(item as unknown as typeof dials);
  const sentence = () => textOf(page.querySelector('.sentence')!);
  const [first] = [sentence()];
  await press('The next one');
  expect(sentence()).not.toBe(first);
  await setInputs({ view: viewOf(item as unknown as typeof dials) }); // the same question once more, as after a nudge
  expect(find.getByRole('status').textContent).toBe('Sentence 2 of 4');
  page.querySelector<HTMLElement>('.sentence')!.click();
  expect(view.response()).toEqual({ kind: 'explain-mistake', chosen: [1] });
  await press('Sentence 1 of 4');
  expect([sentence(), page.querySelector('.step.chosen')!.textContent!.trim()]).toEqual([first, 'B']);
  page.querySelector<HTMLElement>('.sentence')!.click();
  expect(view.response()).toEqual({ kind: 'explain-mistake', chosen: [0] });
});

test('a response shows which were taken, and says so', async () => {
  const { page } = await render(ChoicesResponseView, { response: { kind: 'choose-all', chosen: [0, 2] }, view: viewOf(dials) });
  expect(page.querySelector('.heard-only')!.textContent).toBe('A and C');
  expect([...page.querySelectorAll('.taken')].map((one) => one.textContent)).toEqual(['A', 'C']);
});
