import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { Failing, Loading } from '../../ui/parts/states';
import { Place } from '../../ui/parts/place';
import { AccountStore } from './account-store';
import { LeavingPart } from './leaving-part';
import { LoginsPart } from './logins-part';
import { NamesPart } from './names-part';
import { PasswordPart } from './password-part';
import { SecondFactorPart } from './second-factor-part';
import { ACCOUNT_WORDS } from './words';

/** How whoever is here is called, signs in, and where. */
@Component({
  selector: 'zp-account',
  imports: [Failing, LeavingPart, Loading, LoginsPart, NamesPart, PasswordPart, Place, SecondFactorPart],
  providers: [AccountStore],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <zp-place [heading]="words().title" [about]="store.account()?.name ?? null" [help]="help()">
      @if (store.problem(); as problem) {
        <zp-failing [problem]="problem" [canTryAgain]="!store.account()" (again)="store.load()" />
      }
      @if (store.word(); as word) {
        <p class="word" role="status">{{ word }}</p>
      }
      @if (store.account()) {
        <div class="columns">
          <div>
            <zp-names-part />
            <zp-password-part />
          </div>
          <div>
            <zp-second-factor-part />
            <zp-logins-part />
            <zp-leaving-part />
          </div>
        </div>
      } @else if (!store.problem()) {
        <zp-loading [text]="words().loading" />
      }
    </zp-place>
  `,
  styleUrl: './account.scss',
})
export class Account {
  protected readonly store = inject(AccountStore);
  protected readonly words = ACCOUNT_WORDS;
  protected readonly help = computed(() => ({ place: this.words().title, ...this.words().help }));
}
