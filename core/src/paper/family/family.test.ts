import { DEFAULT_SETTINGS } from '../../lesson/settings.js';
import { MISCONCEPTIONS } from '../../misconceptions/registry.js';
import { markOf } from '../../question-kinds/marking.js';
import { kindOf, QUESTION_KIND_IDS, QUESTION_KINDS, textOfResponse, type Item } from '../../question-kinds/registry.js';
import { areaOf, type PaperLook, type PaperPage } from '../paper-page.js';
import { paperParts, type PaperWish } from '../paper-wish.js';
import type { PupilRecord, RecordedAnswer } from './pupil-record.js';

const measure = (text: string, size: number, bold: boolean) => text.length * size * (bold ? 0.58 : 0.54);
const LOOKS: readonly PaperLook[] = (['a4', 'letter'] as const).flatMap((size) => [false, true].map((large) => ({ size, large, measure })));
const pagesOf = (wish: PaperWish, look = LOOKS[0]!) => paperParts(wish, look).flatMap((part) => part());
const textsOf = (pages: readonly PaperPage[]) =>
  pages.flatMap(({ nodes }) => nodes.flatMap((node) => (node.type === 'text' ? [node] : [])));
/** What can be read, as one line: paragraphs are broken where they are full. */
const readOf = (pages: readonly PaperPage[]) =>
  textsOf(pages)
    .map(({ text }) => text)
    .join(' ');

const AT = '2026-11-30T08:52:10.000Z';

/** An answer with everything that can stand at one. */
function answered(item: Item, attempt: number): RecordedAnswer {
  const kind = kindOf(item);
  const given = kind.keyOf(item, DEFAULT_SETTINGS);
  const mark = markOf(item, given, DEFAULT_SETTINGS);
  return {
    question: kind.viewOf(item, DEFAULT_SETTINGS).stem,
    item,
    answer: textOfResponse(item, given, DEFAULT_SETTINGS),
    given,
    attempt,
    verdict: 'not-yet',
    possibleIdeas: ['hands-exchanged'],
    saidToPupil: mark.sayToPupil,
    corrected: { verdict: 'right', reason: 'Said it aloud.', at: AT },
    remarks: [{ text: 'Looks at the short hand first.', at: AT }],
    responseTimeMs: 7400,
    receivedAt: AT,
    source: 'device',
    late: true,
    counts: false,
  };
}

const RECORD: PupilRecord = {
  format: 'zeitpunkt-pupil-data',
  formatVersion: 2,
  exportedAt: AT,
  class: 'Terns',
  name: 'Odo',
  reference: 'T-17',
  leftAt: null,
  cardMadeAt: AT,
  lessons: [
    {
      title: 'Half past at the harbour',
      taughtAt: AT,
      pace: 'own',
      settings: DEFAULT_SETTINGS,
      came: [{ at: AT, admittedAt: AT, leftAt: null }],
      own: { heardAt: AT, finishedAt: AT, line: 'Take your time.' },
      answers: QUESTION_KIND_IDS.flatMap((id) => QUESTION_KINDS[id].samples as readonly Item[]).map((item, index) =>
        answered(item, index + 1),
      ),
    },
  ],
  remarks: [{ text: 'Likes boats.', at: AT }],
  pageForHome: { can: 'Odo is sure of whole hours.', next: 'Next: half past.', tryThis: 'Look at a clock.', at: AT },
  group: null,
  sheets: [{ code: 'KELP', version: 0, madeAt: AT }],
};

test('a family reads every question of any kind with its answer, its marks and remarks, and the page for home', () => {
  const read = readOf(pagesOf({ kind: 'pupil-record', record: RECORD, tongue: 'en' }));
  const { answers } = RECORD.lessons[0]!;
  for (const { question, answer, attempt } of answers) {
    for (const word of `${question} ${answer}`.split(/\s+/)) expect(read).toContain(word);
    if (attempt > 1) expect(read).toContain(`attempt ${attempt} `);
  }
  for (const said of [
    'Odo',
    'T-17',
    'KELP',
    'Likes boats.',
    'Take your time.',
    'Looks at the short hand first.',
    'Odo is sure of whole hours.',
  ])
    expect(read).toContain(said);
  expect(read.match(/Marked by the teacher afterwards, 30 November 2026: right\. Said it aloud\./g)).toHaveLength(answers.length);
  expect(read).toContain(MISCONCEPTIONS['hands-exchanged'].name);
});

test('an answer that cannot be read any more is told as one', () => {
  const lost: RecordedAnswer = { ...RECORD.lessons[0]!.answers[0]!, question: null, item: null, answer: null, verdict: null };
  const record = { ...RECORD, lessons: [{ ...RECORD.lessons[0]!, answers: [lost] }] };
  expect(readOf(pagesOf({ kind: 'pupil-record', record, tongue: 'en' }))).toContain('An answer that cannot be read any more');
  expect(readOf(pagesOf({ kind: 'pupil-record', record, tongue: 'de' }))).toContain('nicht mehr gelesen werden kann');
});

test('the page for all families says what holds for this class, in either language, on one page', () => {
  const facts = { className: 'Terns', day: AT, address: 'https://zeit.school.test', keepDays: 90, backups: { most: 14, sealed: true } };
  for (const look of LOOKS) {
    for (const tongue of ['en', 'de'] as const) {
      const pages = pagesOf({ kind: 'kept', facts, tongue }, look);
      expect(pages).toHaveLength(1);
      const area = areaOf(look);
      const lowest = textsOf(pages).reduce((low, { y }) => Math.max(low, y), 0);
      expect(lowest).toBeLessThanOrEqual(area.y + area.height);
      // The line to sign stands below all that is said.
      expect(textsOf(pages).filter(({ y }) => y > lowest - 12)).toHaveLength(1);
    }
  }
  const read = readOf(pagesOf({ kind: 'kept', facts, tongue: 'en' }));
  expect(read).toContain('deleted 90 days after their lesson');
  expect(read).toContain('sealed with a passphrase. The newest 14 are kept');
  expect(read).toContain('https://zeit.school.test');
  expect(read).toContain('is decided by the rules of the school and by the law');
  const others = readOf(pagesOf({ kind: 'kept', facts: { ...facts, keepDays: null, backups: null }, tongue: 'en' }));
  expect(others).toContain('kept until the teacher deletes them');
  expect(others).toContain('No copies are made');
});
