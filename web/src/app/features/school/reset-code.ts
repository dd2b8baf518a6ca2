import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MAT_DIALOG_DATA, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle } from '@angular/material/dialog';
import type { ResetMade, Teacher } from '@zeitpunkt/contract';
import { ask } from '../../shared/api';
import { attempting } from '../../shared/attempting';
import { DeskAddress } from '../../shared/desk-address';
import { SCHOOL_WORDS } from './words';

/** A code with which a colleague chooses a new password, shown this once. */
@Component({
  selector: 'zp-reset-code',
  imports: [MatButton, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ words().heading(teacher.name) }}</h2>
    <mat-dialog-content>
      @if (code(); as code) {
        <div role="status">
          <p>
            {{ words().made(teacher.name) }} <strong>{{ code }}</strong>
          </p>
          <p>
            {{ words().where }} <strong>{{ where() }}</strong>
          </p>
          <p>{{ words().once }}</p>
        </div>
      } @else {
        <p>{{ words().about }}</p>
      }
      @if (problem(); as problem) {
        <p class="problem" role="alert">{{ problem }}</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="start">
      <button mat-stroked-button type="button" mat-dialog-close>{{ words().leave }}</button>
      @if (!code()) {
        <button mat-flat-button class="next" type="button" (click)="make()">{{ words().make }}</button>
      }
    </mat-dialog-actions>
  `,
  styles: `
    div[role='status'] {
      display: grid;
      gap: 8px;
      overflow-wrap: anywhere;
    }
  `,
})
export class ResetCode {
  protected readonly teacher = inject<Teacher>(MAT_DIALOG_DATA);
  private readonly address = inject(DeskAddress);
  protected readonly where = computed(() => `${this.address.now()}/reset`);
  private readonly all = SCHOOL_WORDS;
  protected readonly words = computed(() => this.all().resetCode);
  protected readonly code = signal<string | null>(null);
  private readonly attempting = attempting();
  protected readonly problem = this.attempting.problem;

  protected async make(): Promise<void> {
    await this.attempting.attempt(async () =>
      this.code.set((await ask<ResetMade>('POST', `/api/staff/${this.teacher.id}/reset-code`)).code),
    );
  }
}
