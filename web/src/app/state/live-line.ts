import { Injectable } from '@angular/core';
import type { TeacherMessage } from '@zeitpunkt/contract';
import { Observable } from 'rxjs';
import isTeacherMessage from '../../generated/teacher-message';
import { type Line, openLine } from '../shared/line';
import { liveActions } from './live';

type LineSays = ReturnType<typeof liveActions.message | typeof liveActions.line | typeof liveActions.outdated>;

/** The one line of this window to its live session. */
@Injectable({ providedIn: 'root' })
export class LiveLine {
  private line: Line | null = null;

  /** Opens the line and says what it says, as actions, until nobody listens or the lesson has ended. */
  listen(path: string): Observable<LineSays> {
    return new Observable((subscriber) => {
      const opened = openLine<TeacherMessage>(path, isTeacherMessage, {
        message: (message) => {
          subscriber.next(liveActions.message({ message, atMs: Date.now() }));
          if (hasEnded(message)) subscriber.complete();
        },
        open: (open) => subscriber.next(liveActions.line({ open })),
        outdated: () => subscriber.next(liveActions.outdated()),
      });
      this.line = opened;
      return () => opened.close();
    });
  }

  /** Asks for the whole state again. */
  sync(): void {
    this.line?.sync();
  }
}

function hasEnded(message: TeacherMessage): boolean {
  if (message.type === 'room') return message.room.phase === 'ended';
  return message.type === 'state' && message.live.room.phase === 'ended';
}
