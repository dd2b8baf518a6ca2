import type { Choice } from '@zeitpunkt/core/question-kinds/shapes/choices';
import { displayText24 } from '@zeitpunkt/core/time/display';
import { SECONDS_PER_DAY, SECONDS_PER_HALF_DAY, secondOfDay, toSecondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { readTimeEntry } from '@zeitpunkt/core/words/time-entry';
import { choice, timeField, timeText, type BeatField } from './beat-field';
import { FIELD_WORDS } from './words';
import { choiceLines, choicesTyped } from '../composer/choice-lines';

/** A number that a file keeps as one of a few. */
export const oneOfNumbers = (
  key: string,
  label: string,
  options: readonly { readonly value: string; readonly text: string }[],
): BeatField => ({
  ...choice(key, label, options),
  read: (item) => String((item as Record<string, number>)[key]),
  write: (text) => ({ change: { [key]: Number(text) } }),
});

/** Times one after the other, each read near the one before. */
export function timesField(key: string, label: string, least: number, most: number, roundSec = SECONDS_PER_HALF_DAY): BeatField {
  return {
    key,
    label,
    type: 'line',
    hint: FIELD_WORDS().timesHint,
    read: (item, settings) => ((item as Record<string, readonly number[]>)[key] ?? []).map((sec) => timeText(sec, settings)).join(', '),
    write(text, item, settings) {
      const words = split(text);
      if (words.length < least || words.length > most) return { problem: FIELD_WORDS().timesCame(least, most, words.length) };
      const before = (item as Record<string, readonly number[]>)[key] ?? [];
      const times: number[] = [];
      for (const [index, word] of words.entries()) {
        const near = before[index] ?? before.at(-1) ?? secondOfDay(8, 0);
        const typed = readTimeEntry(word, settings.pack, toSecondOfDay(near));
        if ('problem' in typed) return typed;
        times.push(typed.at);
      }
      if (new Set(times.map((sec) => sec % roundSec)).size < times.length) return { problem: FIELD_WORDS().sameTimes };
      return { change: { [key]: times } };
    },
  };
}

/** Numerals of the dial, all different. */
export const numeralsField = (key: string, label: string, most: number): BeatField => ({
  key,
  label,
  type: 'line',
  hint: FIELD_WORDS().numeralsHint,
  read: (item) => (item as Record<string, readonly number[]>)[key]!.join(', '),
  write(text) {
    const numerals = split(text).map(Number);
    if (numerals.length < 1 || numerals.length > most) return { problem: FIELD_WORDS().numeralsCame(most) };
    const isNumeral = (one: number) => Number.isInteger(one) && one >= 1 && one <= 12;
    if (!numerals.every(isNumeral) || new Set(numerals).size < numerals.length) return { problem: FIELD_WORDS().eachOnce };
    return { change: { [key]: numerals } };
  },
});

/** What stands between commas. */
export const split = (text: string): string[] =>
  text
    .split(/[,;]/)
    .map((word) => word.trim())
    .filter(Boolean);

/** Choices, one a line; the key follows from what they show. */
export const choicesField = (most: number): BeatField => ({
  key: 'choices',
  label: FIELD_WORDS().choices,
  type: 'lines',
  hint: FIELD_WORDS().choicesHint,
  read: (item, settings) => choiceLines((item as { readonly choices: readonly Choice[] }).choices, settings),
  write(text, _item, settings) {
    const typed = choicesTyped(text, most, settings);
    return 'choices' in typed ? { change: { choices: typed.choices } } : typed;
  },
});

/** A time of the whole day as it is typed. */
const text24 = (sec: number) => displayText24(toSecondOfDay(sec));

/** Times of the whole day, one after the other. */
export function dayTimesField(key: string, label: string, least: number, most: number): BeatField {
  const read = (item: never) => (item as Record<string, readonly number[]>)[key]!.map(text24).join(', ');
  return { ...timesField(key, label, least, most, SECONDS_PER_DAY), hint: FIELD_WORDS().dayTimesHint, read };
}

/** A time of the whole day: the half of the day can be said with it, "7:30 in the evening" or 19:30. */
export function dayTime(key: string, label: string): BeatField {
  return {
    ...timeField(key, label),
    hint: FIELD_WORDS().dayTimeHint,
    read: (item) => text24((item as Record<string, number>)[key]!),
  };
}
