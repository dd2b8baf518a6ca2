import { ChangeDetectionStrategy, Component, computed, ElementRef, inject, signal } from '@angular/core';
import { NonNullableFormBuilder, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatError, MatFormField, MatHint, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { showWhatIsMissing } from '../../shared/missing-fields';
import { authActions, authFeature } from '../../state/auth';
import { SIGN_IN_WORDS } from './words';

/** A teacher who cannot sign in any more chooses a new password, with a one-time code. */
@Component({
  selector: 'zp-reset',
  imports: [MatButton, MatError, MatFormField, MatHint, MatInput, MatLabel, ReactiveFormsModule, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main>
      <form [formGroup]="form" (ngSubmit)="choose()">
        <h1>{{ words().heading }}</h1>
        <p>{{ words().text }}</p>
        @if (problem(); as problem) {
          <p class="problem" role="alert">{{ problem }}</p>
        }
        <mat-form-field appearance="outline">
          <mat-label>{{ all().name }}</mat-label>
          <input matInput formControlName="signInName" autocomplete="username" autocapitalize="none" />
          @if (form.controls.signInName.invalid) {
            <mat-error>{{ all().noName }}</mat-error>
          }
        </mat-form-field>
        <mat-form-field appearance="outline">
          <mat-label>{{ words().code }}</mat-label>
          <input matInput formControlName="code" autocomplete="off" autocapitalize="none" maxlength="40" />
          <mat-hint>{{ words().codeHint }}</mat-hint>
          @if (form.controls.code.invalid) {
            <mat-error>{{ words().noCode }}</mat-error>
          }
        </mat-form-field>
        <mat-form-field appearance="outline">
          <mat-label>{{ words().password }}</mat-label>
          <input matInput type="password" formControlName="password" autocomplete="new-password" maxlength="200" />
          <mat-hint>{{ words().hint }}</mat-hint>
          @if (form.controls.password.invalid) {
            <mat-error>{{ words().short }}</mat-error>
          }
        </mat-form-field>
        <button mat-flat-button class="next big" type="submit" [disabled]="auth().busy">{{ words().choose }}</button>
        <p class="aside">
          <a routerLink="/sign-in">{{ words().back }}</a>
        </p>
      </form>
    </main>
  `,
  styles: `
    form {
      display: grid;
      gap: 1rem;
      max-width: 28rem;
      margin: 2rem auto;
      padding: 0 12px;
    }
    .aside {
      color: var(--soft);
    }
  `,
})
export class Reset {
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly store = inject(Store);
  protected readonly all = SIGN_IN_WORDS;
  protected readonly words = computed(() => this.all().resetting);
  protected readonly auth = this.store.selectSignal(authFeature.selectAuthState);
  private readonly hasTried = signal(false);
  /** What went wrong here: a sign-in that failed before is another matter. */
  protected readonly problem = computed(() => (this.hasTried() ? this.auth().problem : null));
  protected readonly form = inject(NonNullableFormBuilder).group({
    signInName: ['', Validators.required],
    code: ['', Validators.required],
    password: ['', [Validators.required, Validators.minLength(10)]],
  });

  protected choose(): void {
    if (this.form.invalid) return showWhatIsMissing(this.form, this.host.nativeElement);
    this.hasTried.set(true);
    this.store.dispatch(authActions.choosePassword({ form: this.form.getRawValue() }));
  }
}
