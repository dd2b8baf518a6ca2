import { ChangeDetectionStrategy, Component, computed, ElementRef, inject } from '@angular/core';
import { NonNullableFormBuilder, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatError, MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { showWhatIsMissing } from '../../shared/missing-fields';
import { AccountStore } from './account-store';
import { ACCOUNT_WORDS } from './words';

/** How a teacher is called, and signs in. */
@Component({
  selector: 'zp-names-part',
  imports: [MatButton, MatError, MatFormField, MatInput, MatLabel, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-labelledby="names">
      <h2 id="names">{{ words().heading }}</h2>
      <form [formGroup]="form" (ngSubmit)="keep()">
        <mat-form-field appearance="outline" subscriptSizing="dynamic">
          <mat-label>{{ words().name }}</mat-label>
          <input matInput formControlName="name" maxlength="200" autocomplete="name" />
          @if (form.controls.name.invalid) {
            <mat-error>{{ words().noName }}</mat-error>
          }
        </mat-form-field>
        <mat-form-field appearance="outline" subscriptSizing="dynamic">
          <mat-label>{{ words().signInName }}</mat-label>
          <input matInput formControlName="signInName" maxlength="100" autocomplete="username" autocapitalize="none" />
          @if (form.controls.signInName.invalid) {
            <mat-error>{{ words().noSignInName }}</mat-error>
          }
        </mat-form-field>
        <button mat-stroked-button type="submit">{{ words().keep }}</button>
      </form>
    </section>
  `,
  styleUrl: './part.scss',
})
export class NamesPart {
  private readonly store = inject(AccountStore);
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);
  private readonly all = ACCOUNT_WORDS;
  protected readonly words = computed(() => this.all().names);
  private readonly now = this.store.account()!;
  protected readonly form = inject(NonNullableFormBuilder).group({
    name: [this.now.name, [Validators.required, Validators.pattern(/\S/)]],
    signInName: [this.now.signInName, [Validators.required, Validators.pattern(/\S/)]],
  });

  protected async keep(): Promise<void> {
    if (this.form.invalid) return showWhatIsMissing(this.form, this.host.nativeElement);
    const { name, signInName } = this.form.getRawValue();
    await this.store.rename(name, signInName);
  }
}
