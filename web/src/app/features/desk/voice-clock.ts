import { Injectable, signal } from '@angular/core';

/** What the teacher's voice tells the rest of a desk at own pace. */
@Injectable()
export class VoiceClock {
  /** How far the voice has come at this step, in milliseconds: the stage goes along with it. Null where nothing is heard. */
  readonly elapsedMs = signal<(() => number) | null>(null);
  /** The voice is heard, or may be: what it says is shown as captions, where they are wanted, and not in full. */
  readonly speaks = signal(false);
}
