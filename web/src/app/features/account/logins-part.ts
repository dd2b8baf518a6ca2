import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatTableModule } from '@angular/material/table';
import { dayOf } from '@zeitpunkt/core/series/school-days';
import { clockOf, shortDay } from '../../shared/words/days';
import { AccountStore } from './account-store';
import { ACCOUNT_WORDS } from './words';

/** The browsers in which a teacher is signed in. */
@Component({
  selector: 'zp-logins-part',
  imports: [MatButton, MatTableModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-labelledby="logins">
      <h2 id="logins">{{ words().heading }}</h2>
      <table mat-table [dataSource]="logins()">
        <ng-container matColumnDef="browser">
          <th mat-header-cell *matHeaderCellDef scope="col">{{ words().columns.browser }}</th>
          <td mat-cell *matCellDef="let one">
            {{ one.browser }}
            @if (one.isThis) {
              <span class="soft">{{ words().this }}</span>
            }
          </td>
        </ng-container>
        <ng-container matColumnDef="since">
          <th mat-header-cell *matHeaderCellDef scope="col">{{ words().columns.since }}</th>
          <td mat-cell *matCellDef="let one">{{ moment(one.beganAtMs) }}</td>
        </ng-container>
        <ng-container matColumnDef="seen">
          <th mat-header-cell *matHeaderCellDef scope="col">{{ words().columns.seen }}</th>
          <td mat-cell *matCellDef="let one">{{ moment(one.seenAtMs) }}</td>
        </ng-container>
        <ng-container matColumnDef="more">
          <th mat-header-cell *matHeaderCellDef scope="col">
            <span class="heard-only">{{ words().columns.more }}</span>
          </th>
          <td mat-cell *matCellDef="let one">
            @if (!one.isThis) {
              <button mat-button type="button" (click)="store.signOutAt(one.id)">
                {{ words().out }}<span class="heard-only">{{ words().outOf(one.browser) }}</span>
              </button>
            }
          </td>
        </ng-container>
        <tr mat-header-row *matHeaderRowDef="columns"></tr>
        <tr mat-row *matRowDef="let one; columns: columns"></tr>
      </table>
      @if (logins().length > 1) {
        <button mat-stroked-button type="button" (click)="store.signOutElsewhere()">{{ words().others }}</button>
      } @else {
        <p class="soft">{{ words().alone }}</p>
      }
    </section>
  `,
  styleUrl: './part.scss',
})
export class LoginsPart {
  protected readonly store = inject(AccountStore);
  private readonly all = ACCOUNT_WORDS;
  protected readonly words = computed(() => this.all().logins);
  protected readonly columns = ['browser', 'since', 'seen', 'more'];
  protected readonly logins = computed(() =>
    this.store.account()!.logins.map((one) => ({ ...one, browser: one.browser || this.words().unknown })),
  );

  protected moment(ms: number): string {
    return ms === 0 ? '–' : `${shortDay(dayOf(ms))}, ${clockOf(ms)}`;
  }
}
