import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideState, provideStore, Store } from '@ngrx/store';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { lessonWith, numbered } from '@zeitpunkt/core/testing/lessons';
import { Steering } from '../../shared/steering';
import { liveActions, liveFeature } from '../../state/live';
import * as liveEffects from '../../state/live-effects';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { render, textOf, until } from '../../testing/render';
import { stepOf } from '../../testing/session';
import { Rehearse } from './rehearse';

const lesson = lessonWith({
  title: 'Half past at the harbour',
  beats: numbered([
    { kind: 'say', text: 'Good morning to all of you.' },
    { kind: 'say', text: 'Look at the short hand of this clock.' },
    { kind: 'say', text: 'Goodbye.' },
  ]),
});
let kept: Lesson;
let server: FakeServer;
let nowMs: number;
beforeEach(() => {
  kept = lesson;
  nowMs = Date.UTC(2026, 11, 1, 9);
  jest.spyOn(Date, 'now').mockImplementation(() => nowMs);
  server = new FakeServer({
    'GET /api/lessons/l1': () => ({ id: 'l1', revision: 1, lesson: kept }),
    'POST /api/lessons/l1/draft': (body: unknown) => {
      kept = (body as { lesson: Lesson }).lesson;
      return { revision: 2 };
    },
  });
});
afterEach(() => jest.restoreAllMocks());

async function open() {
  const tools = await render(Rehearse, { id: 'l1' }, [
    provideRouter([]),
    provideStore(),
    provideState(liveFeature),
    provideEffects(liveEffects),
  ]);
  await until(() => tools.find.queryByRole('heading', { level: 1, name: lesson.title }) !== null);
  const steering = TestBed.inject(Steering);
  /** Goes on in the script, so many milliseconds later. */
  const go = async (beat: number, afterMs: number) => {
    nowMs += afterMs;
    steering.tell({ type: 'go', to: stepOf(beat) });
    await tools.settled();
  };
  const begin = async () => {
    steering.tell({ type: 'begin' });
    await tools.settled();
  };
  const end = async (afterMs: number) => {
    nowMs += afterMs;
    await tools.press('End the rehearsal');
    await until(() => tools.find.queryByRole('heading', { name: 'What it took' }) !== null);
  };
  return { ...tools, go, begin, end };
}
const rows = (page: HTMLElement) => [...page.querySelectorAll('tr[mat-row]')].map((row) => textOf(row));
const phase = () => TestBed.inject(Store).selectSignal(liveFeature.selectDetail)()?.live.room.phase;

test('what each beat took stands beside what was planned; beats that were not reached are said to be', async () => {
  const { page, begin, go, end } = await open();
  await begin();
  await go(2, 9000);
  await end(21_000);
  expect(rows(page).map((row) => row.slice(-11))).toEqual([
    expect.stringContaining('0:09'),
    expect.stringContaining('0:21'),
    expect.stringContaining('not reached'),
  ]);
  expect(textOf(page)).toContain('for the 2 of 3 beats that you taught');
});

test('the times become the plan at a press, and the plan comes back at another; words that were changed meanwhile stay', async () => {
  const { page, begin, go, end, press, find } = await open();
  await begin();
  await go(2, 9000);
  await end(21_000);
  await press('Take these times over');
  await until(() => textOf(page).includes('These times are the plan now.'));
  expect(kept.beats.map(({ plannedSec }) => plannedSec)).toEqual([9, 21, undefined]);
  expect(find.getByRole<HTMLButtonElement>('button', { name: 'Take these times over' }).disabled).toBe(true);
  kept = { ...kept, title: 'Half past on the pier' };
  await press('Take it back');
  await until(() => textOf(page).includes('The plan is as it was.'));
  expect(kept.beats.map(({ plannedSec }) => plannedSec)).toEqual([undefined, undefined, undefined]);
  expect(kept.title).toBe('Half past on the pier');
});

test('“Rehearse again” begins anew: the room waits for its beginning, and nothing of the first one is left', async () => {
  const { page, begin, go, end, press } = await open();
  await begin();
  await go(2, 9000);
  await go(3, 4000);
  await end(1000);
  expect(phase()).toBe('ended');
  await press('Rehearse again');
  await until(() => phase() === 'lobby');
  await begin();
  expect(phase()).toBe('running');
  expect(TestBed.inject(Store).selectSignal(liveFeature.selectDetail)()!.live.room.run.at).toEqual(stepOf(1));
  await end(2000);
  expect(rows(page).filter((row) => row.includes('not reached'))).toHaveLength(2);
});

test('a lesson that is not there says so with the way back; a plan that is refused changes nothing', async () => {
  const { page, begin, go, end, press } = await open();
  await begin();
  await go(2, 9000);
  await end(1000);
  server.on('POST /api/lessons/l1/draft', new Refusal('LESSON_CHANGED', 'It was changed meanwhile.'));
  await press('Take these times over');
  await until(() => textOf(page).includes('It was changed meanwhile.'));
  expect(textOf(page)).not.toContain('These times are the plan now.');
  expect(kept).toBe(lesson);
  TestBed.inject(Store).dispatch(liveActions.close());
});
