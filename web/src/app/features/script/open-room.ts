import { ChangeDetectionStrategy, Component, inject, input, linkedSignal, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router } from '@angular/router';
import type { ClassSummary } from '@zeitpunkt/contract';
import { v4 as uuid } from 'uuid';
import { ask, sentenceOf } from '../../shared/api';

/** From the script straight to class: a room for the lesson as it is here, for one of the teacher's classes. */
@Component({
  selector: 'zp-open-room',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (classes().length > 1) {
      <select #which class="field" aria-label="Class" (change)="classId.set(which.value)">
        @for (one of classes(); track one.id) {
          <option [value]="one.id" [selected]="one.id === classId()">{{ one.name }}</option>
        }
      </select>
    }
    @if (classId()) {
      <button mat-flat-button class="next" type="button" [disabled]="opening()" (click)="start()">Open the room</button>
    }
  `,
  styles: `
    :host {
      display: contents;
    }
  `,
})
export class OpenRoom {
  readonly lessonId = input.required<string>();
  /** Sees to it that everything is saved; resolves with whether it is. */
  readonly save = input.required<() => Promise<boolean>>();
  readonly failed = output<string>();
  private readonly router = inject(Router);
  protected readonly classes = signal<readonly ClassSummary[]>([]);
  protected readonly classId = linkedSignal(() => this.classes()[0]?.id);
  protected readonly opening = signal(false);

  constructor() {
    void this.attempt(async () => this.classes.set(await ask<ClassSummary[]>('GET', '/api/classes')));
  }

  protected async start(): Promise<void> {
    this.opening.set(true);
    await this.attempt(async () => {
      // Not saved: the place says why already, and a room would teach something else than what is seen.
      if (!(await this.save()())) return;
      const id = uuid();
      await ask('POST', '/api/sessions', { id, lessonId: this.lessonId(), classId: this.classId() });
      await this.router.navigate(['/console', id]);
    });
    this.opening.set(false);
  }

  private async attempt(work: () => Promise<void>): Promise<void> {
    try {
      await work();
    } catch (error) {
      this.failed.emit(sentenceOf(error));
    }
  }
}
