import { RUNG_IDS } from '../ladder/registry.js';
import { talkOf } from '../talk/registry.js';
import { draftLesson } from '../draft/draft.js';
import { DEFAULT_SETTINGS, type LessonSettings } from '../lesson/settings.js';
import { withSettings } from './with-settings.js';

const draft = (rung: (typeof RUNG_IDS)[number], change: Partial<LessonSettings> = {}) =>
  draftLesson({ rung, minutes: 20, delivery: 'live', settings: { ...DEFAULT_SETTINGS, ...change }, seed: 5 });
const wordsOf = ({ beats, successCriteria }: ReturnType<typeof draft>) =>
  [...successCriteria, ...beats.flatMap((beat) => ('text' in beat ? [beat.text] : []))].join('\n');

test.each(RUNG_IDS)(
  'a draft on %s that is changed to another school says nothing of the one before, and back again is as it was',
  (rung) => {
    const before = draft(rung);
    const other: Partial<LessonSettings> = { readingOrder: 'minute-first', betweenRule: 'step-back' };
    const after = withSettings(before, other);
    const { criteria, whichHour } = talkOf(DEFAULT_SETTINGS);
    for (const said of [criteria.order['hour-first'], criteria.between.passed, whichHour.passed])
      expect(wordsOf(after)).not.toContain(said);
    expect(after.successCriteria).toEqual(draft(rung, other).successCriteria);
    expect(withSettings(after, { readingOrder: 'hour-first', betweenRule: 'passed' })).toEqual(before);
  },
);

test('times are worded as in the other school, whole words only, and own words stay', () => {
  const lesson = {
    ...draft('quarter-past', { pack: 'en-US' }),
    items: [{ id: 'q1', kind: 'set-dial' as const, timeSec: 15 * 3600 + 900, from: 'words' as const, hands: 'geared' as const }],
    beats: [
      {
        id: 'b1',
        kind: 'say' as const,
        text: 'The ferry goes at quarter after three. Three of us wait; a quarter after threes is no time.',
      },
    ],
  };
  const [beat] = withSettings(lesson, { pack: 'en-GB' }).beats;
  expect(beat).toHaveProperty('text', 'The ferry goes at quarter past three. Three of us wait; a quarter after threes is no time.');
  expect(withSettings(lesson, { pack: 'de' }).beats).toEqual(lesson.beats);
});
