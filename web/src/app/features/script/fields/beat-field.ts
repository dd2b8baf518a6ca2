import type { Beat, BeatKindId } from '@zeitpunkt/core/beats/registry';
import type { LessonSettings } from '@zeitpunkt/core/lesson/settings';
import { displayText } from '@zeitpunkt/core/time/display';
import { toSecondOfDay, type SecondOfDay, SECONDS_PER_HALF_DAY, wrapSecondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { readTimeEntry } from '@zeitpunkt/core/words/time-entry';
import { FIELD_WORDS } from './words';

export interface Option {
  readonly value: string;
  readonly text: string;
}

/** What a field makes of what was typed: a change of the beat, or why it is none. */
export type Typed = { readonly change: Readonly<Record<string, unknown>> } | { readonly problem: string };

/** A setting of a beat in the panel beside the stage. */
export interface BeatField {
  readonly key: string;
  readonly label: string;
  readonly type: 'line' | 'lines' | 'choice' | 'number' | 'check' | 'layers';
  readonly options?: readonly Option[];
  readonly hint?: string;
  readonly min?: number;
  readonly max?: number;
  /** What stands in the field; a check is 'yes' or ''. */
  readonly read: (beat: never, settings: LessonSettings) => string;
  readonly write: (text: string, beat: never, settings: LessonSettings) => Typed;
}

/** A beat of one kind. */
export type Of<Kind extends BeatKindId> = Extract<Beat, { kind: Kind }>;

/** A time as the lesson writes it. @param sec seconds since midnight */
export const timeText = (sec: number, { separator }: LessonSettings) => displayText(toSecondOfDay(sec), separator);
/** Reads a time near the one that is there, so that half past four stays in its half of the day. */
function timeTyped(text: string, near: SecondOfDay, { pack }: LessonSettings): { readonly at: SecondOfDay } | { readonly problem: string } {
  return readTimeEntry(text, pack, near);
}

/** A time, read near the one that is there. */
export function timeField<Key extends string>(key: Key, label: string): BeatField {
  return {
    key,
    label,
    type: 'line',
    hint: FIELD_WORDS().timeHint,
    read: (beat, settings) => timeText((beat as Record<Key, number>)[key], settings),
    write(text, beat, settings) {
      const typed = timeTyped(text, toSecondOfDay((beat as Record<Key, number>)[key]), settings);
      return 'at' in typed ? { change: { [key]: typed.at } } : typed;
    },
  };
}

/** One of several; `none` stands where the beat says nothing. */
export const choice = (key: string, label: string, options: readonly Option[], none?: string): BeatField => ({
  key,
  label,
  type: 'choice',
  options,
  read: (beat) => String((beat as Record<string, unknown>)[key] ?? none ?? ''),
  write: (text) => ({ change: { [key]: text === none ? undefined : text } }),
});

/** A switch that is only there when it is on. */
export const check = (key: string, label: string): BeatField => ({
  key,
  label,
  type: 'check',
  read: (beat) => ((beat as Record<string, unknown>)[key] ? 'yes' : ''),
  write: (text) => ({ change: { [key]: text ? true : undefined } }),
});
/** A switch that is always there, on or off. */
export const onOff = (key: string, label: string): BeatField => ({
  ...check(key, label),
  write: (text) => ({ change: { [key]: text !== '' } }),
});

/** A whole number within bounds. */
export const number = (key: string, label: string, min: number, max: number): BeatField => ({
  key,
  label,
  type: 'number',
  min,
  max,
  read: (beat) => String((beat as Record<string, unknown>)[key]),
  write(text) {
    const value = Number(text);
    if (!Number.isInteger(value) || value < min || value > max) return { problem: FIELD_WORDS().wholeNumber(min, max) };
    return { change: { [key]: value } };
  },
});

/** Lines of a text, each of which may begin with a time. */
export function timedLines<Row>(
  key: string,
  label: string,
  most: number,
  read: (row: Row, settings: LessonSettings) => string,
  make: (at: SecondOfDay | null, text: string) => Row | null,
): BeatField {
  return {
    key,
    label,
    type: 'lines',
    hint: FIELD_WORDS().timedLinesHint,
    read: (beat, settings) => ((beat as Record<string, readonly Row[]>)[key] ?? []).map((row) => read(row, settings)).join('\n'),
    write(text, beat, settings) {
      const rows: Row[] = [];
      const written = text
        .split('\n')
        .map((line) => line.trim())
        .filter(Boolean);
      if (written.length > most) return { problem: FIELD_WORDS().mostLines(most) };
      const { fromSec, toSec } = beat as { fromSec?: number; toSec?: number };
      const goesOn = fromSec !== undefined && toSec !== undefined && toSec > fromSec;
      let before = fromSec ?? 8 * 3600;
      for (const [index, line] of written.entries()) {
        const [, digits, words] = /^(\d{1,2}[:.]\d\d)?\s*(.*)$/.exec(line)!;
        const typed = digits ? timeTyped(digits, toSecondOfDay(before), settings) : null;
        if (typed && 'problem' in typed) return { problem: FIELD_WORDS().inLine(index + 1, typed.problem) };
        // On the way from one time to a later one noon comes after the night, however alike they are written.
        const at = typed && (goesOn && typed.at <= before ? wrapSecondOfDay(typed.at + SECONDS_PER_HALF_DAY) : typed.at);
        before = at ?? before;
        const row = make(at, words!);
        if (row === null) return { problem: FIELD_WORDS().inLine(index + 1, FIELD_WORDS().timeAndWords) };
        rows.push(row);
      }
      return { change: { [key]: rows } };
    },
  };
}

/** One line of text. */
export function lineOf(key: string, label: string): BeatField {
  return {
    key,
    label,
    type: 'line',
    read: (beat: never) => (beat as Record<string, string>)[key] ?? '',
    write: (text) => ({ change: { [key]: text.trim() } }),
  };
}
