import { ChangeDetectionStrategy, Component, computed, ElementRef, inject, input } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { NonNullableFormBuilder, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatError, MatFormField, MatHint, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { Store } from '@ngrx/store';
import { authActions, authFeature } from '../../state/auth';
import { showWhatIsMissing } from '../../shared/missing-fields';
import { TeacherFrame } from '../frame/teacher-frame';

const required = Validators.required;

/** A teacher begins here: the first of a server, or one by invitation; with a first class and lessons to start with. */
@Component({
  selector: 'zp-set-up',
  imports: [ReactiveFormsModule, MatButton, MatError, MatFormField, MatHint, MatLabel, MatInput, TeacherFrame],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <zp-teacher-frame>
      <form [formGroup]="form" (ngSubmit)="setUp()">
        @if (invited()) {
          <h1>Welcome to Zeitpunkt</h1>
          <p>
            You come by invitation. Your classes, lessons and answers are yours alone; other teachers do not see them. The rules of your
            school and the law where you teach decide what may be kept about children: use display names only.
          </p>
        } @else {
          <h1>Set up Zeitpunkt</h1>
          <p>
            You are the first teacher on this machine. Everything stays on it. The rules of your school and the law where you teach decide
            what may be kept about children: use display names only.
          </p>
        }
        @if (auth().problem; as problem) {
          <p class="problem" role="alert">{{ problem }}</p>
        }
        <mat-form-field appearance="outline">
          <mat-label>{{ invited() ? 'Invitation code' : 'Set-up code' }}</mat-label>
          <input matInput formControlName="code" autocomplete="off" autocapitalize="none" />
          @if (form.controls.code.hasError('required')) {
            <mat-error>Please enter the code.</mat-error>
          }
          <mat-hint>{{
            invited()
              ? 'Twelve letters and digits, from whoever invited you.'
              : 'Eight digits; they stand in the window where Zeitpunkt was started.'
          }}</mat-hint>
        </mat-form-field>
        <mat-form-field appearance="outline">
          <mat-label>Your name, as pupils know it</mat-label>
          <input matInput formControlName="name" autocomplete="name" />
          @if (form.controls.name.hasError('required')) {
            <mat-error>Please enter your name.</mat-error>
          }
        </mat-form-field>
        <mat-form-field appearance="outline">
          <mat-label>Sign-in name</mat-label>
          <input matInput formControlName="signInName" autocomplete="username" autocapitalize="none" />
          @if (form.controls.signInName.hasError('required')) {
            <mat-error>Please choose a sign-in name.</mat-error>
          }
        </mat-form-field>
        <mat-form-field appearance="outline">
          <mat-label>Password</mat-label>
          <input matInput type="password" formControlName="password" autocomplete="new-password" />
          <mat-hint>At least 10 characters</mat-hint>
          @if (form.controls.password.hasError('required')) {
            <mat-error>Please choose a password.</mat-error>
          }
          @if (form.controls.password.hasError('minlength')) {
            <mat-error>At least 10 characters, please.</mat-error>
          }
        </mat-form-field>
        <mat-form-field appearance="outline">
          <mat-label>Your class</mat-label>
          <input matInput formControlName="className" autocomplete="off" />
          @if (form.controls.className.hasError('required')) {
            <mat-error>Please name your class.</mat-error>
          }
        </mat-form-field>
        <mat-form-field appearance="outline">
          <mat-label>Pupils, one display name on each line</mat-label>
          <textarea matInput formControlName="pupils" rows="8"></textarea>
          <mat-hint
            >{{ names().length }} {{ names().length === 1 ? 'pupil' : 'pupils' }}; a list from a file can be taken in afterwards</mat-hint
          >
          @if (twice(); as name) {
            <mat-error>{{ name }} stands there twice; pupils must be able to tell their names apart.</mat-error>
          }
        </mat-form-field>
        <button mat-flat-button class="next big" type="submit" [disabled]="auth().busy">Start</button>
      </form>
    </zp-teacher-frame>
  `,
  styles: 'form { display: grid; gap: 1rem; max-width: 32rem; margin: 1rem auto; }',
})
export class SetUp {
  /** Whether the teacher comes by invitation; otherwise it is the first one of this server. */
  readonly invited = input(false);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly store = inject(Store);
  protected readonly auth = this.store.selectSignal(authFeature.selectAuthState);
  protected readonly form = inject(NonNullableFormBuilder).group({
    code: [codeInAddress(), required],
    name: ['', required],
    signInName: ['', required],
    password: ['', [required, Validators.minLength(10)]],
    className: ['', required],
    pupils: ['', (control: { value: string }) => (repeated(namesIn(control.value)) ? { twice: true } : null)],
  });
  private readonly typed = toSignal(this.form.controls.pupils.valueChanges, { initialValue: '' });
  protected readonly names = computed(() => namesIn(this.typed()));
  protected readonly twice = computed(() => repeated(this.names()));

  protected setUp(): void {
    if (this.form.invalid) return showWhatIsMissing(this.form, this.host.nativeElement);
    const { pupils, ...form } = this.form.getRawValue();
    this.store.dispatch(authActions.setUp({ form: { ...form, pupilNames: namesIn(pupils) }, invited: this.invited() }));
  }
}

/** The code that the link of an invitation carries after its #. */
function codeInAddress(): string {
  return new URLSearchParams(location.hash.slice(1)).get('code') ?? '';
}

function namesIn(text: string): string[] {
  return text
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean);
}

function repeated(names: readonly string[]): string | undefined {
  return names.find((name, index) => names.indexOf(name) !== index);
}
