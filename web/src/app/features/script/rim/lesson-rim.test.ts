import { fireEvent } from '@testing-library/dom';
import { draftLesson } from '@zeitpunkt/core/draft/draft';
import { prepareLesson } from '@zeitpunkt/core/lesson/prepare';
import { DEFAULT_SETTINGS } from '@zeitpunkt/core/lesson/settings';
import { checkPrepared } from '@zeitpunkt/core/checker-rules/check';
import { phasesOf } from '@zeitpunkt/core/lesson/phases';
import { heard, render, textOf } from '../../../testing/render';
import { rowsOf } from '../column/beat-rows';
import { LessonRim } from './lesson-rim';

const prepared = prepareLesson(draftLesson({ rung: 'quarter-to', minutes: 15, delivery: 'live', settings: DEFAULT_SETTINGS, seed: 2 }));
const phases = phasesOf(prepared);
const { totalMs } = prepared;

async function open(change: Record<string, unknown> = {}) {
  const screen = await render(LessonRim, {
    phases,
    rows: rowsOf(prepared, []),
    totalMs,
    targetMs: 900_000,
    offers: [],
    playing: false,
    atMs: 0,
    ...change,
  });
  const band = screen.find.getByRole('slider', { name: 'Moment of the script' });
  return { ...screen, band, at: () => Number(band.getAttribute('aria-valuenow')) };
}

test('the parts of a lesson stand over its minutes; the keys go by seconds, by parts, and to both ends', async () => {
  const { page, band, at, key } = await open();
  expect(page.querySelectorAll('.part:not(.open)')).toHaveLength(phases.length);
  expect(textOf(page)).toContain('5 min');
  await key(band, 'ArrowRight');
  expect(at()).toBe(1000);
  await key(band, 'PageUp');
  expect(at()).toBe(phases[1]!.startMs);
  expect(band.getAttribute('aria-valuetext')).toMatch(/of 1\d:\d\d, Show$/);
  await key(band, 'End');
  expect(at()).toBe(totalMs - 1);
  await key(band, 'Home');
  expect(at()).toBe(0);
});

test('a press on the rim goes to that moment; behind the end it stays there', async () => {
  const { band, at, settled } = await open();
  Object.assign(band, { setPointerCapture: () => undefined, hasPointerCapture: () => true });
  band.getBoundingClientRect = () => ({ left: 100, width: 1000 }) as DOMRect;
  const whole = Math.max(totalMs, 900_000);
  fireEvent(band, Object.assign(new Event('pointerdown'), { button: 0, clientX: 600 }));
  await settled();
  expect(at()).toBe(Math.round(whole / 2));
  fireEvent(band, Object.assign(new Event('pointermove', { bubbles: true }), { clientX: 5000 }));
  await settled();
  expect(at()).toBe(totalMs - 1);
});

test('what is found stands where it is and leads there; what brings the lesson nearer to its time is offered', async () => {
  const hasty = {
    ...prepared.lesson,
    beats: prepared.lesson.beats.map((beat) => (beat.kind === 'think' ? { ...beat, seconds: 3 } : beat)),
  };
  const rows = rowsOf(prepareLesson(hasty), checkPrepared(prepareLesson(hasty)));
  const first = rows.find(({ findings }) => findings.length > 0)!;
  const { find, press, component } = await open({
    rows,
    offers: [{ label: 'Take out the example of 4:20', bySec: -62, apply: (one: unknown) => one }],
  });
  const looked = heard((component as LessonRim).looked);
  fireEvent.click(find.getAllByRole('button', { name: new RegExp(`^${first.name}: `) })[0]!);
  expect(looked).toEqual([first.id]);
  await press('Nearer to what is planned');
  expect(textOf(document.body)).toContain('Take out the example of 4:20 (−1:02)');
});
