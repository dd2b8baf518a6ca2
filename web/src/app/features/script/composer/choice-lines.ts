import { gearedPose } from '@zeitpunkt/core/dial/pose';
import { reportPose } from '@zeitpunkt/core/dial/possible';
import type { LessonSettings } from '@zeitpunkt/core/lesson/settings';
import type { Choice } from '@zeitpunkt/core/question-kinds/shapes/choices';
import { displayText } from '@zeitpunkt/core/time/display';
import { secondOfDay, toSecondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { readTimeEntry } from '@zeitpunkt/core/words/time-entry';
import { FIELD_WORDS } from '../fields/words';

const DEGREES_A_NUMERAL = 30;

/**
 * Choices as lines that a teacher types: a text as it stands, a dial as "dial 7:45", with "few numerals" where it has only
 * four, and with "short hand at 7" where the hour hand is not where gears have it, and as "hands" with two angles in degrees where the long
 * hand is on no minute.
 */
export function choiceLines(choices: readonly Choice[], { separator }: LessonSettings): string {
  return choices
    .map((choice) => {
      if ('text' in choice) return choice.text;
      const { nearest } = reportPose(choice);
      const few = choice.numerals === 'all' ? '' : ' few numerals';
      if (gearedPose(nearest).minuteDeg !== choice.minuteDeg) return `hands ${choice.hourDeg} ${choice.minuteDeg}${few}`;
      const off = Math.abs(gearedPose(nearest).hourDeg - choice.hourDeg) > 0.5;
      const at = Math.round((choice.hourDeg / DEGREES_A_NUMERAL) * 10) / 10 || 12;
      return `dial ${displayText(nearest, separator)}${off ? ` short hand at ${at}` : ''}${few}`;
    })
    .join('\n');
}

const DIAL = /^dial\s+(.+?)(?:\s+short hand at\s+(\d{1,2}(?:[.,]\d)?))?(\s+few numerals)?$/i;
const HANDS = /^hands\s+(\d{1,3}(?:\.\d+)?)\s+(\d{1,3}(?:\.\d+)?)(\s+few numerals)?$/i;
const LONGEST = 200;

/** Choices that were typed, one a line; a sentence where a line cannot be read. */
export function choicesTyped(
  text: string,
  most: number,
  { pack }: LessonSettings,
  least = 2,
): { readonly choices: readonly Choice[] } | { readonly problem: string } {
  const w = FIELD_WORDS();
  const lines = text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean);
  if (lines.length < least) return { problem: w.choicesLeast(least) };
  if (lines.length > most) return { problem: w.choicesCame(most, lines.length) };
  const choices: Choice[] = [];
  for (const [index, line] of lines.entries()) {
    const hands = HANDS.exec(line);
    if (hands && Number(hands[1]) < 360 && Number(hands[2]) < 360) {
      choices.push({ hourDeg: Number(hands[1]), minuteDeg: Number(hands[2]), numerals: hands[3] ? 'quarters' : 'all' });
      continue;
    }
    const dial = DIAL.exec(line);
    if (!dial) {
      if (line.length > LONGEST) return { problem: w.inLine(index + 1, w.mostLetters(LONGEST)) };
      choices.push({ text: line });
      continue;
    }
    const typed = readTimeEntry(dial[1]!, pack, secondOfDay(8, 0));
    if ('problem' in typed) return { problem: w.inLine(index + 1, typed.problem) };
    const geared = gearedPose(toSecondOfDay(typed.at));
    const at = dial[2] === undefined ? null : Number(dial[2].replace(',', '.'));
    if (at !== null && !(at >= 0 && at <= 12)) return { problem: w.inLine(index + 1, w.shortHandTo12) };
    choices.push({
      ...geared,
      hourDeg: at === null ? geared.hourDeg : (at % 12) * DEGREES_A_NUMERAL,
      numerals: dial[3] ? 'quarters' : 'all',
    });
  }
  if (new Set(choices.map((choice) => JSON.stringify(choice))).size < choices.length) return { problem: w.sameChoices };
  return { choices };
}
