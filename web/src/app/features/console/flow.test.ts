import { provideState, provideStore, Store } from '@ngrx/store';
import { TestBed } from '@angular/core/testing';
import type { SessionDetail } from '@zeitpunkt/contract';
import { NO_CALLS, type Calls } from '@zeitpunkt/core/live/calls';
import type { RoomCommand } from '@zeitpunkt/core/live/room';
import { Steering } from '../../shared/steering';
import { liveActions, liveFeature } from '../../state/live';
import { render, textOf } from '../../testing/render';
import { askingOf, responseOf, sessionDetail, withRun } from '../../testing/session';
import { FlowBar } from './flow-bar';
import { InPassing } from './in-passing';

function withCalls(detail: SessionDetail, calls: Partial<Calls>, passing = detail.live.passing): SessionDetail {
  const { live } = detail;
  return { ...detail, live: { ...live, passing, room: { ...live.room, calls: { ...NO_CALLS, ...calls } } } };
}
async function open(component: typeof FlowBar | typeof InPassing, detail: SessionDetail, inputs: object = {}) {
  const screen = await render(component, { detail, ...inputs }, [provideStore(), provideState(liveFeature)]);
  TestBed.inject(Store).dispatch(liveActions.loaded({ detail, atMs: 0 }));
  const told: RoomCommand[] = [];
  jest.spyOn(TestBed.inject(Steering), 'tell').mockImplementation((command) => void told.push(command));
  return { ...screen, told };
}

test('those who still think can be nudged once and given time; the answers can be closed', async () => {
  const detail = withRun({ askings: [askingOf('q1', 'open')] }, { responses: [responseOf('Anouk', 'q1')] });
  const { press, told, setInputs, find } = await open(FlowBar, detail, { asking: askingOf('q1', 'open') });
  for (const button of ['Remind 2', '2 min more', 'Close it']) await press(button);
  expect(told).toEqual([
    { type: 'nudge', askingId: 'q1' },
    { type: 'more-time', askingId: 'q1', minutes: 2 },
    { type: 'close', askingId: 'q1' },
  ]);
  await setInputs({ detail: withCalls(detail, { nudged: 'q1' }) });
  expect(find.getByRole<HTMLButtonElement>('button', { name: 'Reminded' }).disabled).toBe(true);
});

test('a question beside the script can be taken back until somebody has answered it; one of the script cannot', async () => {
  const askings = [askingOf('q1', 'closed'), askingOf('q2', 'open')];
  const beside = withRun({ askings, besideId: 'q2' });
  const { press, told, find, settled } = await open(FlowBar, beside, { asking: askingOf('q2', 'open') });
  await settled();
  await press('Take it back');
  expect(told).toEqual([{ type: 'take-back', askingId: 'q2' }]);
  for (const detail of [withRun({ askings, besideId: 'q2' }, { responses: [responseOf('Anouk', 'q2')] }), withRun({ askings })]) {
    TestBed.inject(Store).dispatch(liveActions.loaded({ detail, atMs: 0 }));
    await settled();
    expect(find.queryByRole('button', { name: 'Take it back' })).toBeNull();
  }
});

test('“Ready?” counts who has said so and names the others; clocks come as they are turned', async () => {
  const start = sessionDetail();
  const { press, told, setInputs, page, find } = await open(InPassing, start);
  await press('Ready?');
  await press('Show me your clocks');
  expect(told).toEqual([
    { type: 'pulse', on: true },
    { type: 'show-me', on: true },
  ]);
  const passing = {
    ready: [
      { participantId: 'in-Anouk', ready: true },
      { participantId: 'in-Ceri', ready: false },
    ],
    shown: [{ participantId: 'in-Bashir', pose: { hourDeg: 225, minuteDeg: 180 } }],
  };
  await setInputs({ detail: withCalls(start, { pulse: 7, showMe: true }, passing) });
  expect(textOf(find.getByRole('status'))).toBe('1 of 3 ready · not yet: Ceri · nothing yet: Bashir');
  expect(find.getByRole('img', { name: 'The clock of Bashir at 7:30' })).toBeTruthy();
  expect(page.querySelectorAll('li')).toHaveLength(3);
});
