import { ChangeDetectionStrategy, Component, computed, ElementRef, inject, input } from '@angular/core';
import { NonNullableFormBuilder, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatError, MatFormField, MatHint, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { Store } from '@ngrx/store';
import { authActions, authFeature } from '../../state/auth';
import { showWhatIsMissing } from '../../shared/missing-fields';
import { SET_UP_WORDS } from './words';

const required = Validators.required;

/** A teacher begins here: the first of a server, or one by invitation; with a first class and lessons to start with. */
@Component({
  selector: 'zp-set-up',
  imports: [ReactiveFormsModule, MatButton, MatError, MatFormField, MatHint, MatLabel, MatInput],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main>
      <form [formGroup]="form" (ngSubmit)="setUp()">
        <h1>{{ how().heading }}</h1>
        <p>{{ how().text }}</p>
        @if (auth().problem; as problem) {
          <p class="problem" role="alert">{{ problem }}</p>
        }
        <mat-form-field appearance="outline">
          <mat-label>{{ how().code }}</mat-label>
          <input matInput formControlName="code" autocomplete="off" autocapitalize="none" />
          @if (form.controls.code.hasError('required')) {
            <mat-error>{{ words().noCode }}</mat-error>
          }
          <mat-hint>{{ how().codeHint }}</mat-hint>
        </mat-form-field>
        <mat-form-field appearance="outline">
          <mat-label>{{ words().name }}</mat-label>
          <input #name matInput formControlName="name" autocomplete="name" (input)="suggest(name.value)" />
          @if (form.controls.name.hasError('required')) {
            <mat-error>{{ words().noName }}</mat-error>
          }
        </mat-form-field>
        <mat-form-field appearance="outline">
          <mat-label>{{ words().signInName }}</mat-label>
          <input matInput formControlName="signInName" autocomplete="username" autocapitalize="none" />
          @if (form.controls.signInName.hasError('required')) {
            <mat-error>{{ words().noSignInName }}</mat-error>
          }
        </mat-form-field>
        <mat-form-field appearance="outline">
          <mat-label>{{ words().password }}</mat-label>
          <input matInput type="password" formControlName="password" autocomplete="new-password" />
          <mat-hint>{{ words().passwordHint }}</mat-hint>
          @if (form.controls.password.hasError('required')) {
            <mat-error>{{ words().noPassword }}</mat-error>
          }
          @if (form.controls.password.hasError('minlength')) {
            <mat-error>{{ words().shortPassword }}</mat-error>
          }
        </mat-form-field>
        <mat-form-field appearance="outline">
          <mat-label>{{ words().className }}</mat-label>
          <input matInput formControlName="className" autocomplete="off" />
          <mat-hint>{{ words().pupils }}</mat-hint>
          @if (form.controls.className.hasError('required')) {
            <mat-error>{{ words().noClass }}</mat-error>
          }
        </mat-form-field>
        <button mat-flat-button class="next big" type="submit" [disabled]="auth().busy">{{ words().start }}</button>
      </form>
    </main>
  `,
  styles: `
    form {
      display: grid;
      gap: 1rem;
      max-width: 32rem;
      margin: 1rem auto;
      padding: 0 12px;
    }
  `,
})
export class SetUp {
  /** Whether the teacher comes by invitation; otherwise it is the first one of this server. */
  readonly invited = input(false);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly store = inject(Store);
  protected readonly words = SET_UP_WORDS;
  protected readonly how = computed(() => (this.invited() ? this.words().invited : this.words().first));
  protected readonly auth = this.store.selectSignal(authFeature.selectAuthState);
  protected readonly form = inject(NonNullableFormBuilder).group({
    code: [codeInAddress(), required],
    name: ['', required],
    signInName: ['', required],
    password: ['', [required, Validators.minLength(10)]],
    className: ['', required],
  });

  /** Whoever has not chosen a sign-in name is offered one: the last word of the name, in plain letters. */
  protected suggest(name: string): void {
    const { signInName } = this.form.controls;
    if (signInName.dirty) return;
    const last = name.trim().split(/\s+/).at(-1) ?? '';
    signInName.setValue(last.toLowerCase().normalize('NFD').replace(/[^a-z0-9]/g, '')); // prettier-ignore
  }

  protected setUp(): void {
    if (this.form.invalid) return showWhatIsMissing(this.form, this.host.nativeElement);
    this.store.dispatch(authActions.setUp({ form: { ...this.form.getRawValue(), pupilNames: [] }, invited: this.invited() }));
  }
}

/** The code that the link of an invitation carries after its #. */
function codeInAddress(): string {
  return new URLSearchParams(location.hash.slice(1)).get('code') ?? '';
}
