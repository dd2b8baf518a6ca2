import { EventEmitter } from 'node:events';

/**
 * What features tell each other, without knowing who listens. It is heard at once and in the transaction it is told in, so
 * that whatever a listener throws is thrown where it was told.
 */
export interface SchoolEvents {
  /** A teacher has an account now, and needs a class and lessons to begin with. */
  readonly teacherAdded: [teacher: { readonly teacherId: string; readonly className: string; readonly pupilNames: readonly string[] }];
  /** Pupils of a class came, left or changed, or two became one. */
  readonly classChanged: [change: { readonly classId: string; readonly merged: boolean }];
  readonly classDeleted: [of: { readonly classId: string }];
  /** A class belongs to another teacher now, with what was given out in it. */
  readonly classHandedOver: [of: { readonly classId: string }];
  /** Other wordings count in a class. */
  readonly wordingsChanged: [of: { readonly classId: string }];
  /** The mark of a response was corrected, or that was taken back. */
  readonly responseCorrected: [response: { readonly sessionId: string; readonly responseId: string }];
  /** The recording of a lesson is another. */
  readonly takesChanged: [of: { readonly lessonId: string }];
  /** The clock is believed: whatever is kept no longer may be deleted. */
  readonly tidyUp: [];
}

export type Events = EventEmitter<{ [Name in keyof SchoolEvents]: SchoolEvents[Name] }>;

export const newEvents = (): Events => new EventEmitter();

type Listeners = { readonly [Name in keyof SchoolEvents]?: (...told: SchoolEvents[Name]) => void };

/** Listens to several events, as long as the server runs. */
export function listenTo(events: Events, listeners: Listeners): void {
  for (const [name, listener] of Object.entries(listeners)) events.on(name as keyof SchoolEvents, listener as () => void);
}
