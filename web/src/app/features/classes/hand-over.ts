import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
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
import { Store } from '@ngrx/store';
import type { HandOverCheck, Staff, Teacher } from '@zeitpunkt/contract';
import { ask } from '../../shared/api';
import { attempting } from '../../shared/attempting';
import { authFeature } from '../../state/auth';
import { CLASS_WORDS } from './words';

/** A class goes to a colleague; what goes with it is said before. */
@Component({
  selector: 'zp-hand-over',
  imports: [MatButton, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle, MatFormField, MatLabel, MatOption, MatSelect],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ words().heading(ofClass.name) }}</h2>
    <mat-dialog-content>
      @if (check(); as check) {
        @if (check.running) {
          <p>{{ words().running }}</p>
        } @else if (colleagues().length === 0) {
          <p>{{ words().alone }}</p>
        } @else {
          <mat-form-field appearance="outline">
            <mat-label>{{ words().to }}</mat-label>
            <mat-select [value]="to()" (selectionChange)="chosen.set($event.value)">
              @for (one of colleagues(); track one.id) {
                <mat-option [value]="one.id">{{ one.name }}</mat-option>
              }
            </mat-select>
          </mat-form-field>
          <p>{{ words().what(check.lessons, check.taught) }}</p>
          @if (check.copied) {
            <p>{{ words().copied(check.copied) }}</p>
          }
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
      @if (to() && check()?.running === false) {
        <button mat-flat-button type="button" (click)="handOver()">{{ words().yes }}</button>
      }
    </mat-dialog-actions>
  `,
  styles: `
    mat-form-field {
      width: 100%;
      padding-top: 8px;
    }
    p + p {
      margin-top: 8px;
    }
  `,
})
export class HandOver {
  readonly gone = output();
  protected readonly ofClass = inject<{ readonly id: string; readonly name: string }>(MAT_DIALOG_DATA);
  private readonly ref = inject<MatDialogRef<HandOver>>(MatDialogRef);
  private readonly me = inject(Store).selectSignal(authFeature.selectTeacher);
  private readonly all = CLASS_WORDS;
  protected readonly words = computed(() => this.all().handingOver);
  protected readonly check = signal<HandOverCheck | null>(null);
  private readonly teachers = signal<readonly Teacher[]>([]);
  protected readonly colleagues = computed(() => this.teachers().filter(({ id }) => id !== this.me()?.id));
  protected readonly chosen = signal<string | null>(null);
  protected readonly to = computed(() => this.chosen() ?? this.colleagues()[0]?.id ?? null);
  private readonly attempting = attempting();
  protected readonly problem = this.attempting.problem;

  constructor() {
    void this.attempting.attempt(async () => {
      const [{ teachers }, check] = await Promise.all([
        ask<Staff>('GET', '/api/staff'),
        ask<HandOverCheck>('GET', `/api/classes/${this.ofClass.id}/hand-over`),
      ]);
      this.teachers.set(teachers);
      this.check.set(check);
    });
  }

  protected async handOver(): Promise<void> {
    await this.attempting.attempt(async () => {
      await ask('POST', `/api/classes/${this.ofClass.id}/hand-over`, { to: this.to() });
      this.gone.emit();
      this.ref.close();
    });
  }
}
