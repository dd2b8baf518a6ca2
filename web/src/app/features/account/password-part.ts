import { ChangeDetectionStrategy, Component, computed, ElementRef, inject } from '@angular/core';
import { NonNullableFormBuilder, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatError, MatFormField, MatHint, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { showWhatIsMissing } from '../../shared/missing-fields';
import { AccountStore } from './account-store';
import { ACCOUNT_WORDS } from './words';

/** Another password, by whoever knows the one of now. */
@Component({
  selector: 'zp-password-part',
  imports: [MatButton, MatError, MatFormField, MatHint, MatInput, MatLabel, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-labelledby="password">
      <h2 id="password">{{ words().heading }}</h2>
      <form [formGroup]="form" (ngSubmit)="change()">
        <mat-form-field appearance="outline" subscriptSizing="dynamic">
          <mat-label>{{ words().old }}</mat-label>
          <input matInput type="password" formControlName="password" autocomplete="current-password" />
          @if (form.controls.password.invalid) {
            <mat-error>{{ words().noOld }}</mat-error>
          }
        </mat-form-field>
        <mat-form-field appearance="outline" subscriptSizing="dynamic">
          <mat-label>{{ words().next }}</mat-label>
          <input matInput type="password" formControlName="next" maxlength="200" autocomplete="new-password" />
          <mat-hint>{{ words().hint }}</mat-hint>
          @if (form.controls.next.invalid) {
            <mat-error>{{ words().short }}</mat-error>
          }
        </mat-form-field>
        <p class="soft">{{ words().about }}</p>
        <button mat-stroked-button type="submit">{{ words().change }}</button>
      </form>
    </section>
  `,
  styleUrl: './part.scss',
})
export class PasswordPart {
  private readonly store = inject(AccountStore);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly all = ACCOUNT_WORDS;
  protected readonly words = computed(() => this.all().password);
  protected readonly form = inject(NonNullableFormBuilder).group({
    password: ['', Validators.required],
    next: ['', [Validators.required, Validators.minLength(10)]],
  });

  protected async change(): Promise<void> {
    if (this.form.invalid) return showWhatIsMissing(this.form, this.host.nativeElement);
    const { password, next } = this.form.getRawValue();
    if (await this.store.changePassword(password, next)) this.form.reset();
  }
}
