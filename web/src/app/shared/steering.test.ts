import { TestBed } from '@angular/core/testing';
import { provideState, provideStore, Store } from '@ngrx/store';
import type { RoomCommand } from '@zeitpunkt/core/live/room';
import type { Aside } from '@zeitpunkt/core/stage/aside';
import { toSecondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { liveActions, liveFeature } from '../state/live';
import { askingOf, sessionDetail, stepOf, withRun } from '../testing/session';
import { Steering } from './steering';

const HOUR = 3600;
const at = (timeSec: number): Aside => ({ timeSec, marks: [], shows: null });
let steering: Steering;
let store: Store;
let told: RoomCommand[];

/** The server takes the oldest command on its way. */
const arrive = () => {
  const { id: sessionId, live } = store.selectSignal(liveFeature.selectDetail)()!;
  const { room } = live;
  store.dispatch(liveActions.commandDone({ sessionId, done: { seq: 0, nowMs: 0, room } }));
  TestBed.tick();
};
const wait = (ms: number) => {
  jest.advanceTimersByTime(ms);
  TestBed.tick();
};
const show = (aside: Aside) => {
  steering.showAside(aside);
  TestBed.tick();
};
beforeEach(() => {
  jest.useFakeTimers();
  TestBed.configureTestingModule({ providers: [provideStore(), provideState(liveFeature)] });
  store = TestBed.inject(Store);
  steering = TestBed.inject(Steering);
  told = [];
  const dispatch = store.dispatch.bind(store) as (action: { type: string }) => void;
  jest.spyOn(store, 'dispatch').mockImplementation(((action: { type: string; command?: RoomCommand }) => {
    if (action.command) told.push(action.command);
    dispatch(action);
  }) as never);
  store.dispatch(liveActions.loaded({ detail: sessionDetail(), atMs: 0 }));
});
afterEach(() => jest.useRealTimers());

test('the script is not left at its ends', () => {
  for (let press = 0; press < 5; press++) steering.next();
  for (let press = 0; press < 9; press++) steering.back();
  expect(told.map((command) => command.type === 'go' && command.to.beatId)).toEqual(['b3', 'b4', 'b3', 'b2', 'b1']);
});

test('a tap on a touch screen goes on, beside everything that can be pressed and not in the lobby', () => {
  document.body.innerHTML = '<main><button>Back</button><p>Notes</p></main>';
  const tap = (selector: string, pointerType: string) => {
    const target = document.querySelector(selector)!;
    steering.tap({ target, pointerType } as unknown as Event);
  };
  tap('p', 'mouse');
  tap('button', 'touch');
  expect(told).toEqual([]);
  tap('p', 'touch');
  expect(told).toEqual([{ type: 'go', to: stepOf(3) }]);
  const detail = sessionDetail();
  const room = { ...detail.live.room, phase: 'lobby' as const };
  store.dispatch(liveActions.loaded({ detail: { ...detail, live: { ...detail.live, room } }, atMs: 0 }));
  tap('p', 'touch');
  expect(told).toHaveLength(1);
});

test('hands that are dragged go out one at a time, the latest only, and are seen here at once', () => {
  show(at(60));
  expect(told).toEqual([{ type: 'aside', aside: at(60) }]);
  for (const second of [120, 180, 240]) show(at(second));
  expect(steering.aside()).toEqual(at(240));
  wait(1000); // the line is slow: the first one has not arrived
  expect(told).toHaveLength(1);
  arrive();
  expect(told.slice(1)).toEqual([{ type: 'aside', aside: at(240) }]);
  arrive();
  expect(steering.ahead()).toBeUndefined();
  expect(steering.aside()).toEqual(at(240));
});

test('on a fast line they still go out no more often than can be followed', () => {
  show(at(60));
  arrive();
  show(at(120));
  expect(told).toHaveLength(1);
  wait(120);
  expect(told).toHaveLength(2);
});

test('one key brings the script back at its step, and what was not sent yet is dropped', () => {
  show(at(60));
  show(at(120));
  steering.next();
  TestBed.tick();
  arrive();
  arrive();
  wait(1000);
  expect(told).toEqual([
    { type: 'aside', aside: at(60) },
    { type: 'aside', aside: null },
  ]);
  expect([steering.aside(), steering.isAside()]).toEqual([null, false]);
  steering.next();
  TestBed.tick();
  expect(told.at(-1)).toEqual({ type: 'go', to: stepOf(3) });
});

test('marks alone do not stop the script: the next step takes them away', () => {
  show({ timeSec: null, marks: [{ type: 'numeral', numeral: 6 }], shows: null });
  arrive();
  steering.next();
  TestBed.tick();
  expect(told.at(-1)).toEqual({ type: 'go', to: stepOf(3) });
  expect(steering.aside()).toBeNull();
});

test('a time is explained step by step; going on after its end, or back before its beginning, is the script again', () => {
  steering.showExample(toSecondOfDay(7 * HOUR + 45 * 60));
  const { steps } = steering.example()!;
  expect(steps.length).toBeGreaterThan(3);
  const stood = steps.map(() => {
    const { index } = steering.example()!;
    steering.next();
    return index;
  });
  expect(stood).toEqual(steps.map((_, index) => index));
  expect([steering.aside(), told.at(-1)]).toEqual([null, { type: 'aside', aside: null }]);
  steering.showExample(toSecondOfDay(8 * HOUR));
  steering.next();
  steering.back();
  expect(steering.example()!.index).toBe(0);
  steering.back();
  expect(steering.isAside()).toBe(false);
  expect(told.filter(({ type }) => type === 'go')).toEqual([]);
});

test('the chart comes and goes at one key; turned hands take its place', () => {
  steering.toggleChart();
  expect(steering.aside()).toEqual({ timeSec: null, marks: [], shows: { kind: 'chart' } });
  steering.toggleChart();
  expect(steering.aside()).toBeNull();
});

test('a beat is skipped whole, any beat can be leapt to, and so can the next question', () => {
  steering.skipBeat();
  steering.leap('b1');
  for (let press = 0; press < 3; press++) steering.leapToAsk();
  expect(told).toEqual([
    { type: 'go', to: stepOf(3) },
    { type: 'go', to: stepOf(1) },
    { type: 'go', to: stepOf(2) },
    { type: 'go', to: stepOf(4) },
  ]);
});

describe('questions beside the script', () => {
  const [q1] = sessionDetail().lesson.items;
  const revealed = () => withRun({ at: stepOf(3), askings: [askingOf('q1', 'revealed')] });
  beforeEach(() => store.dispatch(liveActions.loaded({ detail: revealed(), atMs: 0 })));

  test('asked again it is there at once; Space shows its answer and then goes on with the script', () => {
    steering.askAgain(q1!);
    expect(steering.besideAsking()).toMatchObject({ id: 'q1.2', phase: 'open' });
    steering.next();
    expect(told.at(-1)).toEqual({ type: 'reveal', askingId: 'q1.2' });
    steering.next();
    expect(told.at(-1)).toEqual({ type: 'go', to: stepOf(4) });
    expect(steering.besideAsking()).toBeNull();
  });

  test('going back leaves it and comes back to the script where it stood', () => {
    steering.askAgain(q1!);
    steering.back();
    expect(told.at(-1)).toEqual({ type: 'aside', aside: null });
    expect(store.selectSignal(liveFeature.selectDetail)()!.live.room.run.at).toEqual(stepOf(3));
  });

  test('another like it is of the same kind and asks for no time of this lesson', () => {
    for (let press = 0; press < 10; press++) steering.askAnother(q1!);
    const asked = told.flatMap((command) => (command.type === 'ask' ? [command.item] : []));
    expect(asked).toHaveLength(10);
    for (const item of asked) {
      expect(item.kind).toBe('read-dial');
      expect(item.kind === 'read-dial' && [27_000, 34_200].includes(item.timeSec % 43_200)).toBe(false);
    }
    expect(new Set(asked.map(({ id }) => id)).size).toBe(10);
  });
});
