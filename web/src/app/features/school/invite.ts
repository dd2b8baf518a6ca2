import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import { FormControl, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle } from '@angular/material/dialog';
import { MatError, MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import type { Invited } from '@zeitpunkt/contract';
import { v4 as uuid } from 'uuid';
import { ask, sentenceOf } from '../../shared/api';
import { DeskAddress } from '../../shared/desk-address';
import { SCHOOL_WORDS } from './words';

/** A code for a colleague, shown this once. */
@Component({
  selector: 'zp-invite',
  imports: [
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    MatError,
    MatFormField,
    MatInput,
    MatLabel,
    ReactiveFormsModule,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ words().heading }}</h2>
    <mat-dialog-content>
      <form id="invite" novalidate (submit)="invite($event)">
        <mat-form-field appearance="outline">
          <mat-label>{{ words().forWhom }}</mat-label>
          <input matInput maxlength="200" autocomplete="off" [formControl]="who" />
          @if (who.invalid) {
            <mat-error>{{ words().missing }}</mat-error>
          }
        </mat-form-field>
      </form>
      @if (problem(); as problem) {
        <p class="problem" role="alert">{{ problem }}</p>
      }
      @if (code(); as code) {
        <div class="made" role="status">
          <p>
            {{ words().made(code.forWhom) }} <strong>{{ code.code }}</strong>
          </p>
          <p>
            {{ words().link }} <strong>{{ linkOf(code.code) }}</strong>
          </p>
          <p class="facts">{{ words().once }}</p>
        </div>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="start">
      <button mat-stroked-button type="button" mat-dialog-close>{{ words().leave }}</button>
      <button mat-flat-button class="next" type="submit" form="invite">{{ words().make }}</button>
    </mat-dialog-actions>
  `,
  styles: `
    mat-form-field {
      width: 100%;
      padding-top: 8px;
    }
    .made {
      display: grid;
      gap: 8px;
      padding: 12px 16px;
      border-left: 4px solid var(--accent);
      background: var(--paper);
      overflow-wrap: anywhere;
    }
  `,
})
export class Invite {
  readonly made = output<Invited>();
  protected readonly address = inject(DeskAddress);
  private readonly all = SCHOOL_WORDS;
  protected readonly words = computed(() => this.all().inviting);
  protected readonly who = new FormControl('', { nonNullable: true, validators: [Validators.required, Validators.pattern(/\S/)] });
  protected readonly code = signal<{ readonly code: string; readonly forWhom: string } | null>(null);
  protected readonly problem = signal<string | null>(null);

  /** What follows the # stays on the device of whoever opens it. */
  protected linkOf(code: string): string {
    return `${this.address.now()}/invited#code=${code}`;
  }

  protected async invite(event: Event): Promise<void> {
    event.preventDefault();
    this.who.markAsTouched();
    const forWhom = this.who.value.trim();
    if (forWhom === '') return;
    try {
      const invited = await ask<Invited>('POST', '/api/staff/invitations', { id: uuid(), forWhom });
      this.code.set({ code: invited.code, forWhom });
      this.problem.set(null);
      this.made.emit(invited);
      this.who.reset();
    } catch (error) {
      this.problem.set(sentenceOf(error));
    }
  }
}
