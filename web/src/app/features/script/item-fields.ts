import {
  hear,
  displayText24,
  isTimeOfWording,
  MISCONCEPTION_IDS,
  misconceptionOf,
  mistakenReading,
  SECONDS_PER_DAY,
  SECONDS_PER_HALF_DAY,
  readTimeEntry,
  secondOfDay,
  toSecondOfDay,
  UNIT_QUESTIONS,
  WORD_PACKS,
  type Choice,
  type ClockPart,
  type ItemOf,
  type LessonSettings,
  type MisconceptionId,
  type QuestionKindId,
} from '@zeitpunkt/core';
import { choice, lineOf, number, timeField, timeText, type BeatField } from './beat-field';
import { choiceLines, choicesTyped } from './composer/choice-lines';

const GIVEN = [
  { value: 'dial', text: 'a dial' },
  { value: 'display', text: 'a display' },
  { value: 'words', text: 'words' },
];

/** A number that a file keeps as one of a few. */
const oneOfNumbers = (key: string, label: string, options: readonly { readonly value: string; readonly text: string }[]): BeatField => ({
  ...choice(key, label, options),
  read: (item) => String((item as Record<string, number>)[key]),
  write: (text) => ({ change: { [key]: Number(text) } }),
});

/** Times one after the other, each read near the one before. */
function timesField(key: string, label: string, least: number, most: number, roundSec = SECONDS_PER_HALF_DAY): BeatField {
  return {
    key,
    label,
    type: 'line',
    hint: 'one after the other: 7:45, 8:15, 9:00',
    read: (item, settings) => ((item as Record<string, readonly number[]>)[key] ?? []).map((sec) => timeText(sec, settings)).join(', '),
    write(text, item, settings) {
      const words = split(text);
      if (words.length < least || words.length > most) return { problem: `${least} to ${most} times; ${words.length} came.` };
      const before = (item as Record<string, readonly number[]>)[key] ?? [];
      const times: number[] = [];
      for (const [index, word] of words.entries()) {
        const near = before[index] ?? before.at(-1) ?? secondOfDay(8, 0);
        const typed = readTimeEntry(word, settings.pack, toSecondOfDay(near));
        if ('problem' in typed) return typed;
        times.push(typed.at);
      }
      if (new Set(times.map((sec) => sec % roundSec)).size < times.length) return { problem: 'Two of the times are the same.' };
      return { change: { [key]: times } };
    },
  };
}

/** Numerals of the dial, all different. */
const numeralsField = (key: string, label: string, most: number): BeatField => ({
  key,
  label,
  type: 'line',
  hint: 'numerals from 1 to 12: 3, 7, 12',
  read: (item) => (item as Record<string, readonly number[]>)[key]!.join(', '),
  write(text) {
    const numerals = split(text).map(Number);
    if (numerals.length < 1 || numerals.length > most) return { problem: `1 to ${most} numerals.` };
    const isNumeral = (one: number) => Number.isInteger(one) && one >= 1 && one <= 12;
    if (!numerals.every(isNumeral) || new Set(numerals).size < numerals.length) return { problem: 'Numerals from 1 to 12, each once.' };
    return { change: { [key]: numerals } };
  },
});

const split = (text: string): string[] =>
  text
    .split(/[,;]/)
    .map((word) => word.trim())
    .filter(Boolean);

/** Choices, one a line; the key follows from what they show. */
const choicesField = (most: number): BeatField => ({
  key: 'choices',
  label: 'Choices',
  type: 'lines',
  hint: 'One a line: 7:45, or words, or dial 7:45 short hand at 7',
  read: (item, settings) => choiceLines((item as { readonly choices: readonly Choice[] }).choices, settings),
  write(text, _item, settings) {
    const typed = choicesTyped(text, most, settings);
    return 'choices' in typed ? { change: { choices: typed.choices } } : typed;
  },
});

/**
 * Wordings that count besides those of the pack. One that says another time, or none that can be read, is taken only when it is
 * confirmed with an exclamation mark: nothing wrong counts without a warning.
 */
const acceptedField: BeatField = {
  key: 'accepted',
  label: 'Also counts as right',
  type: 'lines',
  hint: 'One wording a line, as they say it where you are',
  read: (item) => ((item as ItemOf<'write-words'>).accepted ?? []).join('\n'),
  write(text, item, settings) {
    const accepted: string[] = [];
    const lines = text
      .split('\n')
      .map((line) => line.trim())
      .filter(Boolean);
    if (lines.length > 12) return { problem: 'At most 12 wordings.' };
    for (const line of lines) {
      const isConfirmed = line.endsWith('!');
      const words = line.replace(/!+$/, '').trim();
      const why = isConfirmed || ((item as ItemOf<'write-words'>).accepted ?? []).includes(words) ? null : whyNot(words, item, settings);
      if (why) return { problem: `${why} To let it count all the same, put ! behind it.` };
      accepted.push(words);
    }
    return { change: { accepted: accepted.length > 0 ? accepted : undefined } };
  },
};

function whyNot(words: string, { timeSec }: ItemOf<'write-words'>, { pack }: LessonSettings): string | null {
  const heard = hear(words, WORD_PACKS[pack]);
  if (heard.kind === 'unreadable') return `“${words}” is no wording that is known here.`;
  return isTimeOfWording(heard, toSecondOfDay(timeSec)) ? null : `“${words}” says another time.`;
}

const UNIT_NAMES: Record<(typeof UNIT_QUESTIONS)[number], string> = {
  'seconds-in-minute': 'seconds of a minute',
  'minutes-in-hour': 'minutes of an hour',
  'minutes-in-half-hour': 'minutes of half an hour',
  'minutes-in-quarter': 'minutes of a quarter of an hour',
  'minutes-in-three-quarters': 'minutes of three quarters of an hour',
  'hours-in-day': 'hours of a day',
  'rounds-in-day': 'rounds of the short hand a day',
};

const time = timeField('timeSec', 'Time');

/** Ideas that can explain a wrong reading. */
const READING_IDEAS = MISCONCEPTION_IDS.filter((id) => misconceptionOf(id).howItCame !== undefined).map((value) => ({
  value,
  text: misconceptionOf(value).name,
}));

const PARTS = {
  dial: ['short-hand', 'tick', 'long-hand', 'numeral'],
  hands: ['short-hand', 'long-hand'],
  display: ['hours', 'colon', 'minutes'],
} as const satisfies Record<string, readonly ClockPart[]>;

const partsOf = (parts: readonly ClockPart[]): keyof typeof PARTS => {
  if (parts.includes('hours')) return 'display';
  return parts.includes('tick') || parts.includes('numeral') ? 'dial' : 'hands';
};

/** Places of a row that are gaps, counted from 1; the first two show the step. */
const gapsField: BeatField = {
  key: 'gaps',
  label: 'Gaps',
  type: 'line',
  hint: 'places in the row, from the third on: 3, 5',
  read: (item) => (item as ItemOf<'pattern'>).gaps.map((gap) => gap + 1).join(', '),
  write(text, item) {
    const { count } = item as ItemOf<'pattern'>;
    const places = split(text).map(Number);
    const isPlace = (one: number) => Number.isInteger(one) && one >= 3 && one <= count;
    if (places.length < 1 || !places.every(isPlace) || new Set(places).size < places.length)
      return { problem: `Places from 3 to ${count}, each once.` };
    return { change: { gaps: places.map((one) => one - 1).sort((one, other) => one - other) } };
  },
};

/** A time of the whole day as it is typed. */
const text24 = (sec: number) => displayText24(toSecondOfDay(sec));

/** Times of the whole day, one after the other. */
function dayTimesField(key: string, label: string, least: number, most: number): BeatField {
  const read = (item: never) => (item as Record<string, readonly number[]>)[key]!.map(text24).join(', ');
  return { ...timesField(key, label, least, most, SECONDS_PER_DAY), hint: '19:30, 07:30', read };
}

/** What of a question of each kind a teacher edits. A missing kind does not compile. */
export const ITEM_FIELDS: Readonly<Record<QuestionKindId, readonly BeatField[]>> = {
  'read-dial': [time],
  'set-dial': [
    time,
    choice('from', 'Given as', GIVEN.slice(1)),
    choice('hands', 'Hands', [
      { value: 'geared', text: 'move together' },
      { value: 'free', text: 'each by itself' },
    ]),
  ],
  'choose-all': [time, choice('from', 'Given as', GIVEN), choicesField(8)],
  'choose-one': [time, choice('from', 'Given as', GIVEN), choicesField(5)],
  'odd-one-out': [time, choicesField(5)],
  match: [
    choice('left', 'Cards', GIVEN),
    choice('right', 'Partners', GIVEN),
    timesField('times', 'Times of the cards', 2, 4),
    timesField('others', 'Times of the partners', 2, 5),
  ],
  'possible-dial': [
    {
      key: 'poses',
      label: 'Dials',
      type: 'lines',
      hint: 'One a line: dial 9:30, or dial 9:30 short hand at 9',
      read: (item, settings) =>
        choiceLines(
          (item as ItemOf<'possible-dial'>).poses.map((pose) => ({ ...pose, numerals: 'all' })),
          settings,
        ),
      write(text, _item, settings) {
        const typed = choicesTyped(text, 4, settings, 1);
        if ('problem' in typed) return typed;
        const poses = typed.choices.flatMap((choice) =>
          'text' in choice ? [] : [{ hourDeg: choice.hourDeg, minuteDeg: choice.minuteDeg }],
        );
        return poses.length < typed.choices.length ? { problem: 'Each line begins with dial and a time.' } : { change: { poses } };
      },
    },
  ],
  'hour-hand-alone': [time],
  'minute-hand-alone': [number('minute', 'Minutes of the long hand', 0, 59), timesField('times', 'Choices', 3, 6)],
  'explain-mistake': [
    time,
    {
      key: 'misconception',
      label: 'The mistake comes from',
      type: 'choice',
      options: READING_IDEAS,
      read: (item) => (item as ItemOf<'explain-mistake'>).misconception,
      write(text, item, settings) {
        const { choices, misconception: before, timeSec } = item as ItemOf<'explain-mistake'>;
        const misconception = text as MisconceptionId;
        if (!mistakenReading({ timeSec, misconception }, settings)) return { problem: 'At this time this idea makes no difference.' };
        // It stands in the place of the one before, unless it is a choice already.
        return {
          change: {
            misconception,
            choices: choices.includes(misconception) ? choices : choices.map((one) => (one === before ? misconception : one)),
          },
        };
      },
    },
  ],
  'write-display': [time],
  'write-words': [
    time,
    choice('from', 'Given as', GIVEN.slice(0, 2)),
    oneOfNumbers('lines', 'Wordings asked for', [
      { value: '1', text: 'one' },
      { value: '2', text: 'two different ones' },
    ]),
    acceptedField,
  ],
  'hands-in-words': [time],
  'fill-face': [numeralsField('gaps', 'Missing numerals', 6)],
  'ring-minutes': [numeralsField('numerals', 'Numerals', 4)],
  'label-parts': [
    {
      key: 'of',
      label: 'Parts of',
      type: 'choice',
      options: [
        { value: 'dial', text: 'a dial' },
        { value: 'hands', text: 'a dial, its hands only' },
        { value: 'display', text: 'a display' },
      ],
      read: (item) => partsOf((item as ItemOf<'label-parts'>).parts),
      write: (text, item) =>
        partsOf((item as ItemOf<'label-parts'>).parts) === text
          ? { change: { parts: (item as ItemOf<'label-parts'>).parts } }
          : { change: { parts: PARTS[text as keyof typeof PARTS], names: [...PARTS[text as keyof typeof PARTS]].reverse() } },
    },
  ],
  units: [
    choice(
      'asks',
      'Asks for',
      UNIT_QUESTIONS.map((value) => ({ value, text: UNIT_NAMES[value] })),
    ),
  ],
  'place-on-line': [
    time,
    choice('line', 'Line', [
      { value: 'hour', text: 'of an hour' },
      { value: 'day', text: 'of a day' },
    ]),
    choice('from', 'Given as', GIVEN),
  ],
  'half-of-day': [lineOf('event', 'What happens'), dayTime('timeSec', 'Time')],
  'convert-24': [
    dayTime('timeSec', 'Time'),
    choice('to', 'To be written as', [
      { value: '24', text: 'of 24 hours' },
      { value: '12', text: 'of 12 hours' },
    ]),
  ],
  'sensible-time': [
    lineOf('event', 'What happens'),
    number('fromHour', 'Makes sense from hour', 0, 23),
    number('toHour', 'to hour', 0, 23),
    dayTimesField('times', 'Choices', 2, 4),
  ],
  'early-late': [lineOf('event', 'What is to happen'), dayTime('plannedSec', 'At'), dayTime('thereSec', 'The clock shows')],
  'later-earlier': [
    dayTime('startSec', 'Start'),
    number('minutes', 'Minutes it takes', 1, 660),
    choice('asks', 'Asks for', [
      { value: 'end', text: 'the end' },
      { value: 'start', text: 'the start' },
      { value: 'length', text: 'how long it takes' },
    ]),
  ],
  'between-times': [timeField('fromSec', 'After'), timeField('toSec', 'Before'), timesField('times', 'Dials', 2, 4)],
  pattern: [
    timeField('startSec', 'First time'),
    number('stepMin', 'Minutes from one to the next', -180, 180),
    number('count', 'How many times', 3, 6),
    gapsField,
  ],
  'order-times': [timesField('times', 'Times', 3, 5), choice('as', 'Shown as', GIVEN)],
};

/** A time of the whole day: the half of the day can be said with it, "7:30 in the evening" or 19:30. */
function dayTime(key: string, label: string): BeatField {
  return {
    ...timeField(key, label),
    hint: '19:30, or 7:30 in the evening',
    read: (item) => text24((item as Record<string, number>)[key]!),
  };
}
