import type { Beat, BeatKindId } from '@zeitpunkt/core/beats/registry';
import { draftLesson } from '@zeitpunkt/core/draft/draft';
import { changeBeat } from '@zeitpunkt/core/edit/edit';
import { RUNG_IDS } from '@zeitpunkt/core/ladder/registry';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { BEAT_FIELDS } from './beat-fields';
import { layerPressed } from './layers-field';

const settings = DEFAULT_SETTINGS;
const OTHERS: readonly Beat[] = [
  {
    id: 'verse',
    kind: 'verse',
    lines: [
      { text: 'The boat goes out', timeSec: 27_000 },
      { text: 'and home it comes', timeSec: null },
    ],
  },
  { id: 'card', kind: 'daily-card', pattern: { firstSec: 28_800, stepsMin: [30, 30, 60] }, since: 2, card: 5, text: '' },
  { id: 'hand', kind: 'missing-hand', timeSec: 29_700, shows: 'hour', text: '' },
  { id: 'pose', kind: 'possible', pose: { hourDeg: 285, minuteDeg: 90 }, text: '' },
  { id: 'hides', kind: 'set', timeSec: 29_700, display: 'none', words: false, layers: { hourZones: true, handInk: 'alike' }, text: '' },
];
const lesson: Lesson = {
  ...draftLesson({ rung: 'half-past', minutes: 5, delivery: 'live', settings, seed: 1 }),
  beats: [...RUNG_IDS.flatMap((rung) => draftLesson({ rung, minutes: 40, delivery: 'recorded', settings, seed: 2 }).beats), ...OTHERS].map(
    (beat, index) => ({ ...beat, id: `b${index}` }),
  ),
};
const fieldOf = (kind: BeatKindId, key: string) => BEAT_FIELDS()[kind].find((field) => field.key === key)!;

test('what stands in a field, written back, leaves every beat as it is', () => {
  const kinds = new Set(lesson.beats.map(({ kind }) => kind));
  expect(kinds.size).toBeGreaterThan(14);
  for (const beat of lesson.beats) {
    for (const field of BEAT_FIELDS()[beat.kind]) {
      const typed = field.write(field.read(beat as never, settings), beat as never, settings);
      expect([beat.kind, field.key, typed]).toEqual([beat.kind, field.key, { change: expect.anything() }]);
      const written = 'change' in typed ? changeBeat(beat.id, typed.change)(lesson).beats.find(({ id }) => id === beat.id) : null;
      expect(written).toEqual(beat);
    }
  }
});

test('a layer goes on from as it is to shown to hidden, and others that are not on the switches stay', () => {
  const field = fieldOf('layers', 'layers');
  let beat: object = { kind: 'layers', layers: { hourLine: true }, lasts: false, text: '' };
  const seen = ['zones', 'zones', 'zones', 'coloured hands'].map((name) => {
    const typed = field.write(layerPressed(field.read(beat as never, settings), name), beat as never, settings);
    beat = { ...beat, ...('change' in typed ? typed.change : {}) };
    return (beat as { layers: object }).layers;
  });
  expect(seen).toEqual([
    { hourLine: true, hourZones: true },
    { hourLine: true, hourZones: false },
    { hourLine: true },
    { hourLine: true, handInk: 'own' },
  ]);
});

test.each([
  ['possible', 'hourDeg', '9.5', { pose: { hourDeg: 285, minuteDeg: 90 } }],
  ['possible', 'minuteDeg', '60', { pose: { hourDeg: 285, minuteDeg: 0 } }],
  ['possible', 'hourDeg', '13', /from 0 to 12/],
  ['think', 'seconds', '2', /from 3 to 300/],
  ['mark', 'marks', 'hour hand, 13', /“13” is nothing on the dial/],
  ['daily-card', 'pattern', '8:00', /at least two times/],
  ['verse', 'lines', '25:00 the boat goes out', /Line 1/],
] as const)('%s, %s: “%s”', (kind, key, text, wanted) => {
  const beat = lesson.beats.findLast((one) => one.kind === kind)!;
  const typed = fieldOf(kind, key).write(text, beat as never, settings);
  if (wanted instanceof RegExp) expect('problem' in typed && typed.problem).toMatch(wanted);
  else expect(typed).toEqual({ change: wanted });
});
