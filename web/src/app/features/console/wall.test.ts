import type { SessionDetail } from '@zeitpunkt/contract';
import { heard, render, textOf, until } from '../../testing/render';
import { askingOf, responseOf, sessionDetail } from '../../testing/session';
import { Wall } from './wall';

const withLive = (change: Partial<SessionDetail['live']>): SessionDetail => {
  const detail = sessionDetail();
  return { ...detail, live: { ...detail.live, ...change } };
};

test('between questions the wall tells who is in, who is missing, whose line is lost, and frees a name', async () => {
  const [anouk, bashir, ceri] = sessionDetail().live.participants;
  const { find, page, press, component } = await render(Wall, {
    detail: withLive({ participants: [anouk!, { ...bashir!, online: false }, ceri!] }),
    asking: null,
  });
  const freed = heard((component as Wall).release);
  expect(textOf(find.getByRole('heading'))).toBe('3 of 4 are in');
  expect(page.textContent).toContain('Not in yet: Dov');
  expect(textOf(find.getAllByRole('listitem')[1]!)).toBe('Bashir (line lost)');
  page.querySelector('details')!.open = true;
  await press('Free Ceri');
  expect(freed).toEqual([ceri!.id]);
});

test('answers come in as they are given, and stand by their idea after the reveal', async () => {
  const responses = [responseOf('Anouk', 'q1'), responseOf('Bashir', 'q1', ['coming-hour'])];
  const { find, setInputs } = await render(Wall, {
    detail: withLive({ responses: responses.slice(0, 1) }),
    asking: askingOf('q1', 'open'),
  });
  expect(textOf(find.getByRole('heading', { level: 2 }))).toBe('1 of 3 answered open');
  await setInputs({ detail: withLive({ responses }), asking: askingOf('q1', 'revealed') });
  expect(textOf(find.getByRole('heading', { level: 2 }))).toBe('2 of 3 answered revealed');
  await until(() => /8:30/.test(textOf(find.getByRole('region', { name: /oming hour/ }))));
  const group = (name: RegExp) => textOf(find.getByRole('region', { name }));
  expect(group(/oming hour/)).toContain('8:30 Bashir');
  expect(group(/^Right/)).toContain('7:30 Anouk');
  expect(group(/^No answer/)).toContain('Ceri');
});

test('an empty room says so', async () => {
  const { page } = await render(Wall, { detail: withLive({ participants: [] }), asking: null });
  expect(page.textContent).toContain('Nobody yet.');
});
