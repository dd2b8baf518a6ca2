import { ANSWER_WORDS } from '../../question-views/words';
import { DESK_WORDS } from '../../features/desk/words';
import { JOIN_WORDS } from '../../features/desk/join-words';
import { HAND_WORDS } from '../../ui/hand-words';
import { speakAs, spoken } from './spoken';

beforeEach(() => speakAs('en-GB'));
afterEach(() => speakAs('en-GB'));

test('the desk speaks the language of the lesson, the page says which, and American lessons differ where they have to', () => {
  const words = spoken({
    en: { rub: 'Rub out', deep: { one: 'a', two: 'b' } },
    us: { deep: { two: 'c' } },
    de: { rub: 'Weg', deep: { one: 'x', two: 'y' } },
  });
  expect([words().rub, words().deep.two, document.documentElement.lang]).toEqual(['Rub out', 'b', 'en-GB']);
  speakAs('en-US');
  expect([words().rub, words().deep]).toEqual(['Rub out', { one: 'a', two: 'c' }]);
  speakAs('de');
  expect([words().rub, words().deep.two, document.documentElement.lang]).toEqual(['Weg', 'y', 'de']);
});

/** All texts of a table of words; words about something are asked about a 1 and a 2. */
function textsOf(words: object): string[] {
  return Object.values(words).flatMap((one: unknown) =>
    typeof one === 'string'
      ? [one]
      : typeof one === 'function'
        ? [String((one as (...about: unknown[]) => unknown)(1, 2))]
        : textsOf(one as object),
  );
}

test('a German lesson has no English word on the desk, and no desk has words of machines', () => {
  for (const words of [DESK_WORDS, ANSWER_WORDS, JOIN_WORDS, HAND_WORDS]) {
    speakAs('en-GB');
    const english = new Set(textsOf(words()).filter((text) => text.length > 6 || /[a-z] [a-z]/.test(text)));
    speakAs('de');
    const german = textsOf(words());
    expect(german.filter((text) => english.has(text))).toEqual([]);
    for (const text of [...english, ...german]) expect(text).not.toMatch(/server|build|browser|version|error|gerätespeicher/i);
  }
});
