import { signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { provideRouter, Router } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideState, provideStore, Store } from '@ngrx/store';
import { FakeServer } from '../testing/fake-server';
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
