import { ChangeDetectionStrategy, Component, inject, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import {
  MAT_DIALOG_DATA,
  MatDialogActions,
  MatDialogClose,
  MatDialogContent,
  MatDialogRef,
  MatDialogTitle,
} from '@angular/material/dialog';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatOption, MatSelect } from '@angular/material/select';
import type { ClosingCheck, Staff, Teacher } from '@zeitpunkt/contract';
import { ask } from '../api';
import { attempting } from '../attempting';
import { listed } from '../words/catalogue';
import { CLOSING_WORDS } from './words';

/** An account is closed, one's own or, by the first teacher, another one's; what is in it goes to a colleague. */
@Component({
  selector: 'zp-close-account',
  imports: [MatButton, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle, MatFormField, MatLabel, MatOption, MatSelect],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ words().heading(teacher.name) }}</h2>
    <mat-dialog-content>
      @if (left(); as left) {
        @if (left.classes.length) {
          <p>{{ words().classes(names(left.classes)) }}</p>
        } @else {
          <p>{{ words().what(left.lessons, left.dials) }}</p>
          <mat-form-field appearance="outline">
            <mat-label>{{ words().lessonsTo }}</mat-label>
            <mat-select [value]="to()" (selectionChange)="to.set($event.value)">
              @for (one of colleagues(); track one.id) {
                <mat-option [value]="one.id">{{ one.name }}</mat-option>
              }
              <mat-option [value]="null">{{ words().nobody }}</mat-option>
            </mat-select>
          </mat-form-field>
          <p>{{ words().forGood }}</p>
        }
      } @else if (!problem()) {
        <p>{{ words().loading }}</p>
      }
      @if (problem(); as problem) {
        <p class="problem" role="alert">{{ problem }}</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="start">
      <button mat-stroked-button type="button" mat-dialog-close cdkFocusInitial>{{ words().no }}</button>
      @if (left()?.classes?.length === 0) {
        <button mat-flat-button type="button" (click)="close()">{{ words().yes }}</button>
      }
    </mat-dialog-actions>
  `,
  styles: `
    mat-form-field {
      width: 100%;
      margin-top: 12px;
    }
  `,
})
export class CloseAccount {
  readonly closed = output();
  protected readonly teacher = inject<Teacher>(MAT_DIALOG_DATA);
  private readonly ref = inject<MatDialogRef<CloseAccount>>(MatDialogRef);
  protected readonly words = CLOSING_WORDS;
  protected readonly left = signal<ClosingCheck | null>(null);
  protected readonly colleagues = signal<readonly Teacher[]>([]);
  protected readonly to = signal<string | null>(null);
  private readonly attempting = attempting();
  protected readonly problem = this.attempting.problem;

  constructor() {
    void this.attempting.attempt(async () => {
      const [staff, left] = await Promise.all([
        ask<Staff>('GET', '/api/staff'),
        ask<ClosingCheck>('GET', `/api/staff/${this.teacher.id}/closing`),
      ]);
      const others = staff.teachers.filter(({ id }) => id !== this.teacher.id);
      this.colleagues.set(others);
      this.to.set(others[0]?.id ?? null);
      this.left.set(left);
    });
  }

  protected names(classes: ClosingCheck['classes']): string {
    return listed(classes.map(({ name }) => name));
  }

  protected async close(): Promise<void> {
    await this.attempting.attempt(async () => {
      await ask('POST', `/api/staff/${this.teacher.id}/close`, { lessonsTo: this.to() });
      this.closed.emit();
      this.ref.close();
    });
  }
}
