import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog';
import { MatFormField, MatHint, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { v4 as uuid } from 'uuid';
import type { ClassStore } from './class-store';
import { CLASS_WORDS } from './words';

/** Pupils are added by their names, one on each line. */
@Component({
  selector: 'zp-type-names',
  imports: [MatButton, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle, MatFormField, MatHint, MatInput, MatLabel],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ words().heading }}</h2>
    <mat-dialog-content>
      <form id="type-names" novalidate (submit)="add($event)">
        <mat-form-field appearance="outline">
          <mat-label>{{ words().label }}</mat-label>
          <textarea #field matInput rows="10" cdkFocusInitial (input)="typed.set(field.value)"></textarea>
          <mat-hint>{{ words().hint }}</mat-hint>
        </mat-form-field>
      </form>
      @if (problem() ?? store.problem(); as problem) {
        <p class="problem" role="alert">{{ problem }}</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="start">
      <button mat-stroked-button type="button" mat-dialog-close>{{ words().leave }}</button>
      <button mat-flat-button class="next" type="submit" form="type-names" [disabled]="names().length === 0 || problem() !== null">
        {{ words().add(names().length) }}
      </button>
    </mat-dialog-actions>
  `,
  styles: `
    mat-form-field {
      width: 100%;
      padding-top: 8px;
    }
  `,
})
export class TypeNames {
  protected readonly store = inject<InstanceType<typeof ClassStore>>(MAT_DIALOG_DATA);
  private readonly dialog = inject(MatDialogRef);
  private readonly all = CLASS_WORDS;
  protected readonly words = computed(() => this.all().typing);
  protected readonly typed = signal('');
  protected readonly names = computed(() =>
    this.typed()
      .split('\n')
      .map((line) => line.trim())
      .filter(Boolean),
  );
  protected readonly problem = computed(() => {
    const twice = this.names().find((name, index, all) => all.indexOf(name) !== index);
    return twice === undefined ? null : this.words().twice(twice);
  });

  protected async add(event: Event): Promise<void> {
    event.preventDefault();
    if (this.names().length === 0 || this.problem() !== null) return;
    if (await this.store.takeIn(this.names().map((name) => ({ id: uuid(), name, reference: null })))) this.dialog.close();
  }
}
