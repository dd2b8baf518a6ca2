import fc from 'fast-check';
import { gearedPose } from '../dial/pose.js';
import { reportPose } from '../dial/possible.js';
import { RUNG_IDS } from '../ladder/registry.js';
import { cardTime, patternOf, type CardPattern } from '../lesson/card-pattern.js';
import { narrationAt, stageAt } from '../stage/player.js';
import { prepareLesson, type PreparedLesson } from '../lesson/prepare.js';
import { referenceChart } from '../stage/reference-chart.js';
import { DEFAULT_SETTINGS } from '../lesson/settings.js';
import { MISCONCEPTION_IDS } from '../misconceptions/registry.js';
import { currentAsking, enterStep, newRun } from '../run/run.js';
import { viewOfRun } from '../run/run-view.js';
import { stageScene } from '../scene/stage-scene.js';
import { secondOfDay as at, toSecondOfDay } from '../time/second-of-day.js';
import { mistakenReading } from './mistake.js';
import { nameOfBeat, type Beat, type NewBeat } from './registry.js';
import { lessonWith, numbered } from '../testing/lessons.js';

const lessonOf = (...beats: NewBeat[]) =>
  lessonWith({
    items: [{ id: 'q1', kind: 'read-dial', timeSec: at(7, 30) }],
    beats: numbered(beats),
  });
const played = (...beats: NewBeat[]) => prepareLesson(lessonOf(...beats));
const settled = (prepared: PreparedLesson) => prepared.steps.map(({ ref }) => stageAt(prepared, ref, Infinity));
const said = (prepared: PreparedLesson) => prepared.steps.map(({ ref }) => narrationAt(prepared, ref));
const namesOf = (prepared: PreparedLesson) => prepared.steps.map(({ ref }) => ref.step);

test('help that is taken away for good stays away in later demonstrations, and other help does not', () => {
  const set: NewBeat = { kind: 'set', timeSec: at(4, 0), display: 'full', words: false, text: '' };
  const withRing: NewBeat = { ...set, layers: { hourZones: true } };
  const hide = (lasts: boolean): NewBeat => ({
    kind: 'layers',
    layers: { minuteRing: 'none', handInk: 'alike' },
    lasts,
    text: 'Without help now.',
  });
  const layers = (lasts: boolean) =>
    settled(played(set, hide(lasts), withRing, { kind: 'worked-example', timeSec: at(5, 20) })).map(({ dial }) => dial!.layers);
  const forGood = layers(true);
  expect(forGood.map(({ minuteRing }) => minuteRing).slice(0, 4)).toEqual(['full', 'none', 'none', 'none']);
  expect(forGood[2]).toMatchObject({ hourZones: true, handInk: 'alike' });
  expect(
    layers(false)
      .map(({ minuteRing }) => minuteRing)
      .slice(0, 4),
  ).toEqual(['full', 'none', 'full', 'full']);
  const [, lined] = settled(played(set, { kind: 'layers', layers: {}, bands: ['hour-line-fives', 'day-line'], lasts: false, text: '' }));
  expect(lined!.bands.map(({ type }) => type)).toEqual(['hour-line', 'day-line']);
  expect(lined).toMatchObject({ bands: [{ at: 0 }, { atSec: at(4, 0) }], display: { hour: '4' } });
});

test('every mistake that is shown is wrong, is what its idea leads to, and ends with the right time', () => {
  fc.assert(
    fc.property(fc.nat(719), fc.constantFrom(...MISCONCEPTION_IDS), (minute, misconception) => {
      const timeSec = minute * 60;
      const beat: NewBeat = { kind: 'mistake', timeSec, misconception, text: '' };
      const reading = mistakenReading({ timeSec, misconception }, DEFAULT_SETTINGS);
      if (!reading) return expect(() => played(beat)).toThrow(expect.objectContaining({ code: 'LESSON_MISTAKE_NONE' }));
      const prepared = played(beat);
      const [dial, shown, , right] = settled(prepared);
      expect(dial!.display).toMatchObject({ hour: null, minute: null });
      expect(shown!.display).toMatchObject({ hour: reading.hour, minute: reading.minute });
      expect(`${shown!.display!.hour}:${shown!.display!.minute}`).not.toBe(`${right!.display!.hour}:${right!.display!.minute}`);
      expect(right!.dial!.pose).toEqual(gearedPose(toSecondOfDay(timeSec)));
      expect(said(prepared)[1]).toContain(`${reading.hour}:${reading.minute}`);
    }),
  );
});

test('of two hands put by themselves it is said whether they can be a time, and then they are', () => {
  fc.assert(
    fc.property(fc.double({ min: 0, max: 359.9, noNaN: true }), fc.double({ min: 0, max: 359.9, noNaN: true }), (hourDeg, minuteDeg) => {
      const pose = { hourDeg, minuteDeg };
      const { possible } = reportPose(pose);
      const [shown, verdict, right] = settled(played({ kind: 'possible', pose, text: '' }));
      expect([shown!.dial!.pose, shown!.display]).toEqual([pose, null]);
      expect(verdict!.board[0]).toMatch(possible ? /^This can be/ : /^This cannot be: .*short hand/);
      expect(reportPose(right!.dial!.pose).possible).toBe(true);
    }),
  );
});

test('one hand alone tells what it tells, for every minute of the round, and the other comes after', () => {
  for (let minute = 0; minute < 720; minute++) {
    const [shown, told, both] = settled(played({ kind: 'missing-hand', timeSec: minute * 60, shows: 'hour', text: '' }));
    expect([shown!.dial!.layers.minuteHand, shown!.display, both!.dial!.layers.minuteHand]).toEqual([false, null, true]);
    expect(Math.abs(roughly(told!.board[0]!) - minute)).toBeLessThanOrEqual(8);
  }
  const [, long] = settled(played({ kind: 'missing-hand', timeSec: at(8, 20), shows: 'minute', text: '' }));
  expect(long!.board).toEqual(['The long hand alone says 20 minutes past, but of which hour? Twelve times are possible.']);
});

/** The minute after 12 that a sentence about the short hand comes to, as a child would take it. */
function roughly(sentence: string): number {
  const [, how, hour] =
    /(about quarter past|about half past|about quarter to|five or ten minutes past|five or ten minutes to|a few minutes past|a few minutes to|:) (\d+)/.exec(
      sentence,
    )!;
  const from = (Number(hour) % 12) * 60;
  const by =
    {
      'about quarter past': 15,
      'about half past': 30,
      'about quarter to': -15,
      'a few minutes past': 2,
      'a few minutes to': -2,
      'five or ten minutes past': 7,
      'five or ten minutes to': -7,
    }[how!] ?? 0;
  // The last hour of the round comes to 12 again.
  return from + by < 0 ? from + by + 720 : from === 0 && by < 0 ? 720 + by : from + by;
}

test('a verse is shown line by line, and a line with a time turns the hands', () => {
  const lines = [
    { text: 'The lamp goes on at eight', timeSec: at(20, 0) },
    { text: 'and Wren is still awake', timeSec: null },
    { text: 'at half past she is late', timeSec: at(20, 30) },
  ];
  const prepared = played({ kind: 'verse', lines });
  expect(namesOf(prepared)).toEqual(['line-1', 'line-2', 'line-3']);
  expect(said(prepared)).toEqual(lines.map(({ text }) => text));
  expect(settled(prepared).map(({ dial, board }) => [dial!.pose.minuteDeg, board.length])).toEqual([
    [0, 1],
    [0, 2],
    [180, 3],
  ]);
});

test('daily cards are guessed before they are shown, and missed days are caught up in one go', () => {
  const pattern = { firstSec: at(8, 0), stepsMin: [30, 30, 60] };
  const prepared = played({ kind: 'daily-card', pattern, since: 3, card: 4, text: 'What is today’s?' });
  expect(namesOf(prepared)).toEqual(['guess-3', 'card-3', 'guess-4', 'card-4']);
  const [guess, shown, next] = settled(prepared);
  expect(guess).toMatchObject({ display: { hour: null, minute: null }, words: [], board: ['Card 3', '8:00, 8:30, ?'] });
  expect(guess!.dial!.layers).toMatchObject({ hourHand: false, minuteHand: false });
  expect(shown).toMatchObject({ display: { hour: '9', minute: '00' } });
  expect([next!.board[1], said(prepared)[2]]).toEqual(['8:00, 8:30, 9:00, ?', 'What is today’s?']);
  expect([4, 5, 6, 7].map((card) => cardTime(pattern, card))).toEqual([at(10, 0), at(10, 30), at(11, 0), at(12, 0)]);
});

test('a pattern is found again from its cards, past midnight and backwards too', () => {
  const step = fc.integer({ min: -719, max: 719 }).filter((minutes) => minutes !== 0);
  fc.assert(
    fc.property(fc.nat(1439), fc.array(step, { minLength: 1, maxLength: 4 }), (first, stepsMin) => {
      const pattern: CardPattern = { firstSec: first * 60, stepsMin };
      const cards = Array.from({ length: 3 * stepsMin.length + 1 }, (_, index) => cardTime(pattern, index + 1));
      const found = patternOf(cards)!;
      expect(found.stepsMin.length).toBeLessThanOrEqual(stepsMin.length);
      expect(cards.map((_, index) => cardTime(found, index + 1))).toEqual(cards);
    }),
  );
  expect([patternOf([at(8, 0)]), patternOf([at(8, 0), at(8, 0)])]).toEqual([null, null]);
});

test('what is asked aloud opens nothing on devices, which see it, and its answer with everybody', () => {
  const ask = (aloud?: true): PreparedLesson =>
    played(
      { kind: 'ask', itemId: 'q1', text: 'Say it.', ...(aloud && { aloud }) },
      { kind: 'think', itemId: 'q1', seconds: 9, text: '', stops: true },
      { kind: 'answer', itemId: 'q1' },
      { kind: 'say', text: 'Well done.' },
    );
  const walk = (prepared: PreparedLesson) => {
    let run = newRun(prepared);
    return prepared.steps.map(({ ref }) => {
      run = enterStep(run, ref, prepared, 1);
      return { asking: currentAsking(run, prepared)?.phase ?? null, view: viewOfRun(prepared, run, null, Infinity) };
    });
  };
  const aloud = walk(ask(true));
  expect(aloud.map(({ asking }) => asking)).toEqual([null, null, null, null]);
  expect(aloud.map(({ view }) => view.stage!.before.display?.hour ?? null)).toEqual([null, null, '7', '7']);
  expect(aloud[1]!.view.stage!.before).toMatchObject({ countdown: null, board: ['Stop here and think.'] });
  expect(walk(ask()).map(({ asking }) => asking)).toEqual(['open', 'open', 'revealed', null]);
});

test('time that is known better than planned is shared among the steps', () => {
  const example: NewBeat = { kind: 'worked-example', timeSec: at(4, 20) };
  const [planned, known] = [played(example), played({ ...example, plannedSec: 60 })];
  expect(Math.round(known.totalMs / 1000)).toBe(60);
  const ratio = known.totalMs / planned.totalMs;
  known.steps.forEach(({ durationMs }, index) => expect(durationMs / planned.steps[index]!.durationMs).toBeCloseTo(ratio, 2));
});

test('on paper: the sheet, what to do, the way round without a printer, and the time for it', () => {
  const [stage] = settled(
    played({ kind: 'task', sheet: 'Sheet 2', text: 'Draw the hands.', withoutPrinter: 'Draw a plate.', seconds: 90 }),
  );
  expect(stage).toMatchObject({
    stem: 'Sheet 2',
    board: ['Draw the hands.', 'No printer? Draw a plate.'],
    countdown: { totalMs: 90_000, leftMs: 0 },
  });
});

test.each(RUNG_IDS)('the chart of %s has the stage to itself, every dial with its display and words, nothing outside', (rung) => {
  for (const pack of ['en-GB', 'en-US', 'de'] as const) {
    const chart = referenceChart(rung, { ...DEFAULT_SETTINGS, pack });
    expect(chart.entries.length).toBeGreaterThanOrEqual(2);
    for (const { pose, display, words } of chart.entries) {
      expect(reportPose(pose).possible).toBe(true);
      expect(display).toMatch(/^\d+:\d\d$/);
      expect(words).not.toBe('');
    }
    const [stage] = settled(played({ kind: 'chart', rung, text: '' }));
    expect(stage).toMatchObject({ dial: null, board: [] });
    const { nodes, width, height } = stageScene({ ...stage!, chart });
    expect(nodes.filter(({ id }) => /^chart-\d+$/.test(id ?? ''))).toHaveLength(chart.entries.length);
    for (const node of nodes)
      if (node.type === 'text')
        expect([node.text, node.x > 0 && node.x < width && node.y > 0 && node.y < height]).toEqual([node.text, true]);
  }
});

test('a fast sweep counts in fives where a slow one counts in ones: faster than three times a second nothing changes', () => {
  const counts = (turnSeconds: number) => {
    const prepared = played({ kind: 'sweep', fromSec: at(7, 0), toSec: at(8, 0), turnSeconds, count: 'ones', stops: [], text: '' });
    const [{ ref }] = prepared.steps as [(typeof prepared.steps)[number]];
    return Array.from({ length: 40 }, (_, index) => stageAt(prepared, ref, (index * turnSeconds * 1000) / 40)).flatMap(({ dial }) =>
      (dial?.marks ?? []).flatMap((mark) => (mark.type === 'count' ? [mark.toMinute % 5] : [])),
    );
  };
  expect(new Set(counts(10))).toEqual(new Set([0]));
  expect(new Set(counts(60)).size).toBeGreaterThan(1);
});

test.each<[NewBeat, string]>([
  [{ kind: 'set', timeSec: 9900, display: 'full', words: true, text: '' }, 'Set, 2:45'],
  [{ kind: 'sweep', fromSec: 7200, toSec: 10_800, turnSeconds: 24, count: 'fives', stops: [], text: '' }, 'Sweep, 2:00 to 3:00'],
  [{ kind: 'layers', layers: { quarters: true, minuteRing: 'none' }, lasts: true, text: '' }, 'Show or hide, quarters, no minutes'],
  [
    {
      kind: 'mark',
      marks: [
        { type: 'hand', hand: 'hour' },
        { type: 'numeral', numeral: 9 },
      ],
      text: '',
    },
    'Mark, hour hand, the 9',
  ],
  [{ kind: 'mark', marks: [{ type: 'ink', id: 'i', d: 'M0 0' }], text: '' }, 'Mark'],
  [{ kind: 'say', text: 'Look.' }, 'Say'],
])('a beat is named by what it shows: %j', (beat, name) => {
  expect(nameOfBeat({ ...beat, id: 'b1' } as Beat, DEFAULT_SETTINGS)).toBe(name);
});
