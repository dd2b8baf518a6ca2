import {
  hear,
  MISCONCEPTIONS,
  patternOf,
  readTimeEntry,
  RUNGS,
  secondOfDay,
  WORD_PACKS,
  wrapSecondOfDay,
  type BeatKindId,
  type LessonSettings,
  type MisconceptionId,
  type RungId,
  type SecondOfDay,
} from '@zeitpunkt/core';
import {
  check,
  choice,
  lineOf,
  number,
  onOff,
  timedLines,
  timeField,
  timeText,
  type BeatField,
  type Of,
  type Option,
  type Typed,
} from './beat-field';
import { layersField, layersOrNone } from './layers-field';

const rungOptions = Object.entries(RUNGS).map(([value, { name }]) => ({ value, text: name }));
const ideaOptions = Object.entries(MISCONCEPTIONS).map(([value, { name }]) => ({ value: value as MisconceptionId, text: name }));
const BANDS: readonly Option[] = [
  { value: '', text: 'as it is' },
  { value: 'none', text: 'none' },
  { value: 'hour-line-fives', text: 'hour line' },
  { value: 'day-line', text: 'day line' },
  { value: 'strip-quarters', text: 'fraction strip' },
];

/** Where one hand of a free pose points, counted in steps of so many degrees round the dial. */
function handField(key: 'hourDeg' | 'minuteDeg', label: string, stepDeg: number, round: number, hint: string): BeatField {
  return {
    key,
    label,
    type: 'line',
    hint,
    read: (beat: never) => String(Math.round(((beat as Of<'possible'>).pose[key] / stepDeg) * 10) / 10),
    write(text, beat: never) {
      const typed = Number(text.trim().replace(',', '.'));
      if (text.trim() === '' || !(typed >= 0 && typed <= round)) return { problem: `A number from 0 to ${round}.` };
      return { change: { pose: { ...(beat as Of<'possible'>).pose, [key]: (typed % round) * stepDeg } } };
    },
  };
}

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
    layersOrNone,
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
    layersField,
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
    handField('hourDeg', 'Short hand points at', 30, 12, 'a numeral, also between two: 9 or 9.5'),
    handField('minuteDeg', 'Long hand points at minute', 6, 60, 'from 0 to 59'),
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

function markText(mark: Of<'mark'>['marks'][number]): string {
  if (mark.type === 'hand') return `${mark.hand} hand`;
  if (mark.type === 'numeral') return String(mark.numeral);
  return mark.type === 'count' ? `${mark.toMinute} min` : '';
}

/** The cards of a pattern up to where it begins again. */
export function patternText({ firstSec, stepsMin }: Of<'daily-card'>['pattern'], settings: LessonSettings): string {
  let sec = firstSec;
  return [firstSec, ...stepsMin.map((minutes) => (sec = wrapSecondOfDay(sec + minutes * 60)))]
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
