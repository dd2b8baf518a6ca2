import { Component } from '@angular/core';
import { render } from '../testing/render';
import { shapesAreMissing, shapeViews } from './shape-views';

let isDown = true;
jest.mock('./time/views', () => {
  if (isDown) throw new TypeError('Failed to fetch dynamically imported module');
  return jest.requireActual('./time/views');
});

@Component({ template: '{{ views() ? "there" : "not yet" }}' })
class Shows {
  protected readonly views = shapeViews(() => 'time');
}

/** It is asked for again every two seconds: longer than what is waited for elsewhere. */
const soon = async (holds: () => boolean) => {
  for (let turn = 0; turn < 10 && !holds(); turn++) await new Promise((resolve) => setTimeout(resolve, 500));
  expect(holds()).toBe(true);
};

test('what could not be fetched is said after the second time, asked for again, and shown once it is there', async () => {
  const { page } = await render(Shows);
  expect([page.textContent, shapesAreMissing()]).toEqual(['not yet', false]);
  await soon(shapesAreMissing);
  isDown = false;
  await soon(() => page.textContent === 'there');
  expect(shapesAreMissing()).toBe(false);
});
