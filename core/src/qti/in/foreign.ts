import type { LessonSettings } from '../../lesson/settings.js';
import { kindOf, type Item } from '../../question-kinds/registry.js';
import { childrenOf, textWithin, within, type XmlElement, type XmlNode } from '../xml.js';
import { sameOnDial, timeOf, timesOf, timeSpokenOf } from './times.js';

/** An item that was understood, or why it was not, as a sentence for the teacher. */
export type ItemRead = { readonly item: Item } | { readonly why: string };

const NO_TIME = 'It asks nothing that is a time in words or digits.';
const PICTURE = 'What it asks about is a picture, and pictures are not read.';

/** What is declared right for the one response of an item. */
interface Declared {
  readonly cardinality: string;
  readonly correct: readonly string[];
}

interface Asked {
  readonly interaction: XmlElement;
  /** Everything that is said to the pupil before the answer. */
  readonly prompt: string;
  readonly hasPicture: boolean;
  readonly declared: Declared;
  readonly settings: LessonSettings;
  readonly id: string;
}

/** Interactions of the standard that questions about the clock can be made of. */
const READERS: Readonly<Record<string, (asked: Asked) => ItemRead>> = {
  'qti-choice-interaction': choice,
  'qti-text-entry-interaction': textEntry,
  'qti-match-interaction': match,
  'qti-order-interaction': order,
};

/** Reads an item that another program wrote. Only what is surely a question about the clock is taken. */
export function readForeign(root: XmlElement, id: string, settings: LessonSettings): ItemRead {
  const [body] = childrenOf(root, 'qti-item-body');
  if (!body) return { why: 'It has no body.' };
  const interactions = interactionsIn(body);
  const [interaction] = interactions;
  if (!interaction) return { why: 'It asks for no answer.' };
  if (interactions.length > 1) return { why: 'It asks for several answers at once.' };
  const reader = READERS[interaction.name];
  if (!reader) return { why: `It is answered in a way that is not known here (${interaction.name}).` };
  const responseId = interaction.attributes['response-identifier'];
  const declaration = childrenOf(root, 'qti-response-declaration').find(({ attributes }) => attributes['identifier'] === responseId);
  const correct = declaration
    ? childrenOf(declaration, 'qti-correct-response')
        .flatMap((one) => childrenOf(one, 'qti-value'))
        .map(textWithin)
    : [];
  if (!declaration || correct.length === 0) return { why: 'It does not say what is right.' };
  const read = reader({
    interaction,
    prompt: promptOf(body, interaction),
    hasPicture: ['img', 'object', 'picture', 'svg'].some((name) => within(body, name).length > 0),
    declared: { cardinality: declaration.attributes['cardinality'] ?? 'single', correct },
    settings,
    id,
  });
  return read;
}

function interactionsIn(body: XmlElement): XmlElement[] {
  return body.children.flatMap((child) =>
    typeof child === 'string' ? [] : child.name.endsWith('-interaction') ? [child] : interactionsIn(child),
  );
}

/** The words around an interaction, and its own prompt. */
function promptOf(body: XmlElement, interaction: XmlElement): string {
  const without = (element: XmlElement): XmlElement => ({
    ...element,
    children: element.children.flatMap((child): XmlNode[] => {
      if (typeof child === 'string') return [child];
      return child === interaction ? childrenOf(child, 'qti-prompt') : [without(child)];
    }),
  });
  return textWithin(without(body));
}

const choicesOf = (of: XmlElement, name: string) =>
  within(of, name).map((one) => ({
    id: one.attributes['identifier'] ?? '',
    text: textWithin(one),
    isPicture: within(one, 'img').length > 0 && textWithin(one) === '',
  }));

function choice({ interaction, prompt, hasPicture, declared, settings, id }: Asked): ItemRead {
  const choices = choicesOf(interaction, 'qti-simple-choice');
  if (choices.some(({ isPicture }) => isPicture)) return { why: 'Its choices are pictures, and pictures are not read.' };
  const asked = timeSpokenOf(prompt, settings);
  if (!asked) return { why: hasPicture ? PICTURE : NO_TIME };
  const times = timesOf(
    choices.map(({ text }) => text),
    settings,
  );
  if (!times) return { why: 'Not all of its choices are times.' };
  const several = declared.cardinality === 'multiple';
  const item = {
    id,
    kind: several ? ('choose-all' as const) : ('choose-one' as const),
    timeSec: asked.at,
    from: asked.as,
    choices: choices.map(({ text }) => ({ text })),
  };
  const [least, most] = [2, several ? 8 : 5];
  if (choices.length < least || choices.length > most)
    return { why: `It has ${choices.length} choices; there may be ${least} to ${most}.` };
  const key = choices.flatMap((one, place) => (declared.correct.includes(one.id) ? [place] : []));
  return ifKeyIs(item, (response) => 'chosen' in response && [...response.chosen].sort().join() === key.join(), settings);
}

function textEntry({ prompt, hasPicture, declared, settings, id }: Asked): ItemRead {
  const right = timeOf(declared.correct[0]!, settings);
  if (!right) return { why: 'What is right is no time in words or digits.' };
  const asked = timeSpokenOf(prompt, settings);
  if (!asked) return { why: hasPicture ? PICTURE : NO_TIME };
  if (!sameOnDial(asked.at, right.at)) return { why: 'What it asks for is another time than it gives.' };
  if (asked.as === right.as) return { why: 'It gives the time in the way in which it asks for it.' };
  if (right.as === 'display') return { item: { id, kind: 'write-display', timeSec: asked.at } };
  return { item: { id, kind: 'write-words', timeSec: asked.at, from: 'display', lines: 1 } };
}

function match({ interaction, declared, settings, id }: Asked): ItemRead {
  const sets = childrenOf(interaction, 'qti-simple-match-set').map((set) => choicesOf(set, 'qti-simple-associable-choice'));
  const [left, right] = sets;
  if (!left || !right || left.length < 2 || left.length > 4 || right.length < left.length || right.length > left.length + 1) {
    return { why: 'It has not two to four times on the left and as many, or one more, on the right.' };
  }
  const [times, others] = [left, right].map((set) =>
    timesOf(
      set.map(({ text }) => text),
      settings,
    ),
  );
  if (!times || !others) return { why: 'Not all that belongs together are times in words or digits.' };
  const [ways, otherWays] = [times, others].map((all) => new Set(all.map(({ as }) => as)));
  if (ways!.size !== 1 || otherWays!.size !== 1) return { why: 'Words and digits are mixed on one side.' };
  const item = {
    id,
    kind: 'match' as const,
    left: times[0]!.as,
    right: others[0]!.as,
    times: times.map(({ at }) => at),
    others: others.map(({ at }) => at),
  };
  const key = left.map((card) => {
    const pair = declared.correct.find((one) => one.split(/\s+/)[0] === card.id);
    return pair ? right.findIndex((partner) => partner.id === pair.split(/\s+/)[1]) : null;
  });
  return ifKeyIs(item, (response) => 'pairs' in response && response.pairs.join() === key.join(), settings);
}

function order({ interaction, declared, settings, id }: Asked): ItemRead {
  const cards = choicesOf(interaction, 'qti-simple-choice');
  if (cards.length < 3 || cards.length > 5) return { why: `It puts ${cards.length} in order; there may be 3 to 5.` };
  const times = timesOf(
    cards.map(({ text }) => text),
    settings,
  );
  if (!times) return { why: 'Not all that is put in order are times.' };
  if (new Set(times.map(({ as }) => as)).size !== 1) return { why: 'Words and digits are mixed.' };
  const item = { id, kind: 'order-times' as const, times: times.map(({ at }) => at), as: times[0]!.as };
  const key = declared.correct.map((one) => cards.findIndex((card) => card.id === one));
  return ifKeyIs(item, (response) => 'order' in response && response.order.join() === key.join(), settings);
}

/** The item, where what is right of it here is what its file says; nothing is taken that would be marked otherwise. */
function ifKeyIs(
  item: Item,
  isKey: (response: ReturnType<ReturnType<typeof kindOf>['keyOf']>) => boolean,
  settings: LessonSettings,
): ItemRead {
  return isKey(kindOf(item).keyOf(item, settings)) ? { item } : { why: 'By its times another answer would be right than its file says.' };
}
