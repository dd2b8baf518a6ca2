import { computed } from '@angular/core';
import type { BeatKindId } from '@zeitpunkt/core/beats/registry';
import { RUNGS, type RungId } from '@zeitpunkt/core/ladder/registry';
import { patternOf } from '@zeitpunkt/core/lesson/card-pattern';
import type { LessonSettings } from '@zeitpunkt/core/lesson/settings';
import { MISCONCEPTIONS, type MisconceptionId } from '@zeitpunkt/core/misconceptions/registry';
import { secondOfDay, wrapSecondOfDay, type SecondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { hear } from '@zeitpunkt/core/words/hear';
import { WORD_PACKS } from '@zeitpunkt/core/words/registry';
import { readTimeEntry } from '@zeitpunkt/core/words/time-entry';
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
import { FIELD_WORDS } from './words';

type Words = ReturnType<typeof FIELD_WORDS>;

const rungOptions = Object.entries(RUNGS).map(([value, { name }]) => ({ value, text: name }));
const ideaOptions = Object.entries(MISCONCEPTIONS).map(([value, { name }]) => ({ value: value as MisconceptionId, text: name }));
const bandOptions = (w = FIELD_WORDS()): readonly Option[] => [
  { value: '', text: w.asItIs },
  { value: 'none', text: w.none },
  { value: 'hour-line-fives', text: w.hourLine },
  { value: 'day-line', text: w.dayLine },
  { value: 'strip-quarters', text: w.fractionStrip },
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
      if (text.trim() === '' || !(typed >= 0 && typed <= round)) return { problem: FIELD_WORDS().numberTo(round) };
      return { change: { pose: { ...(beat as Of<'possible'>).pose, [key]: (typed % round) * stepDeg } } };
    },
  };
}

const sweepFields = (w: Words): readonly BeatField[] => [
  timeField('fromSec', w.from),
  timeField('toSec', w.to),
  number('turnSeconds', w.secondsATurn, 5, 120),
  choice('count', w.count, [
    { value: 'none', text: w.none },
    { value: 'ones', text: w.ones },
    { value: 'fives', text: w.fives },
    { value: 'quarters', text: w.quarters },
  ]),
  timedLines<{ atSec: number; prompt: string }>(
    'stops',
    w.stops,
    24,
    ({ atSec, prompt }, settings) => `${timeText(atSec, settings)} ${prompt}`,
    (at, prompt) => (at === null || !prompt ? null : { atSec: at, prompt }),
  ),
];

const layersFields = (w: Words): readonly BeatField[] => [
  layersField(),
  {
    key: 'bands',
    label: w.lineUnderTheDial,
    type: 'choice',
    options: bandOptions(),
    read: (beat: never) => {
      const { bands } = beat as Of<'layers'>;
      return bands === undefined ? '' : (bands[0] ?? 'none');
    },
    write: (text) => ({ change: { bands: text === '' ? undefined : text === 'none' ? [] : [text] } }),
  },
  onOff('lasts', w.forTheRestOfTheLesson),
];

const markFields = (w: Words): readonly BeatField[] => [
  {
    key: 'marks',
    label: w.pointsAt,
    type: 'line',
    hint: w.marksHint,
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
        else return { problem: w.notOnDial(word) };
      }
      return { change: { marks: [...marks, ...kept] } };
    },
  },
  {
    key: 'board',
    label: w.lineOnTheBoard,
    type: 'line',
    read: (beat: never) => (beat as Of<'mark'>).board ?? '',
    write: (text) => ({ change: { board: text.trim() || undefined } }),
  },
];

const exampleFields = (w: Words): readonly BeatField[] => [
  timeField('timeSec', w.time),
  choice(
    'from',
    w.given,
    [
      { value: 'dial', text: w.aDialToRead },
      { value: 'display', text: w.aDisplayToSet },
      { value: 'words', text: w.wordsToSet },
    ],
    'dial',
  ),
];

const dailyCardFields = (w: Words): readonly BeatField[] => [
  {
    key: 'pattern',
    label: w.pattern,
    type: 'line',
    hint: w.patternHint,
    read: (beat: never, settings) => patternText((beat as Of<'daily-card'>).pattern, settings),
    write: (text, _beat, settings) => patternTyped(text, settings),
  },
  number('since', w.fromCard, 1, 1000),
  number('card', w.todaysCard, 1, 1000),
];

const setFields = (w: Words): readonly BeatField[] => [
  timeField('timeSec', w.time),
  choice('display', w.display, [
    { value: 'full', text: w.filledIn },
    { value: 'empty', text: w.emptyBoxes },
    { value: 'none', text: w.none },
  ]),
  onOff('words', w.wordsOfTheTime),
  layersOrNone(),
];

const verseFields = (w: Words): readonly BeatField[] => [
  timedLines<{ text: string; timeSec: number | null }>(
    'lines',
    w.lines,
    24,
    ({ text, timeSec }, settings) => (timeSec === null ? text : `${timeText(timeSec, settings)} ${text}`),
    (at, text) => (text ? { text, timeSec: at } : null),
  ),
];

/** The settings of each kind of beat, beside its words, its note and its time. */
export const BEAT_FIELDS = computed((): Readonly<Record<BeatKindId, readonly BeatField[]>> => {
  const w = FIELD_WORDS();
  return {
    say: [],
    set: setFields(w),
    show: [],
    sweep: sweepFields(w),
    layers: layersFields(w),
    mark: markFields(w),
    'worked-example': exampleFields(w),
    mistake: [timeField('timeSec', w.time), choice('misconception', w.idea, ideaOptions)],
    possible: [
      handField('hourDeg', w.shortHandPointsAt, 30, 12, w.handAtHint),
      handField('minuteDeg', w.longHandPointsAtMinute, 6, 60, w.minuteHint),
    ],
    'missing-hand': [
      timeField('timeSec', w.time),
      choice('shows', w.shown, [
        { value: 'hour', text: w.hourHand },
        { value: 'minute', text: w.minuteHand },
      ]),
    ],
    ask: [check('aloud', w.aloudOnly)],
    think: [number('seconds', w.seconds, 3, 300), check('stops', w.stopHere)],
    answer: [],
    chart: [choice('rung', w.rung, rungOptions satisfies readonly { value: RungId | string; text: string }[])],
    task: [
      { ...lineOf('sheet', w.sheet), type: 'line' },
      { ...lineOf('withoutPrinter', w.withoutAPrinter), type: 'line' },
      number('seconds', w.seconds, 10, 1200),
    ],
    verse: verseFields(w),
    'daily-card': dailyCardFields(w),
  };
});

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
    if (heard.kind === 'unreadable') return { problem: FIELD_WORDS().noTime(word) };
    const first = readTimeEntry(word, pack, before);
    if ('problem' in first) return { problem: first.problem };
    times.push(first.at);
    before = first.at;
  }
  const pattern = patternOf(times);
  return pattern ? { change: { pattern } } : { problem: FIELD_WORDS().twoTimes };
}
