import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { Store } from '@ngrx/store';
import { authActions, authFeature } from '../../state/auth';
import { AccountStore } from './account-store';
import { ACCOUNT_WORDS } from './words';

/** A teacher leaves the school. */
@Component({
  selector: 'zp-leaving-part',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-labelledby="leaving">
      <h2 id="leaving">{{ words().heading }}</h2>
      @if (account().isFirst) {
        <p>{{ words().first }}</p>
      } @else {
        <p>{{ words().text }}</p>
        <button mat-stroked-button type="button" (click)="close()">{{ words().close }}</button>
      }
    </section>
  `,
  styleUrl: './part.scss',
})
export class LeavingPart {
  private readonly store = inject(Store);
  private readonly dialog = inject(MatDialog);
  private readonly me = this.store.selectSignal(authFeature.selectTeacher);
  protected readonly account = computed(() => this.accounts.account()!);
  private readonly accounts = inject(AccountStore);
  private readonly all = ACCOUNT_WORDS;
  protected readonly words = computed(() => this.all().leaving);

  protected async close(): Promise<void> {
    const { CloseAccount } = await import('../../shared/close-account/close-account');
    const opened = this.dialog.open(CloseAccount, { data: this.me(), width: '520px', maxWidth: '96vw' });
    opened.componentInstance.closed.subscribe(() => this.store.dispatch(authActions.signedOut()));
  }
}
