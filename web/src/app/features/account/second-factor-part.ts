import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { FormControl, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatError, MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { QrCode } from '../../ui/qr-code';
import { AccountStore } from './account-store';
import { ACCOUNT_WORDS } from './words';

/** One-time codes as a second factor, for whoever wants them. */
@Component({
  selector: 'zp-second-factor-part',
  imports: [MatButton, MatError, MatFormField, MatInput, MatLabel, QrCode, ReactiveFormsModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-labelledby="second">
      <h2 id="second">{{ words().heading }}</h2>
      @if (store.begun(); as begun) {
        <p>{{ words().steps }}</p>
        <div class="setup">
          <zp-qr-code [text]="begun.uri" [name]="words().qr" />
          <p>
            {{ words().secret }} <br /><strong class="secret">{{ inGroups(begun.secret) }}</strong>
          </p>
        </div>
        <form (submit)="confirm($event)" novalidate>
          <mat-form-field appearance="outline" subscriptSizing="dynamic">
            <mat-label>{{ words().code }}</mat-label>
            <input matInput inputmode="numeric" autocomplete="one-time-code" maxlength="7" [formControl]="code" />
            @if (code.invalid) {
              <mat-error>{{ words().noCode }}</mat-error>
            }
          </mat-form-field>
          <p class="soft">{{ words().lost }}</p>
          <div class="presses">
            <button mat-stroked-button type="button" (click)="store.giveUp()">{{ words().giveUp }}</button>
            <button mat-flat-button class="next" type="submit">{{ words().confirm }}</button>
          </div>
        </form>
      } @else if (store.account()!.secondFactor) {
        <p>{{ words().on }}</p>
        @if (isEnding()) {
          <form (submit)="end($event)" novalidate>
            <mat-form-field appearance="outline" subscriptSizing="dynamic">
              <mat-label>{{ words().password }}</mat-label>
              <input matInput type="password" autocomplete="current-password" [formControl]="password" />
            </mat-form-field>
            <div class="presses">
              <button mat-stroked-button type="button" (click)="isEnding.set(false)">{{ words().giveUp }}</button>
              <button mat-flat-button type="submit">{{ words().ending }}</button>
            </div>
          </form>
        } @else {
          <button mat-stroked-button type="button" (click)="isEnding.set(true)">{{ words().end }}</button>
        }
      } @else {
        <p>{{ words().off }}</p>
        <button mat-stroked-button type="button" (click)="store.beginSecondFactor()">{{ words().begin }}</button>
      }
    </section>
  `,
  styles: `
    .setup {
      display: flex;
      flex-wrap: wrap;
      gap: 16px;
      align-items: center;
    }
    zp-qr-code {
      width: 160px;
    }
    .secret {
      font-family: inherit;
      letter-spacing: 0.08em;
      overflow-wrap: anywhere;
    }
  `,
  styleUrl: './part.scss',
})
export class SecondFactorPart {
  protected readonly store = inject(AccountStore);
  private readonly all = ACCOUNT_WORDS;
  protected readonly words = computed(() => this.all().second);
  protected readonly isEnding = signal(false);
  protected readonly code = new FormControl('', {
    nonNullable: true,
    validators: [Validators.required, Validators.pattern(/^\s*\d{3}\s?\d{3}\s*$/)],
  });
  protected readonly password = new FormControl('', { nonNullable: true, validators: [Validators.required] });

  /** As it is copied by hand. */
  protected inGroups(secret: string): string {
    return secret.replace(/(.{4})(?=.)/g, '$1 ');
  }

  protected async confirm(event: Event): Promise<void> {
    event.preventDefault();
    this.code.markAsTouched();
    if (this.code.invalid) return;
    if (await this.store.confirm(this.code.value.replace(/\s/g, ''))) this.code.reset();
  }

  protected async end(event: Event): Promise<void> {
    event.preventDefault();
    if (this.password.invalid || !(await this.store.endSecondFactor(this.password.value))) return;
    this.password.reset();
    this.isEnding.set(false);
  }
}
