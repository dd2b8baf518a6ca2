import { gearedPose } from '../dial/pose.js';
import { minuteDigits } from '../time/display.js';
import { hour12, minuteOfHour, secondOfDay, toSecondOfDay, type SecondOfDay } from '../time/second-of-day.js';
import { WORD_PACKS, type WordPackId } from '../words/registry.js';
import { CLEAR_STAGE } from '../scene/stage-state.js';
import { TEACHING_LAYERS } from '../scene/dial-state.js';
import { beatKindOf } from '../beats/registry.js';
import { explain, type ExplainFrom, type ExplainStep } from './explain.js';
import { DEFAULT_SETTINGS, type LessonSettings } from '../lesson/settings.js';

const PACKS = Object.keys(WORD_PACKS) as WordPackId[];
const ALL = Array.from({ length: 720 }, (_, minute) => toSecondOfDay(minute * 60));
const SCHOOLS = (['hour-first', 'minute-first'] as const).flatMap((readingOrder) =>
  (['passed', 'step-back', 'zone'] as const).flatMap((betweenRule) =>
    PACKS.map((pack): LessonSettings => ({ ...DEFAULT_SETTINGS, readingOrder, betweenRule, pack })),
  ),
);
const textOf = (steps: readonly ExplainStep[], step: string) => steps.find((one) => one.step === step)?.beat.text ?? '';
/** The stage when the explanation has been given. */
const lastStage = (steps: readonly ExplainStep[], settings: LessonSettings) => {
  const context = { settings, layers: TEACHING_LAYERS, itemOf: () => undefined as never };
  return steps.reduce((before, { beat }) => {
    const kind = beatKindOf(beat);
    const kept = { ...CLEAR_STAGE, ...Object.fromEntries(kind.keeps.map((part) => [part, before[part]])) };
    return kind.at(kept, beat, Infinity, context);
  }, CLEAR_STAGE);
};

test.each(['dial', 'display', 'words'] as const)(
  'from a %s, every time in every school comes to the right dial, display and words',
  (from: ExplainFrom) => {
    const wrong = SCHOOLS.flatMap((settings) =>
      ALL.flatMap((at) => {
        const { dial, display, words } = lastStage(explain(at, settings, from), settings);
        const { hourDeg, minuteDeg } = gearedPose(at);
        const { hourHand, minuteHand, hourZones } = dial!.layers;
        const isRight =
          dial!.pose.hourDeg === hourDeg &&
          dial!.pose.minuteDeg === minuteDeg &&
          hourHand &&
          minuteHand &&
          hourZones === (settings.betweenRule === 'zone') &&
          display!.hour === String(hour12(at)) &&
          display!.minute === minuteDigits(minuteOfHour(at)) &&
          words.length > 0;
        return isRight ? [] : [{ settings, at }];
      }),
    );
    expect(wrong).toEqual([]);
  },
);

/** Where a sentence puts the short hand, as a range of minutes after its hour; read by this test’s own eyes. */
function hourPlace(sentence: string): { hour: number; from: number; to: number } {
  const numbers = (sentence.match(/\d+/g) ?? []).map(Number);
  const [first] = numbers as [number];
  const before = (hour: number) => (hour === 1 ? 12 : hour - 1);
  if (/exactly|genau/.test(sentence)) return { hour: first, from: 0, to: 0 };
  if (/half way|in der Mitte/.test(sentence)) return { hour: first, from: 30, to: 30 };
  if (/just past|gerade an/.test(sentence)) return { hour: first, from: 1, to: 5 };
  if (/almost|fast bei/.test(sentence)) return { hour: before(first), from: 55, to: 59 };
  const near = numbers.at(-1)!;
  return near === first ? { hour: first, from: 1, to: 29 } : { hour: first, from: 31, to: 59 };
}

/** The minute that a sentence puts the long hand at. */
function minutePlace(sentence: string): number {
  const [, numeral] = /(?:points at|past|auf der|nach der) (\d+)\.$/.exec(sentence)!;
  const ticks = /(\d+) ticks? past|(\d+) Striche? nach|(einen) Strich nach/.exec(sentence);
  return ((Number(numeral) % 12) * 5 + (ticks ? (ticks[3] ? 1 : Number(ticks[1] ?? ticks[2])) : 0)) % 60;
}

/** The minute after 12 that the meaning of a wording comes to. */
function meaning(sentence: string, at: SecondOfDay): number {
  const text = sentence.slice(sentence.indexOf(':') + 1);
  const numbers = (text.match(/\d+/g) ?? []).map(Number);
  const count = /eine Minute/.test(text) ? 1 : numbers[0]!;
  const hours = /eine Minute/.test(text) ? numbers : numbers.slice(1);
  const base = (hour: number) => (hour % 12) * 60;
  if (/exactly|genau/.test(text)) return base(hour12(at));
  if (/half of the hour after/.test(text)) return base(numbers[0]!) + 30;
  if (/Hälfte/.test(text)) return base(numbers[0]!) + 30;
  if (/:30/.test(text)) return base(hours[0]!) + 30 + (/vor/.test(text) ? -count : count);
  if (/to go until|fehl/.test(text)) return (base(hours[0]!) - count + 720) % 720;
  return base(hours[0]!) + count;
}

test('where each hand goes and what the words mean are true of every time, in every pack', () => {
  for (const pack of PACKS)
    for (const at of ALL) {
      const steps = explain(at, { ...DEFAULT_SETTINGS, pack }, 'words');
      // Where it has come to when the hands have run; where it is put at a full hour.
      const place = minuteOfHour(at) === 0 ? textOf(steps, 'put-hour-hand') : textOf(steps, 'check').replace(/^[^?]*\? /, '');
      const hour = hourPlace(place);
      const minute = minuteOfHour(at);
      expect([at, hour.hour, minute >= hour.from && minute <= hour.to]).toEqual([at, hour12(at), true]);
      expect([at, minutePlace(textOf(steps, 'put-minute-hand'))]).toEqual([at, minute]);
      expect([textOf(steps, 'meaning'), meaning(textOf(steps, 'meaning'), at)]).toEqual([textOf(steps, 'meaning'), at / 60]);
    }
});

test('what is special about a time is said: both up, nearly met, close to the next hour, one digit of minutes, 12 to 1', () => {
  const told = (hour: number, minute: number) =>
    explain(secondOfDay(hour, minute), DEFAULT_SETTINGS)
      .map(({ beat }) => beat.text)
      .join(' ');
  expect(told(0, 0)).toContain('Both hands point up.');
  expect(told(3, 16)).toContain('The hands are close together.');
  expect(told(7, 50)).toContain('Close to 8, but not there yet: the hour is still 7.');
  expect(told(7, 5)).toContain('5, written 05.');
  expect(told(0, 20)).toContain('It has passed 12, and 1 comes next: the hour is 12.');
  expect(told(4, 30)).toContain('Half way round, on the 6: 30.');
  for (const at of ALL) {
    const text = textOf(explain(at, DEFAULT_SETTINGS), 'look');
    const { hourDeg, minuteDeg } = gearedPose(at);
    const apart = Math.abs(((hourDeg - minuteDeg + 540) % 360) - 180);
    expect([at, /close together|up\b/.test(text)]).toEqual([at, apart <= 10]);
  }
});

test('the order of the school is the order in which the hands are put', () => {
  const order = (readingOrder: LessonSettings['readingOrder']) =>
    explain(secondOfDay(4, 40), { ...DEFAULT_SETTINGS, readingOrder }, 'display').map(({ step }) => step);
  expect(order('hour-first')).toEqual(['look', 'put-hour-hand', 'put-minute-hand', 'check']);
  expect(order('minute-first')).toEqual(['look', 'put-minute-hand', 'put-hour-hand', 'check']);
});
