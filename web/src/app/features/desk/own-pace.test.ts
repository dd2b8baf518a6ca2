import { signal } from '@angular/core';
import type { DeskView } from '@zeitpunkt/contract';
import { deskView } from '../../testing/desk';
import { FakeServer, Refusal } from '../../testing/fake-server';
import { render, textOf } from '../../testing/render';
import { DeskStore } from './desk-store';
import { OwnPace } from './own-pace';
import { OwnSays } from './own-says';
import { OwnSteps } from './own-steps';
import { VoiceClock } from './voice-clock';

const GO = 'POST /api/desk/own/go';
const steps = ['b1', 'b2', 'b3', 'b4'].map((beatId) => ({ beatId, step: 'beat' }));
const own = (change: Partial<NonNullable<DeskView['own']>> = {}): DeskView =>
  deskView({
    question: null,
    own: {
      narration: 'The mail boat leaves.',
      at: 1,
      farthest: 3,
      steps,
      total: 9,
      done: false,
      lines: [],
      lastDay: '2026-12-04',
      voice: null,
      ...change,
    },
  });

async function open(component: typeof OwnPace | typeof OwnSays, first = own()) {
  const view = signal<DeskView | null>(first);
  const store = { view, take: async (next: DeskView) => view.set(next) };
  const server = new FakeServer();
  const screen = await render(component, {}, [{ provide: DeskStore, useValue: store }, OwnSteps, VoiceClock]);
  const turn = async () => {
    for (let times = 0; times < 3; times++) {
      await new Promise((resolve) => setTimeout(resolve));
      await screen.settled();
    }
  };
  return { ...screen, server, turn };
}

test('a pupil goes on, back, and has a step once more; at an unanswered question there is no way on', async () => {
  const { server, press, turn, find } = await open(OwnPace);
  server.on(GO, own({ at: 2, farthest: 2 }));
  await press('Back');
  await turn();
  expect(server.sent(GO)).toEqual([{ to: steps[0] }]);
  expect(find.queryByRole('button', { name: 'Go on' })).toBeNull();
  expect(find.getByText('Answer, and it goes on.')).toBeTruthy();
  expect(find.getByText('Step 3 of 9')).toBeTruthy();
});

test('while the line is lost a step is asked for again, and the latest wish counts', async () => {
  const { server, press, turn, find } = await open(OwnPace);
  const again: (() => void)[] = [];
  const real = window.setTimeout;
  const later = jest
    .spyOn(window, 'setTimeout')
    .mockImplementation(((work: () => void, ms?: number) => (ms === 2000 ? again.push(work) : real(work, ms))) as never);
  server.reachable = false;
  await press('Go on');
  await turn();
  expect(find.getByRole('status').textContent).toBe('Waiting for the line.');
  await press('Back');
  server.reachable = true;
  server.on(GO, own({ at: 0 }));
  again.shift()!();
  await turn();
  later.mockRestore();
  expect(server.sent(GO).at(-1)).toEqual({ to: steps[0] });
  expect(find.queryByText('Waiting for the line.')).toBeNull();
});

test('what the server refuses for good is said', async () => {
  const { server, press, turn, find } = await open(OwnPace);
  server.on(GO, new Refusal('OWN_PACE_DAYS', 'This lesson is over.'));
  await press('Go on');
  await turn();
  expect(find.getByRole('alert').textContent).toBe('This lesson is over.');
});

test('the words of the step and the lines of the teacher stand there; after an answer the question itself says why', async () => {
  const { page } = await open(OwnSays, own({ lines: ['Finish by Friday.'] }));
  expect(textOf(page)).toBe('From your teacher: Finish by Friday. The mail boat leaves.');
});
