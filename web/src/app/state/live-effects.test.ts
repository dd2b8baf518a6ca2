import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideState, provideStore, Store } from '@ngrx/store';
import type { RoomCommand } from '@zeitpunkt/core/live/room';
import { NEW_ASIDE, type Aside } from '@zeitpunkt/core/stage/aside';
import { FakeServer, Refusal } from '../testing/fake-server';
import { FakeSocket } from '../testing/fake-socket';
import { until } from '../testing/render';
import { sessionDetail, withRun } from '../testing/session';
import { liveActions, liveFeature, type RoomAct } from './live';
import * as effects from './live-effects';
import { playOf } from './stage-play';

function begin(replies: Record<string, unknown> = {}) {
  const server = new FakeServer(replies);
  TestBed.configureTestingModule({
    providers: [provideRouter([]), provideStore(), provideState(liveFeature), provideEffects(effects)],
  });
  const store = TestBed.inject(Store);
  const navigate = jest.spyOn(TestBed.inject(Router), 'navigate').mockResolvedValue(true);
  return { server, store, navigate, problem: store.selectSignal(liveFeature.selectProblem) };
}

test.each<[RoomAct, string, unknown]>([
  [{ type: 'send-out', participantId: 'p1' }, '/api/sessions/s/participants/p1/send-out', undefined],
  [{ type: 'rename', classId: 'c', pupilId: 'p1', name: 'Bo' }, '/api/classes/c/pupils/p1/change', { name: 'Bo' }],
  [{ type: 'let-in', participantIds: ['p1'] }, '/api/sessions/s/let-in', { participantIds: ['p1'] }],
  [{ type: 'open-to', knockId: 'k1' }, '/api/sessions/s/knocks/k1/open', undefined],
  [{ type: 'count', responseId: 'r1', counted: true }, '/api/sessions/s/responses/r1/count', { counted: true }],
])('an act of the teacher goes to its place: %j', async (act, url, body) => {
  const { server, store } = begin({ [`POST ${url}`]: {} });
  store.dispatch(liveActions.act({ sessionId: 's', act }));
  await until(() => server.asked.length === 1);
  expect([server.asked[0]!.route, server.sent(`POST ${url}`)[0]]).toEqual([`POST ${url}`, body]);
});

test('whoever has signed out in another window is led to signing in when the line is lost; others stay', async () => {
  const { server, store, navigate } = begin({ 'GET /api/me': { teacher: { id: 't' } } });
  store.dispatch(liveActions.line({ open: false }));
  await until(() => server.asked.length === 1);
  expect(navigate).not.toHaveBeenCalled();
  server.on('GET /api/me', { teacher: null });
  store.dispatch(liveActions.line({ open: false }));
  await until(() => navigate.mock.calls.length > 0);
  expect(navigate.mock.lastCall![0]).toEqual(['/sign-in']);
});

test('the stage plays nothing before the lesson is here and begun; then it does, from when its step was entered', () => {
  const { store } = begin();
  const play = TestBed.runInInjectionContext(() => playOf(store, signal(undefined)));
  expect(play()).toBeNull();
  const running = sessionDetail();
  const { live } = running;
  store.dispatch(
    liveActions.loaded({ detail: { ...running, live: { ...live, room: { ...live.room, phase: 'lobby' } } }, atMs: live.nowMs }),
  );
  expect(play()).toBeNull();
  store.dispatch(liveActions.loaded({ detail: withRun({ enteredAtMs: 400 }), atMs: live.nowMs }));
  expect(play()!.beganAtMs).toBe(400);
  expect(play()!.stateAt(0)).toMatchObject({ stem: expect.any(String) });
});

const COMMANDS = 'POST /api/sessions/session/commands';
const CLOSE: RoomCommand = { type: 'close', askingId: 'q1' };
const told = { sessionId: 'session', commandId: 'c1', command: CLOSE, atMs: 1000 };

test('a command that does not reach the server is made again with the same id; one that is refused is not, and the room is asked for', async () => {
  FakeSocket.install();
  const { server, store, problem } = begin({ 'GET /api/sessions/session': sessionDetail() });
  store.dispatch(liveActions.open({ sessionId: 'session', window: 'console' }));
  await until(() => FakeSocket.all.length === 1);
  FakeSocket.latest.accept();
  server.reachable = false;
  store.dispatch(liveActions.command(told));
  await until(() => server.sent(COMMANDS).length === 1);
  server.reachable = true;
  server.on(COMMANDS, new Refusal('ROOM_POSITION_RANGE', 'This question is closed already.'));
  await until(() => server.sent(COMMANDS).length === 2);
  expect(new Set(server.sent(COMMANDS).map((body) => (body as { id: string }).id))).toEqual(new Set(['c1']));
  await until(() => problem() === 'This question is closed already.');
  expect(FakeSocket.latest.sent.map((text) => (JSON.parse(text) as { type: string }).type)).toContain('sync');
  expect(server.sent(COMMANDS)).toHaveLength(2);
});

test('a lesson that has ended opens no line; after an event that was missed the whole state is asked for', async () => {
  FakeSocket.install();
  const detail = sessionDetail();
  const over = { ...detail, live: { ...detail.live, room: { ...detail.live.room, phase: 'ended' } } };
  const { server, store } = begin({ 'GET /api/sessions/session': over });
  store.dispatch(liveActions.open({ sessionId: 'session', window: 'console' }));
  await until(() => store.selectSignal(liveFeature.selectDetail)() !== null);
  expect(FakeSocket.all).toHaveLength(0);
  server.on('GET /api/sessions/session', detail);
  store.dispatch(liveActions.open({ sessionId: 'session', window: 'console' }));
  await until(() => FakeSocket.all.length === 1);
  FakeSocket.latest.accept();
  FakeSocket.latest.sent = [];
  store.dispatch(liveActions.message({ message: { type: 'released', seq: 9, participantId: 'in-Anouk' }, atMs: 1000 }));
  expect(FakeSocket.latest.sent).toHaveLength(1);
});

test('marks go on top of what the script plays; hands that are turned stand still, and glide there where another window turned them', () => {
  const { store } = begin();
  const own = signal<Aside | null | undefined>(undefined);
  const play = TestBed.runInInjectionContext(() => playOf(store, own));
  const detail = withRun({ enteredAtMs: 400 });
  const withAside = (aside: Aside) =>
    liveActions.loaded({ detail: { ...detail, live: { ...detail.live, room: { ...detail.live.room, aside } } }, atMs: 0 });
  const ring = { type: 'numeral', numeral: 6 } as const;
  store.dispatch(withAside({ ...NEW_ASIDE, marks: [ring] }));
  expect(play()!.glides).toBeUndefined();
  expect(play()!.stateAt(0)).toMatchObject({ stem: expect.any(String) });
  store.dispatch(withAside({ ...NEW_ASIDE, timeSec: 16_500 }));
  expect(play()).toMatchObject({ motionMs: 0, glides: true });
  own.set({ ...NEW_ASIDE, timeSec: 16_560 });
  expect(play()).toMatchObject({ motionMs: 0, glides: false });
});
