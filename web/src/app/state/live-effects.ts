import { inject } from '@angular/core';
import { Router } from '@angular/router';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { Store } from '@ngrx/store';
import type { Me, SessionDetail } from '@zeitpunkt/contract';
import {
  catchError,
  concat,
  concatMap,
  defer,
  EMPTY,
  filter,
  from,
  map,
  mergeMap,
  of,
  retry,
  switchMap,
  takeUntil,
  tap,
  throwError,
  timer,
} from 'rxjs';
import { ApiProblem, ask, sentenceOf } from '../shared/api';
import { liveActions, liveFeature, type RoomAct } from './live';
import { LiveLine } from './live-line';
import { RoomPort } from './room-port';

const failed = (sessionId: string) => (error: unknown) => of(liveActions.failed({ sessionId, problem: sentenceOf(error) }));
/** While the server cannot be reached, the same request is made again: each carries an id, so that it happens once. */
const whileLineLost = (error: unknown) => (error instanceof ApiProblem && error.lineLost ? timer(500) : throwError(() => error));

export const open = createEffect(
  (actions = inject(Actions), line = inject(LiveLine)) =>
    actions.pipe(
      ofType(liveActions.open),
      switchMap(({ sessionId, window }) =>
        from(ask<SessionDetail>('GET', `/api/sessions/${sessionId}`)).pipe(
          concatMap((detail) => {
            const loaded = of(liveActions.loaded({ detail, atMs: Date.now() }));
            // A lesson that has ended has nothing more to tell.
            const says = detail.live.room.phase === 'ended' ? EMPTY : line.listen(`/ws/sessions/${sessionId}?window=${window}`);
            return concat(loaded, says);
          }),
          catchError(failed(sessionId)),
          takeUntil(actions.pipe(ofType(liveActions.close))),
        ),
      ),
    ),
  { functional: true },
);

/** An event was missed: ask for the whole state and go on from there. */
export const catchUp = createEffect(
  (store = inject(Store), line = inject(LiveLine)) =>
    store.select(liveFeature.selectMissed).pipe(
      filter((missed) => missed),
      tap(() => line.sync()),
    ),
  { functional: true, dispatch: false },
);

/** A line that is lost because this browser has signed out in another window: back to signing in. */
export const signedOutElsewhere = createEffect(
  (actions = inject(Actions), router = inject(Router)) =>
    actions.pipe(
      ofType(liveActions.line),
      filter(({ open: isOpen }) => !isOpen),
      switchMap(() => from(ask<Me>('GET', '/api/me')).pipe(catchError(() => EMPTY))), // the line tries again by itself
      filter(({ teacher }) => teacher === null),
      tap(() => void router.navigate(['/sign-in'], { queryParams: { then: location.pathname } })),
    ),
  { functional: true, dispatch: false },
);

export const command = createEffect(
  (actions = inject(Actions), line = inject(LiveLine), port = inject(RoomPort)) =>
    actions.pipe(
      ofType(liveActions.command),
      concatMap(({ sessionId, commandId, command: told }) =>
        defer(() => port.tell(sessionId, commandId, told)).pipe(
          retry({ delay: whileLineLost }),
          map((done) => liveActions.commandDone({ sessionId, done })),
          catchError((error: unknown) => {
            line.sync(); // what was foreseen did not happen: show again what is
            return of(liveActions.commandFailed({ sessionId, problem: sentenceOf(error) }));
          }),
          // Trying again ends with the room: the next one's commands do not wait behind it.
          takeUntil(actions.pipe(ofType(liveActions.close, liveActions.open))),
        ),
      ),
    ),
  { functional: true },
);

/** Where an act is posted to, and with what. */
function requestOf(sessionId: string, act: RoomAct): readonly [url: string, body?: unknown] {
  const session = `/api/sessions/${sessionId}`;
  switch (act.type) {
    case 'send-out':
      return [`${session}/participants/${act.participantId}/send-out`];
    case 'rename':
      return [`/api/classes/${act.classId}/pupils/${act.pupilId}/change`, { name: act.name }];
    case 'let-in':
      return [`${session}/let-in`, { participantIds: act.participantIds }];
    case 'open-to':
      return [`${session}/knocks/${act.knockId}/open`];
    case 'count':
      return [`${session}/responses/${act.responseId}/count`, { counted: act.counted }];
  }
}

export const act = createEffect(
  (actions = inject(Actions)) =>
    actions.pipe(
      ofType(liveActions.act),
      map(({ sessionId, act: told }) => ({ sessionId, request: requestOf(sessionId, told) })),
      mergeMap(({ sessionId, request: [url, body] }) =>
        from(ask('POST', url, body)).pipe(
          switchMap(() => EMPTY),
          catchError(failed(sessionId)),
        ),
      ),
    ),
  { functional: true },
);
