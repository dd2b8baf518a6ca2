import { Injectable, signal } from '@angular/core';

/** Whether a second pupil is about to come in at this device. Provided where the desk is in a room. */
@Injectable()
export class Sharing {
  readonly asked = signal(false);
}
