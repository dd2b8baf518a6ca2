import { ChangeDetectionStrategy, Component, inject, input, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router } from '@angular/router';
import { v4 as uuid } from 'uuid';
import { ask, sentenceOf } from '../../shared/api';
import { CurrentClass } from '../../shared/current-class';
import { Icon } from '../../ui/icons/icon';
import { SCRIPT_WORDS } from './words';

/** From the script straight to class: a room for the lesson as it is here, for the class at hand. */
@Component({
  selector: 'zp-open-room',
  imports: [Icon, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <button mat-flat-button class="next" type="button" [disabled]="opening() || current.id() === null" (click)="start()">
      <mat-icon svgIcon="meeting-room" />{{ words().open }}
    </button>
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
  protected readonly current = inject(CurrentClass);
  protected readonly words = SCRIPT_WORDS;
  protected readonly opening = signal(false);

  protected async start(): Promise<void> {
    this.opening.set(true);
    await this.attempt(async () => {
      // Not saved: the place says why already, and a room would teach something else than what is seen.
      if (!(await this.save()())) return;
      const id = uuid();
      await ask('POST', '/api/sessions', { id, lessonId: this.lessonId(), classId: this.current.id() });
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
