import {
  ChangeDetectionStrategy,
  ChangeDetectorRef,
  Component,
  computed,
  effect,
  type ElementRef,
  inject,
  input,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { MatTooltip } from '@angular/material/tooltip';
import type { LessonDetail, LessonSaved, NoteKeep } from '@zeitpunkt/contract';
import { ask, sentenceOf } from '../../shared/api';
import { Icon } from '../../ui/icons/icon';
import { CONSOLE_WORDS } from './words';

/**
 * What the teacher noted at the beat at hand, seen here only. What is noted while teaching stays with the lesson; rooms that
 * are open go on with the lesson as it was.
 */
@Component({
  selector: 'zp-note-to-self',
  imports: [Icon, MatButton, MatFormField, MatInput, MatLabel, MatTooltip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (isWriting()) {
      <form (submit)="keep($event, field.value)">
        <mat-form-field appearance="outline" subscriptSizing="dynamic">
          <mat-label>{{ words().label }}</mat-label>
          <input
            #field
            matInput
            maxlength="200"
            autocomplete="off"
            [value]="notes().get(beatId()) ?? ''"
            (keydown.escape)="isWriting.set(false)"
          />
        </mat-form-field>
        <button mat-stroked-button type="submit">{{ words().keep }}</button>
      </form>
    } @else {
      @if (notes().get(beatId()); as note) {
        <span class="note"><mat-icon svgIcon="sticky-note" />{{ note }}</span>
      }
      <button mat-button type="button" matTooltip="B, N" (click)="write()">
        {{ notes().get(beatId()) ? words().change : words().label }}
      </button>
    }
    @if (problem(); as problem) {
      <span class="problem" role="alert">{{ problem }}</span>
    }
  `,
  styles: `
    :host,
    form {
      display: flex;
      flex-wrap: wrap;
      gap: 0.25rem 0.6rem;
      align-items: center;
    }
    form {
      flex: 1;
    }
    mat-form-field {
      flex: 1;
      min-width: 10rem;
    }
    .note {
      display: inline-flex;
      gap: 6px;
      align-items: center;
      padding: 0.2rem 0.7rem;
      border-left: 4px solid var(--accent);
      background: var(--sheet);
    }
  `,
})
export class NoteToSelf {
  readonly lessonId = input.required<string>();
  readonly beatId = input.required<string>();
  private readonly catalogue = CONSOLE_WORDS;
  protected readonly words = computed(() => this.catalogue().note);
  protected readonly isWriting = signal(false);
  protected readonly problem = signal<string | null>(null);
  /** The notes of the lesson by beat, as it is edited. */
  protected readonly notes = signal<ReadonlyMap<string, string>>(new Map());
  private readonly field = viewChild<ElementRef<HTMLInputElement>>('field');
  private readonly changes = inject(ChangeDetectorRef);

  constructor() {
    effect(() => {
      const id = this.lessonId();
      untracked(() => void this.attempt(async () => this.notes.set(notesOf(await ask<LessonDetail>('GET', `/api/lessons/${id}`)))));
    });
    effect(() => {
      this.beatId();
      untracked(() => this.isWriting.set(false));
    });
  }

  /** The field is there and has the focus at once: on a slow machine the first letter would be lost otherwise. */
  write(): void {
    this.isWriting.set(true);
    this.changes.detectChanges();
    this.field()?.nativeElement.focus();
  }

  protected keep(event: Event, text: string): void {
    event.preventDefault();
    const beatId = this.beatId();
    const note = text.trim();
    this.isWriting.set(false);
    void this.attempt(async () => {
      await ask<LessonSaved>('POST', `/api/lessons/${this.lessonId()}/notes`, { beatId, note } satisfies NoteKeep);
      this.notes.update((notes) => new Map([...notes].filter(([id]) => id !== beatId).concat(note ? [[beatId, note]] : [])));
    });
  }

  private async attempt(work: () => Promise<void>): Promise<void> {
    try {
      await work();
      this.problem.set(null);
    } catch (error) {
      this.problem.set(sentenceOf(error));
    }
  }
}

function notesOf({ lesson }: LessonDetail): Map<string, string> {
  return new Map(lesson.beats.flatMap(({ id, note }) => (note ? [[id, note] as const] : [])));
}
