import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle } from '@angular/material/dialog';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { MatOption, MatSelect } from '@angular/material/select';
import { DialsStore } from './dials-store';
import { DIALS_WORDS } from './words';

/** The dial as it stands becomes the last beat of a lesson; that it did is said beside the press. */
@Component({
  selector: 'zp-keep-in-lesson',
  imports: [
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    MatFormField,
    MatInput,
    MatLabel,
    MatOption,
    MatSelect,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ words().keepIn }}</h2>
    <mat-dialog-content>
      @if (store.lessons().length) {
        <mat-form-field appearance="outline" subscriptSizing="dynamic">
          <mat-label>{{ words().keep.lesson }}</mat-label>
          <mat-select [value]="lessonId()" (selectionChange)="lessonId.set($event.value)">
            @for (one of store.lessons(); track one.id) {
              <mat-option [value]="one.id">{{ one.title }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
        <mat-form-field appearance="outline" subscriptSizing="dynamic">
          <mat-label>{{ words().keep.say }}</mat-label>
          <input #say matInput maxlength="300" />
        </mat-form-field>
        <p>
          <button mat-flat-button class="next" type="button" (click)="keep(say.value)">{{ words().keep.press }}</button>
          <span role="status">{{ store.word()?.text }}</span>
        </p>
        @if (store.problem(); as problem) {
          <p class="problem" role="alert">{{ problem }}</p>
        }
      } @else {
        <p>{{ words().keep.none }}</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="start">
      <button mat-stroked-button type="button" mat-dialog-close>{{ words().keep.close }}</button>
    </mat-dialog-actions>
  `,
  styles: `
    mat-dialog-content {
      display: grid;
      gap: 12px;
    }
    mat-form-field:first-child {
      margin-top: 8px;
    }
    p {
      display: flex;
      flex-wrap: wrap;
      gap: 8px 12px;
      align-items: center;
      margin: 0;
    }
  `,
})
export class KeepInLesson {
  protected readonly store = inject(DialsStore);
  protected readonly words = DIALS_WORDS;
  private readonly first = computed(() => this.store.lessons()[0]?.id ?? null);
  protected readonly lessonId = linkedSignal(() => this.first());

  protected keep(text: string): void {
    const lesson = this.store.lessons().find(({ id }) => id === this.lessonId());
    if (lesson) void this.store.keepIn(lesson, text);
  }
}
