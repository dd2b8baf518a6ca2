import {
  displayText,
  hear,
  MISCONCEPTIONS,
  patternOf,
  readTimeEntry,
  RUNGS,
  secondOfDay,
  toSecondOfDay,
  WORD_PACKS,
  type Beat,
  type BeatKindId,
  type LessonSettings,
  type MisconceptionId,
  type RungId,
  type SecondOfDay,
} from '@zeitpunkt/core';

interface Option {
  readonly value: string;
  readonly text: string;
}

/** What a field makes of what was typed: a change of the beat, or why it is none. */
export type Typed = { readonly change: Readonly<Record<string, unknown>> } | { readonly problem: string };

/** A setting of a beat in the panel beside the stage. */
export interface BeatField {
  readonly key: string;
  readonly label: string;
  readonly type: 'line' | 'lines' | 'choice' | 'number' | 'check';
  readonly options?: readonly Option[];
  readonly hint?: string;
  readonly min?: number;
  readonly max?: number;
  /** What stands in the field; a check is 'yes' or ''. */
  readonly read: (beat: never, settings: LessonSettings) => string;
  readonly write: (text: string, beat: never, settings: LessonSettings) => Typed;
}

type Of<Kind extends BeatKindId> = Extract<Beat, { kind: Kind }>;

const timeText = (sec: number, { separator }: LessonSettings) => displayText(toSecondOfDay(sec), separator);
/** Reads a time near the one that is there, so that half past four stays in its half of the day. */
function timeTyped(text: string, near: SecondOfDay, { pack }: LessonSettings): { readonly at: SecondOfDay } | { readonly problem: string } {
  return readTimeEntry(text, pack, near);
}

function timeField<Key extends string>(key: Key, label: string): BeatField {
  return {
    key,
    label,
    type: 'line',
    hint: '7:40 or twenty to eight',
    read: (beat, settings) => timeText((beat as Record<Key, number>)[key], settings),
    write(text, beat, settings) {
      const typed = timeTyped(text, toSecondOfDay((beat as Record<Key, number>)[key]), settings);
      return 'at' in typed ? { change: { [key]: typed.at } } : typed;
    },
  };
}

const choice = (key: string, label: string, options: readonly Option[], none?: string): BeatField => ({
  key,
  label,
  type: 'choice',
  options,
  read: (beat) => String((beat as Record<string, unknown>)[key] ?? none ?? ''),
  write: (text) => ({ change: { [key]: text === none ? undefined : text } }),
});

const check = (key: string, label: string): BeatField => ({
  key,
  label,
  type: 'check',
  read: (beat) => ((beat as Record<string, unknown>)[key] ? 'yes' : ''),
  write: (text) => ({ change: { [key]: text ? true : undefined } }),
});
/** A switch that is always there, on or off. */
const onOff = (key: string, label: string): BeatField => ({ ...check(key, label), write: (text) => ({ change: { [key]: text !== '' } }) });

const number = (key: string, label: string, min: number, max: number): BeatField => ({
  key,
  label,
  type: 'number',
  min,
  max,
  read: (beat) => String((beat as Record<string, unknown>)[key]),
  write(text) {
    const value = Number(text);
    if (!Number.isInteger(value) || value < min || value > max) return { problem: `A whole number from ${min} to ${max}.` };
    return { change: { [key]: value } };
  },
});

/** Layers that a beat changes, each as it is, on or off. */
function layersField(): BeatField {
  const names = {
    ring: 'minuteRing',
    zones: 'hourZones',
    halves: 'halves',
    quarters: 'quarters',
    hour: 'hourHand',
    minute: 'minuteHand',
  } as const;
  const on = (name: keyof typeof names, isOn: boolean) => (name === 'ring' ? (isOn ? 'full' : 'none') : isOn);
  return {
    key: 'layers',
    label: 'Layers, + on, − off',
    type: 'line',
    hint: '−ring +zones (ring, zones, halves, quarters, hour, minute, colours)',
    read(beat) {
      const layers = ((beat as { layers?: Record<string, unknown> }).layers ?? {}) as Record<string, unknown>;
      const words = Object.entries(names).flatMap(([word, key]) =>
        key in layers ? [`${layers[key] === true || layers[key] === 'full' ? '+' : '−'}${word}`] : [],
      );
      if ('handInk' in layers) words.push(`${layers['handInk'] === 'alike' ? '−' : '+'}colours`);
      return words.join(' ');
    },
    write(text) {
      const layers: Record<string, unknown> = {};
      for (const word of text.split(/[\s,]+/).filter(Boolean)) {
        const found = /^([+−-])(ring|zones|halves|quarters|hour|minute|colours)$/.exec(word);
        if (!found) return { problem: `“${word}” is no layer. Write for example −ring +zones.` };
        const isOn = found[1] === '+';
        if (found[2] === 'colours') layers['handInk'] = isOn ? 'own' : 'alike';
        else layers[names[found[2] as keyof typeof names]] = on(found[2] as keyof typeof names, isOn);
      }
      return { change: { layers } };
    },
  };
}

/** Lines of a text, each of which may begin with a time. */
function timedLines<Row>(
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
    hint: 'One a line; 8:30 before the words turns the hands',
    read: (beat, settings) => ((beat as Record<string, readonly Row[]>)[key] ?? []).map((row) => read(row, settings)).join('\n'),
    write(text, beat, settings) {
      const rows: Row[] = [];
      const written = text
        .split('\n')
        .map((line) => line.trim())
        .filter(Boolean);
      if (written.length > most) return { problem: `At most ${most} lines.` };
      for (const [index, line] of written.entries()) {
        const [, digits, words] = /^(\d{1,2}[:.]\d\d)?\s*(.*)$/.exec(line)!;
        const near = toSecondOfDay((beat as { fromSec?: number }).fromSec ?? 8 * 3600);
        const typed = digits ? timeTyped(digits, near, settings) : null;
        if (typed && 'problem' in typed) return { problem: `Line ${index + 1}: ${typed.problem}` };
        const row = make(typed?.at ?? null, words!);
        if (row === null) return { problem: `Line ${index + 1}: it needs a time and some words.` };
        rows.push(row);
      }
      return { change: { [key]: rows } };
    },
  };
}

const rungOptions = Object.entries(RUNGS).map(([value, { name }]) => ({ value, text: name }));
const ideaOptions = Object.entries(MISCONCEPTIONS).map(([value, { name }]) => ({ value: value as MisconceptionId, text: name }));
const BANDS: readonly Option[] = [
  { value: '', text: 'as it is' },
  { value: 'none', text: 'none' },
  { value: 'hour-line-fives', text: 'hour line' },
  { value: 'day-line', text: 'day line' },
  { value: 'strip-quarters', text: 'fraction strip' },
];

/** The settings of each kind of beat, beside its words, its note and its time. */
export const BEAT_FIELDS: Readonly<Record<BeatKindId, readonly BeatField[]>> = {
  say: [],
  set: [
    timeField('timeSec', 'Time'),
    choice('display', 'Display', [
      { value: 'full', text: 'filled in' },
      { value: 'empty', text: 'empty boxes' },
      { value: 'none', text: 'none' },
    ]),
    onOff('words', 'Words of the time'),
    { ...layersField(), write: (text, beat, settings) => emptyAway(layersField().write(text, beat, settings)) },
  ],
  show: [],
  sweep: [
    timeField('fromSec', 'From'),
    timeField('toSec', 'To'),
    number('turnSeconds', 'Seconds a turn', 5, 120),
    choice('count', 'Count', [
      { value: 'none', text: 'none' },
      { value: 'ones', text: 'ones' },
      { value: 'fives', text: 'fives' },
      { value: 'quarters', text: 'quarters' },
    ]),
    timedLines<{ atSec: number; prompt: string }>(
      'stops',
      'Stops, with what to look at',
      24,
      ({ atSec, prompt }, settings) => `${timeText(atSec, settings)} ${prompt}`,
      (at, prompt) => (at === null || !prompt ? null : { atSec: at, prompt }),
    ),
  ],
  layers: [
    layersField(),
    {
      key: 'bands',
      label: 'Line under the dial',
      type: 'choice',
      options: BANDS,
      read: (beat: never) => {
        const { bands } = beat as Of<'layers'>;
        return bands === undefined ? '' : (bands[0] ?? 'none');
      },
      write: (text) => ({ change: { bands: text === '' ? undefined : text === 'none' ? [] : [text] } }),
    },
    onOff('lasts', 'For the rest of the lesson'),
  ],
  mark: [
    {
      key: 'marks',
      label: 'Points at',
      type: 'line',
      hint: 'hour hand, minute hand, 12, 3, 20 min (counted round)',
      read: (beat: never) => (beat as Of<'mark'>).marks.map(markText).filter(Boolean).join(', '),
      write(text, beat: never) {
        const kept = (beat as Of<'mark'>).marks.filter((mark) => markText(mark) === '');
        const marks: unknown[] = [];
        for (const word of text
          .split(',')
          .map((one) => one.trim())
          .filter(Boolean)) {
          const hand = /^(hour|minute) hand$/.exec(word);
          const count = /^(\d+) min$/.exec(word);
          if (hand) marks.push({ type: 'hand', hand: hand[1] });
          else if (count && Number(count[1]) <= 60)
            marks.push({ type: 'count', toMinute: Number(count[1]), by: Number(count[1]) % 5 ? 1 : 5 });
          else if (/^\d+$/.test(word) && Number(word) >= 1 && Number(word) <= 12) marks.push({ type: 'numeral', numeral: Number(word) });
          else return { problem: `“${word}” is nothing on the dial. Write hour hand, a numeral from 1 to 12, or 20 min.` };
        }
        return { change: { marks: [...marks, ...kept] } };
      },
    },
    {
      key: 'board',
      label: 'Line on the board',
      type: 'line',
      read: (beat: never) => (beat as Of<'mark'>).board ?? '',
      write: (text) => ({ change: { board: text.trim() || undefined } }),
    },
  ],
  'worked-example': [
    timeField('timeSec', 'Time'),
    choice(
      'from',
      'Given',
      [
        { value: 'dial', text: 'a dial to read' },
        { value: 'display', text: 'a display to set' },
        { value: 'words', text: 'words to set' },
      ],
      'dial',
    ),
  ],
  mistake: [timeField('timeSec', 'Time'), choice('misconception', 'Idea', ideaOptions)],
  possible: [
    {
      key: 'pose',
      label: 'Hands, in degrees from 12',
      type: 'line',
      hint: 'hour hand, minute hand: 270, 180',
      read: (beat: never) => {
        const { hourDeg, minuteDeg } = (beat as Of<'possible'>).pose;
        return `${Math.round(hourDeg)}, ${Math.round(minuteDeg)}`;
      },
      write(text) {
        const found = /^\s*(\d{1,3})\s*,\s*(\d{1,3})\s*$/.exec(text);
        const [hourDeg, minuteDeg] = [Number(found?.[1]), Number(found?.[2])];
        if (!found || hourDeg > 359 || minuteDeg > 359) return { problem: 'Two numbers from 0 to 359 with a comma between them.' };
        return { change: { pose: { hourDeg, minuteDeg } } };
      },
    },
  ],
  'missing-hand': [
    timeField('timeSec', 'Time'),
    choice('shows', 'Shown', [
      { value: 'hour', text: 'hour hand' },
      { value: 'minute', text: 'minute hand' },
    ]),
  ],
  ask: [check('aloud', 'Asked aloud only, not on devices')],
  think: [number('seconds', 'Seconds', 3, 300), check('stops', '“Stop here” instead of a countdown')],
  answer: [],
  chart: [choice('rung', 'Rung', rungOptions satisfies readonly { value: RungId | string; text: string }[])],
  task: [
    { ...lineOf('sheet', 'Sheet'), type: 'line' },
    { ...lineOf('withoutPrinter', 'Without a printer'), type: 'line' },
    number('seconds', 'Seconds', 10, 1200),
  ],
  verse: [
    timedLines<{ text: string; timeSec: number | null }>(
      'lines',
      'Lines',
      24,
      ({ text, timeSec }, settings) => (timeSec === null ? text : `${timeText(timeSec, settings)} ${text}`),
      (at, text) => (text ? { text, timeSec: at } : null),
    ),
  ],
  'daily-card': [
    {
      key: 'pattern',
      label: 'Pattern',
      type: 'line',
      hint: 'the first times, one after the other: 8:00, 8:30, 9:00, 10:00',
      read: (beat: never, settings) => patternText((beat as Of<'daily-card'>).pattern, settings),
      write: (text, _beat, settings) => patternTyped(text, settings),
    },
    number('since', 'From card', 1, 1000),
    number('card', 'Today’s card', 1, 1000),
  ],
};

function lineOf(key: string, label: string): BeatField {
  return {
    key,
    label,
    type: 'line',
    read: (beat: never) => (beat as Record<string, string>)[key] ?? '',
    write: (text) => ({ change: { [key]: text.trim() } }),
  };
}

function emptyAway(typed: Typed): Typed {
  if ('problem' in typed) return typed;
  const layers = typed.change['layers'] as object;
  return { change: { layers: Object.keys(layers).length > 0 ? layers : undefined } };
}

function markText(mark: Of<'mark'>['marks'][number]): string {
  if (mark.type === 'hand') return `${mark.hand} hand`;
  if (mark.type === 'numeral') return String(mark.numeral);
  return mark.type === 'count' ? `${mark.toMinute} min` : '';
}

/** The cards of a pattern up to where it begins again. */
export function patternText({ firstSec, stepsMin }: Of<'daily-card'>['pattern'], settings: LessonSettings): string {
  let sec = firstSec;
  return [firstSec, ...stepsMin.map((minutes) => (sec = (sec + minutes * 60 + 86_400) % 86_400))]
    .map((one) => timeText(one, settings))
    .join(', ');
}

/** A pattern found from times that are typed one after the other. */
export function patternTyped(text: string, { pack }: LessonSettings): Typed {
  const times: SecondOfDay[] = [];
  let before = secondOfDay(8, 0);
  for (const word of text
    .split(/[,;]/)
    .map((one) => one.trim())
    .filter(Boolean)) {
    const heard = hear(word, WORD_PACKS[pack]);
    if (heard.kind === 'unreadable') return { problem: `“${word}” is no time.` };
    const first = readTimeEntry(word, pack, before);
    if ('problem' in first) return { problem: first.problem };
    times.push(first.at);
    before = first.at;
  }
  const pattern = patternOf(times);
  return pattern ? { change: { pattern } } : { problem: 'Write at least two times that differ, one after the other.' };
}
