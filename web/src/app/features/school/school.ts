import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatDialog } from '@angular/material/dialog';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { Icon } from '../../ui/icons/icon';
import { MatRadioButton, MatRadioGroup } from '@angular/material/radio';
import { MatOption, MatSelect } from '@angular/material/select';
import { RouterLink } from '@angular/router';
import type { ClassDetail, Staff } from '@zeitpunkt/contract';
import { secondOfDay } from '@zeitpunkt/core/time/second-of-day';
import { ask } from '../../shared/api';
import { attempting } from '../../shared/attempting';
import { appearance, APPEARANCES, lookLike } from '../../shared/appearance';
import { CurrentClass } from '../../shared/current-class';
import { DeskAddress } from '../../shared/desk-address';
import { locale, LOCALES, writeAs } from '../../shared/words/language';
import { Place } from '../../ui/parts/place';
import { SmallDial } from '../../ui/parts/small-dial';
import { Failing, Loading } from '../../ui/parts/states';
import { QrCode } from '../../ui/qr-code';
import { ActsPart } from './acts-part';
import { BackupsPart } from './backups-part';
import { PeopleTable } from './people-table';
import { SCHOOL_WORDS } from './words';

/** Who teaches at this school, how it looks for whoever is here, how pupils reach the machine, and what is kept. */
@Component({
  selector: 'zp-school',
  imports: [
    ActsPart,
    BackupsPart,
    Failing,
    Loading,
    MatButton,
    MatFormField,
    Icon,
    MatLabel,
    MatOption,
    MatRadioButton,
    MatRadioGroup,
    MatSelect,
    PeopleTable,
    Place,
    QrCode,
    RouterLink,
    SmallDial,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './school.html',
  styleUrl: './school.scss',
})
export class School {
  protected readonly address = inject(DeskAddress);
  protected readonly current = inject(CurrentClass);
  private readonly dialog = inject(MatDialog);
  protected readonly words = SCHOOL_WORDS;
  protected readonly appearance = appearance;
  protected readonly appearances = APPEARANCES;
  protected readonly lookLike = lookLike;
  protected readonly locale = locale;
  protected readonly locales = LOCALES;
  protected readonly writeAs = writeAs;
  protected readonly tenPastTen = secondOfDay(10, 10);
  protected readonly staff = signal<Staff | null>(null);
  private readonly attempting = attempting();
  protected readonly problem = this.attempting.problem;
  protected readonly detail = signal<ClassDetail | null>(null);
  protected readonly help = computed(() => ({ place: this.words().title, ...this.words().help }));
  constructor() {
    void this.load();
    effect(() => {
      const id = this.current.id();
      if (id !== null)
        untracked(() => void this.attempting.attempt(async () => this.detail.set(await ask<ClassDetail>('GET', `/api/classes/${id}`))));
    });
  }

  protected async load(): Promise<void> {
    await this.attempting.attempt(async () => this.staff.set(await ask<Staff>('GET', '/api/staff')));
  }

  protected async invite(): Promise<void> {
    const { Invite } = await import('./invite');
    const opened = this.dialog.open(Invite, { width: '480px', maxWidth: '96vw' });
    opened.componentInstance.made.subscribe(({ staff }) => this.staff.set(staff));
  }
}
