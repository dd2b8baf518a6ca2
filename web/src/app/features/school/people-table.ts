import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { MatTableModule } from '@angular/material/table';
import { Store } from '@ngrx/store';
import type { Staff, Teacher } from '@zeitpunkt/contract';
import { dayOf } from '@zeitpunkt/core/series/school-days';
import { ask, sentenceOf } from '../../shared/api';
import { listed } from '../../shared/words/catalogue';
import { shortDay } from '../../shared/words/days';
import { authFeature } from '../../state/auth';
import { Icon } from '../../ui/icons/icon';
import { AskFirst } from '../../ui/parts/ask-dialog';
import { Notice } from '../../ui/parts/notice';
import { SCHOOL_WORDS } from './words';

/** Who teaches here, and behind them who was invited; with what the first teacher can do for each. */
@Component({
  selector: 'zp-people',
  imports: [Icon, MatButton, MatIconButton, MatMenu, MatMenuItem, MatMenuTrigger, MatTableModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './people-table.html',
  styles: `
    table {
      width: 100%;
      margin-bottom: 8px;
    }
    .soft {
      color: var(--soft);
      font-size: 14px;
      line-height: 20px;
    }
    .act {
      text-align: right;
    }
  `,
})
export class PeopleTable {
  readonly staff = input.required<Staff>();
  readonly changed = output<Staff>();
  /** Something is otherwise that is not told: who is here is to be asked for. */
  readonly again = output();
  private readonly dialog = inject(MatDialog);
  private readonly askFirst = inject(AskFirst);
  private readonly notice = inject(Notice);
  private readonly me = inject(Store).selectSignal(authFeature.selectTeacher);
  protected readonly words = SCHOOL_WORDS;
  protected readonly columns = ['name', 'classes', 'signsIn', 'seen', 'more'];
  protected readonly people = computed(() => {
    const { people: words } = this.words();
    const { teachers, invitations } = this.staff();
    const here = teachers.map(({ id, name, classes, isFirst, secondFactor, seenAtMs }) => ({
      id,
      name,
      isMe: id === this.me()?.id,
      about: [...(id === this.me()?.id ? [this.words().you] : []), ...(isFirst ? [words.isFirst] : [])].join(', '),
      classes: listed(classes) || '–',
      signsIn: secondFactor ? words.withCodes : words.withPassword,
      seen: seenAtMs === null ? words.never : shortDay(dayOf(seenAtMs)),
      isInvited: false,
    }));
    const invited = invitations.map(({ id, forWhom, expiresAtMs }) => ({
      id,
      name: forWhom,
      isMe: false,
      about: '',
      classes: '',
      signsIn: this.words().invited(shortDay(dayOf(expiresAtMs))),
      seen: words.never,
      isInvited: true,
    }));
    return [...here, ...invited];
  });

  protected withdraw(id: string): Promise<void> {
    return this.attempt(async () => this.changed.emit(await ask<Staff>('POST', `/api/staff/invitations/${id}/withdraw`)));
  }

  protected async makeCode({ id, name }: Teacher): Promise<void> {
    const { ResetCode } = await import('./reset-code');
    this.dialog.open(ResetCode, { data: { id, name }, width: '480px', maxWidth: '96vw' });
  }

  protected async makeFirst({ id, name }: Teacher): Promise<void> {
    if (!(await this.askFirst.ask(this.words().people.first(name)))) return;
    await this.attempt(async () => this.changed.emit(await ask<Staff>('POST', `/api/staff/${id}/first`)));
  }

  protected async close({ id, name }: Teacher): Promise<void> {
    const { CloseAccount } = await import('../../shared/close-account/close-account');
    const opened = this.dialog.open(CloseAccount, { data: { id, name }, width: '520px', maxWidth: '96vw' });
    opened.componentInstance.closed.subscribe(() => this.again.emit());
  }

  private async attempt(work: () => Promise<void>): Promise<void> {
    try {
      await work();
    } catch (error) {
      this.notice.fail(sentenceOf(error));
    }
  }
}
