import { ChangeDetectionStrategy, Component, effect, ElementRef, inject, input, viewChild } from '@angular/core';
import { NonNullableFormBuilder, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatError, MatFormField, MatHint, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { authActions, authFeature } from '../../state/auth';
import { showWhatIsMissing } from '../../shared/missing-fields';
import { SIGN_IN_WORDS } from './words';

/** A teacher signs in; a pupil who strays here finds the way to the desk. */
@Component({
  selector: 'zp-sign-in',
  imports: [ReactiveFormsModule, MatButton, MatError, MatFormField, MatHint, MatLabel, MatInput, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main>
      <form [formGroup]="form" (ngSubmit)="signIn()">
        <h1>{{ words().heading }}</h1>
        @if (auth().problem; as problem) {
          <p class="problem" role="alert">{{ problem }}</p>
        }
        <mat-form-field appearance="outline">
          <mat-label>{{ words().name }}</mat-label>
          <input matInput formControlName="signInName" autocomplete="username" autocapitalize="none" />
          @if (form.controls.signInName.hasError('required')) {
            <mat-error>{{ words().noName }}</mat-error>
          }
        </mat-form-field>
        <mat-form-field appearance="outline">
          <mat-label>{{ words().password }}</mat-label>
          <input matInput type="password" formControlName="password" autocomplete="current-password" />
          @if (form.controls.password.hasError('required')) {
            <mat-error>{{ words().noPassword }}</mat-error>
          }
        </mat-form-field>
        @if (auth().codeNeeded) {
          <mat-form-field appearance="outline">
            <mat-label>{{ words().code }}</mat-label>
            <input #code matInput formControlName="oneTimeCode" inputmode="numeric" autocomplete="one-time-code" maxlength="7" />
            <mat-hint>{{ words().codeHint }}</mat-hint>
          </mat-form-field>
        }
        <button mat-flat-button class="next big" type="submit" [disabled]="auth().busy">{{ words().signIn }}</button>
        <p class="aside">
          {{ words().forgotten }} <a routerLink="/reset">{{ words().reset }}</a>
        </p>
        <p class="aside">
          {{ words().pupil }} <a routerLink="/desk">{{ words().toDesk }}</a>
        </p>
      </form>
    </main>
  `,
  styles: `
    form {
      display: grid;
      gap: 1rem;
      max-width: 24rem;
      margin: 3rem auto;
      padding: 0 12px;
    }
    .aside {
      color: var(--soft);
    }
  `,
})
export class SignIn {
  /** Where to go afterwards; from the address. */
  readonly then = input<string>();
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly store = inject(Store);
  protected readonly words = SIGN_IN_WORDS;
  protected readonly auth = this.store.selectSignal(authFeature.selectAuthState);
  protected readonly form = inject(NonNullableFormBuilder).group({
    signInName: ['', Validators.required],
    password: ['', Validators.required],
    oneTimeCode: '',
  });
  private readonly code = viewChild<ElementRef<HTMLElement>>('code');

  constructor() {
    effect(() => this.code()?.nativeElement.focus());
  }

  protected signIn(): void {
    if (this.form.invalid) return showWhatIsMissing(this.form, this.host.nativeElement);
    const then = this.then();
    // Only a path of our own: an address with "//" would lead to another site.
    const { oneTimeCode, ...form } = this.form.getRawValue();
    const withCode = this.auth().codeNeeded ? { ...form, oneTimeCode } : form;
    this.store.dispatch(authActions.signIn({ form: withCode, then: then && /^\/(?!\/)/.test(then) ? then : '/today' }));
  }
}
