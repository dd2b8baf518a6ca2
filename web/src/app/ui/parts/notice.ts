import { inject, Injectable } from '@angular/core';
import { MatSnackBar } from '@angular/material/snack-bar';
import { PARTS_WORDS } from './words';

/** So long a change can be undone where it was made, in milliseconds. */
const UNDO_MS = 12_000;
/** So long something is said that needs no answer, in milliseconds. */
const SAID_MS = 6_000;

/** Says what was done at the foot of the screen, with one press that undoes it where that can be. */
@Injectable({ providedIn: 'root' })
export class Notice {
  private readonly bar = inject(MatSnackBar);

  /** @param undo takes it back */
  say(text: string, undo?: () => unknown): void {
    const bar = this.bar.open(text, undo ? PARTS_WORDS().undo : undefined, { duration: undo ? UNDO_MS : SAID_MS });
    if (undo) bar.onAction().subscribe(() => void undo());
  }

  /** Says what went wrong; it stays until it is closed. */
  fail(problem: string): void {
    this.bar.open(problem, PARTS_WORDS().close);
  }
}
