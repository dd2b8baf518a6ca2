import type { SessionDetail } from '@zeitpunkt/contract';
import { heard, render, textOf, until } from '../../testing/render';
import { askingOf, responseOf, sessionDetail } from '../../testing/session';
import { Wall } from './wall';

const withLive = (change: Partial<SessionDetail['live']>): SessionDetail => {
  const detail = sessionDetail();
  return { ...detail, live: { ...detail.live, ...change } };
};

test('answers come in as they are given, and stand by their idea after the reveal', async () => {
  const responses = [responseOf('Anouk', 'q1'), responseOf('Bashir', 'q1', ['coming-hour'])];
  const { find, setInputs } = await render(Wall, {
    detail: withLive({ responses: responses.slice(0, 1) }),
    asking: askingOf('q1', 'open'),
  });
  expect(textOf(find.getByRole('heading', { level: 2 }))).toBe('1 of 3 answered open');
  await setInputs({ detail: withLive({ responses }), asking: askingOf('q1', 'revealed') });
  expect(textOf(find.getByRole('heading', { level: 2 }))).toBe('2 of 3 answered answer shown');
  await until(() => /8:30/.test(textOf(find.getByRole('region', { name: /Another hour/ }))));
  const group = (name: RegExp) => textOf(find.getByRole('region', { name }));
  expect(group(/Another hour/)).toContain('8:30 Bashir');
  expect(group(/^Right/)).toMatch(/Right, 7:30.*Anouk/);
  expect(group(/^No answer/)).toContain('Ceri');
});

test('an answer that came late stands by itself until the teacher lets it count', async () => {
  const late = { ...responseOf('Ceri', 'q1'), receivedAtMs: 130_000, late: { givenAtMs: 99_000, closedAtMs: 100_000, counted: false } };
  const asking = askingOf('q1', 'revealed');
  const { find, press, setInputs, component } = await render(Wall, { detail: withLive({ responses: [late] }), asking });
  const acts = heard((component as Wall).act);
  expect(textOf(find.getByRole('heading', { level: 2 }))).toBe('0 of 3 answered answer shown');
  expect(textOf(find.getByRole('region', { name: 'Came late' }))).toContain('Ceri');
  await press('Late answer of Ceri, given in time by the device’s clock, came 30 s after the close. Let it count');
  expect(acts).toEqual([{ type: 'count', responseId: late.id, counted: true }]);
  await setInputs({ detail: withLive({ responses: [{ ...late, late: { ...late.late, counted: true } }] }), asking });
  expect(textOf(find.getByRole('region', { name: 'Right' }))).toContain('Ceri');
});

test('the whole class is one bar, in the order and with the signs of the groups', async () => {
  const responses = [responseOf('Anouk', 'q1'), responseOf('Bashir', 'q1', ['coming-hour'])];
  const { find } = await render(Wall, { detail: withLive({ responses }), asking: askingOf('q1', 'revealed') });
  const bar = find.getByRole('list', { name: 'The whole class' });
  expect([...bar.querySelectorAll('button')].map((one) => one.textContent.trim())).toEqual(['… 1', 'A 1', '✓ 1']);
});

test('for sharing one press hides every name and every mark, and nobody’s answers can be opened', async () => {
  const responses = [responseOf('Bashir', 'q1', ['coming-hour']), responseOf('Anouk', 'q1')];
  const { find, page, press } = await render(Wall, { detail: withLive({ responses }), asking: askingOf('q1', 'revealed') });
  await press('Hide names and marks');
  expect(textOf(find.getByRole('region', { name: 'Answered' }))).not.toMatch(/Anouk|Bashir/);
  expect(find.queryByRole('region', { name: /^Right|oming hour/ })).toBeNull();
  for (const name of ['Anouk', 'Bashir', 'Ceri']) expect(page.innerHTML).not.toContain(name);
  expect(find.getAllByRole<HTMLButtonElement>('button', { name: 'Answers of a pupil' }).every(({ disabled }) => disabled)).toBe(true);
});

test('a part of the bar shows its group alone; a card opens what the pupil answered; arrow keys go from card to card', async () => {
  const earlier = responseOf('Bashir', 'q1', ['coming-hour']);
  const detail = withLive({ responses: [earlier, responseOf('Anouk', 'q1')] });
  const asked = {
    ...detail,
    live: { ...detail.live, room: { ...detail.live.room, run: { ...detail.live.room.run, askings: [askingOf('q1', 'revealed')] } } },
  };
  const { find, press, key, setInputs } = await render(Wall, { detail: asked, asking: askingOf('q1', 'revealed') });
  const card = (name: string) => find.getByRole('button', { name: `Answers of ${name}` });
  card('Ceri').focus();
  await key(card('Ceri'), 'ArrowRight');
  expect(document.activeElement).toBe(card('Bashir'));
  await key(card('Bashir'), 'End');
  expect(document.activeElement).toBe(card('Anouk'));
  await press('Answers of Bashir');
  const answers = find.getByRole('region', { name: 'Bashir so far' });
  expect(textOf(answers)).toMatch(/1\. What time is it\?.*partly: Another hour/);
  await press(/^1 Right/);
  expect(find.queryByRole('button', { name: 'Answers of Bashir' })).toBeNull();
  // One more answer comes: what the teacher looks at stays.
  await setInputs({
    detail: { ...asked, live: { ...asked.live, responses: [...asked.live.responses, responseOf('Ceri', 'q1')] } },
    asking: askingOf('q1', 'revealed'),
  });
  expect(find.getByRole('region', { name: 'Bashir so far' })).toBeTruthy();
  expect(find.queryByRole('button', { name: 'Answers of Bashir' })).toBeNull();
  await press(/^2 Right/);
  expect(card('Bashir')).toBeTruthy();
});

test('a group is talked about by the answer that most of it gave, and without a name', async () => {
  const detail = withLive({ responses: [responseOf('Bashir', 'q1', ['coming-hour']), responseOf('Anouk', 'q1')] });
  const { find, setInputs, press, component } = await render(Wall, { detail, asking: askingOf('q1', 'open') });
  const talked = heard((component as Wall).discuss);
  expect(find.queryByRole('button', { name: /^Talk about it/ })).toBeNull(); // not while others still think
  await setInputs({ asking: askingOf('q1', 'closed') });
  await press(/^Talk about it/);
  expect(talked).toEqual([detail.live.responses[0]!.response]);
});
