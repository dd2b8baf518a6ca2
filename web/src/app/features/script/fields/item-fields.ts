import { computed } from '@angular/core';
import { UNIT_QUESTIONS } from '@zeitpunkt/core/acts/acts';
import type { QuestionKindId } from '@zeitpunkt/core/question-kinds/registry';
import { choice, lineOf, number, timeField, type BeatField } from './beat-field';
import { acceptedField } from './accepted-field';
import { gapsField } from './gaps-field';
import { choicesField, dayTime, dayTimesField, numeralsField, oneOfNumbers, timesField } from './item-field-makers';
import { misconceptionField } from './misconception-field';
import { partsField } from './parts-field';
import { posesField } from './poses-field';
import { FIELD_WORDS } from './words';

type Words = ReturnType<typeof FIELD_WORDS>;

/** In what a time can be given. */
const givenOptions = (w: Words) => [
  { value: 'dial', text: w.aDial },
  { value: 'display', text: w.aDisplay },
  { value: 'words', text: w.words },
];

const unitNames = (w: Words): Record<(typeof UNIT_QUESTIONS)[number], string> => ({
  'seconds-in-minute': w.secondsOfAMinute,
  'minutes-in-hour': w.minutesOfAnHour,
  'minutes-in-half-hour': w.minutesOfHalfAnHour,
  'minutes-in-quarter': w.minutesOfAQuarter,
  'minutes-in-three-quarters': w.minutesOfThreeQuarters,
  'hours-in-day': w.hoursOfADay,
  'rounds-in-day': w.roundsADay,
  'rounds-from-noon': w.roundsFromNoon,
});

/** Of questions about dials, words and their parts. */
const dialItems = (w: Words) => {
  const given = givenOptions(w);
  const time = timeField('timeSec', w.time);
  return {
    'read-dial': [
      dayTime('timeSec', w.time),
      choice(
        'as',
        w.writtenAs,
        [
          { value: 'of-12', text: w.a12hourDisplay },
          { value: 'of-24', text: w.a24hourDisplay },
        ],
        'of-12',
      ),
    ],
    'set-dial': [
      time,
      choice('from', w.givenAs, [...given.slice(1), { value: 'display-24', text: w.a24hourDisplay }]),
      choice('hands', w.hands, [
        { value: 'geared', text: w.moveTogether },
        { value: 'free', text: w.eachByItself },
      ]),
    ],
    'choose-all': [time, choice('from', w.givenAs, given), choicesField(8)],
    'choose-one': [time, choice('from', w.givenAs, given), choicesField(5)],
    'odd-one-out': [time, choicesField(5)],
    match: [
      choice('left', w.cards, given),
      choice('right', w.partners, given),
      timesField('times', w.timesOfTheCards, 2, 4),
      timesField('others', w.timesOfThePartners, 2, 5),
    ],
    'possible-dial': [posesField()],
    'hour-hand-alone': [time],
    'minute-hand-alone': [number('minute', w.minutesOfTheLongHand, 0, 59), timesField('times', w.choices, 3, 6)],
    'explain-mistake': [time, misconceptionField()],
    'write-display': [time],
    'write-words': [
      time,
      choice('from', w.givenAs, given.slice(0, 2)),
      oneOfNumbers('lines', w.wordingsAskedFor, [
        { value: '1', text: w.one },
        { value: '2', text: w.twoDifferentOnes },
      ]),
      acceptedField(),
    ],
    'hands-in-words': [time],
    'fill-face': [numeralsField('gaps', w.missingNumerals, 6)],
    'second-hand': [time, number('second', w.secondsOfTheThinHand, 0, 59)],
    'ring-minutes': [numeralsField('numerals', w.numerals, 4)],
    'label-parts': [partsField()],
  } satisfies Partial<Record<QuestionKindId, readonly BeatField[]>>;
};

/** Of questions about units, the day and spans of time. */
const dayItems = (w: Words) => {
  const given = givenOptions(w);
  const time = timeField('timeSec', w.time);
  return {
    units: [
      choice(
        'asks',
        w.asksFor,
        UNIT_QUESTIONS.map((value) => ({ value, text: unitNames(w)[value] })),
      ),
    ],
    'place-on-line': [
      time,
      choice('line', w.line, [
        { value: 'hour', text: w.ofAnHour },
        { value: 'day', text: w.ofADay },
      ]),
      choice('from', w.givenAs, given),
    ],
    'half-of-day': [lineOf('event', w.whatHappens), dayTime('timeSec', w.time)],
    'convert-24': [
      dayTime('timeSec', w.time),
      choice('to', w.toBeWrittenAs, [
        { value: '24', text: w.of24Hours },
        { value: '12', text: w.of12Hours },
      ]),
    ],
    'sensible-time': [
      lineOf('event', w.whatHappens),
      number('fromHour', w.makesSenseFromHour, 0, 23),
      number('toHour', w.toHour, 0, 23),
      dayTimesField('times', w.choices, 2, 4),
    ],
    'early-late': [lineOf('event', w.whatIsToHappen), dayTime('plannedSec', w.at), dayTime('thereSec', w.theClockShows)],
    'later-earlier': [
      dayTime('startSec', w.start),
      number('minutes', w.minutesItTakes, 1, 660),
      choice('asks', w.asksFor, [
        { value: 'end', text: w.theEnd },
        { value: 'start', text: w.theStart },
        { value: 'length', text: w.howLongItTakes },
      ]),
    ],
    'between-times': [timeField('fromSec', w.after), timeField('toSec', w.before), timesField('times', w.dials, 2, 4)],
    pattern: [
      timeField('startSec', w.firstTime),
      number('stepMin', w.minutesFromOneToTheNext, -180, 180),
      number('count', w.howManyTimes, 3, 6),
      gapsField(),
    ],
    'order-times': [timesField('times', w.times, 3, 5), choice('as', w.shownAs, given)],
  } satisfies Partial<Record<QuestionKindId, readonly BeatField[]>>;
};

/** What of a question of each kind a teacher edits. A missing kind does not compile. */
export const ITEM_FIELDS = computed((): Readonly<Record<QuestionKindId, readonly BeatField[]>> => {
  const w = FIELD_WORDS();
  return { ...dialItems(w), ...dayItems(w) };
});
