import { UNIT_QUESTIONS, type QuestionKindId } from '@zeitpunkt/core';
import { choice, lineOf, number, timeField, type BeatField } from './beat-field';
import { acceptedField } from './accepted-field';
import { gapsField } from './gaps-field';
import { choicesField, dayTime, dayTimesField, numeralsField, oneOfNumbers, timesField } from './item-field-makers';
import { misconceptionField } from './misconception-field';
import { partsField } from './parts-field';
import { posesField } from './poses-field';

const GIVEN = [
  { value: 'dial', text: 'a dial' },
  { value: 'display', text: 'a display' },
  { value: 'words', text: 'words' },
];

const UNIT_NAMES: Record<(typeof UNIT_QUESTIONS)[number], string> = {
  'seconds-in-minute': 'seconds of a minute',
  'minutes-in-hour': 'minutes of an hour',
  'minutes-in-half-hour': 'minutes of half an hour',
  'minutes-in-quarter': 'minutes of a quarter of an hour',
  'minutes-in-three-quarters': 'minutes of three quarters of an hour',
  'hours-in-day': 'hours of a day',
  'rounds-in-day': 'rounds of the short hand a day',
  'rounds-from-noon': 'rounds of the short hand from noon to noon',
};

const time = timeField('timeSec', 'Time');

/** What of a question of each kind a teacher edits. A missing kind does not compile. */
export const ITEM_FIELDS: Readonly<Record<QuestionKindId, readonly BeatField[]>> = {
  'read-dial': [
    dayTime('timeSec', 'Time'),
    choice(
      'as',
      'Written as',
      [
        { value: 'of-12', text: 'a 12-hour display' },
        { value: 'of-24', text: 'a 24-hour display' },
      ],
      'of-12',
    ),
  ],
  'set-dial': [
    time,
    choice('from', 'Given as', [...GIVEN.slice(1), { value: 'display-24', text: 'a 24-hour display' }]),
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
  'possible-dial': [posesField],
  'hour-hand-alone': [time],
  'minute-hand-alone': [number('minute', 'Minutes of the long hand', 0, 59), timesField('times', 'Choices', 3, 6)],
  'explain-mistake': [time, misconceptionField],
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
  'second-hand': [time, number('second', 'Seconds of the thin hand', 0, 59)],
  'ring-minutes': [numeralsField('numerals', 'Numerals', 4)],
  'label-parts': [partsField],
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
