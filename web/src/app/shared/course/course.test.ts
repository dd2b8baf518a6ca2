import { TestBed } from '@angular/core/testing';
import { provideRouter } from '@angular/router';
import { provideState, provideStore } from '@ngrx/store';
import { NEW_PLAN } from '@zeitpunkt/core/series/plan';
import { authFeature } from '../../state/auth';
import { courseServer } from '../../testing/course';
import { Refusal } from '../../testing/fake-server';
import { until } from '../../testing/render';
import { CurrentClass } from '../current-class';
import { COURSE, Course } from './course';

const PLAN = 'GET /api/classes/c1/plan';

async function open() {
  localStorage.clear();
  const server = courseServer();
  let comes: (value: unknown) => void = () => undefined;
  server.on(PLAN, () => new Promise((resolve) => (comes = resolve)));
  TestBed.configureTestingModule({ providers: [provideRouter([]), provideStore(), provideState(authFeature), ...COURSE] });
  const course = TestBed.inject(Course);
  await TestBed.inject(CurrentClass).load();
  /** What is computed from what has come is seen to. */
  const holds = (is: () => boolean) =>
    until(() => {
      TestBed.tick();
      return is();
    });
  await holds(() => server.sent(PLAN).length === 1);
  return { server, course, holds, comes: (value: unknown) => comes(value) };
}

test('a spoilt file that is taken in while a place is still coming is told, and the place comes all the same', async () => {
  const { course, holds, comes } = await open();
  const spoilt = { name: 'half.lesson.json', size: 3, arrayBuffer: async () => new TextEncoder().encode('no!').buffer } as unknown as File;
  expect(await course.shelf.takeFile(spoilt)).toBeNull();
  expect([course.problem(), course.isThere()]).toEqual([expect.stringContaining('is no JSON'), false]);
  comes({ revision: 4, plan: NEW_PLAN });
  await holds(() => course.isThere());
  expect(course.problem()).toContain('is no JSON');
});

test('what did not come is not shown as if there were nothing; asked for again it is there', async () => {
  const { server, course, holds, comes } = await open();
  comes(new Refusal('PLAN_UNREADABLE', 'The plan cannot be read.', 422));
  await holds(() => course.problem() === 'The plan cannot be read.');
  expect(course.isThere()).toBe(false);
  server.on(PLAN, { revision: 4, plan: NEW_PLAN });
  course.reload();
  await holds(() => course.isThere());
});
