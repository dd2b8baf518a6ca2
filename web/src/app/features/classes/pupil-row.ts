import { DatePipe } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, input, signal, viewChild } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { ClassPupil, ClassSummary } from '@zeitpunkt/contract';
import { download, fileName } from '../../shared/download';
import { sentenceOf } from '../../shared/api';
import { Confirm } from '../../ui/confirm';
import { ClassStore } from './class-store';

/** One pupil in the table of the class: the name and the reference are put right where they stand, the rest stands behind a button. */
@Component({
  // eslint-disable-next-line @angular-eslint/component-selector -- a table holds only rows and groups of them
  selector: 'tbody[zpPupilRow]',
  imports: [Confirm, DatePipe, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './pupil-row.html',
  styleUrl: './pupil-row.scss',
})
export class PupilRow {
  readonly pupil = input.required<ClassPupil>();
  protected readonly store = inject(ClassStore);
  protected readonly isOpen = signal(false);
  /** With whom this pupil is to be merged. */
  protected readonly stays = signal<ClassPupil | null>(null);
  protected readonly problem = signal<string | null>(null);
  private readonly confirmMerge = viewChild.required<Confirm>('confirmMerge');
  protected readonly others = computed(() => this.store.present().filter(({ id }) => id !== this.pupil().id));

  protected async rename(field: HTMLInputElement): Promise<void> {
    const name = field.value.trim();
    const isNew = name !== '' && name !== this.pupil().name;
    if (!isNew || !(await this.store.changePupil(this.pupil(), { name }))) field.value = this.pupil().name;
  }

  protected async refer(field: HTMLInputElement): Promise<void> {
    const reference = field.value.trim() || null;
    if (reference === this.pupil().reference) return;
    if (!(await this.store.changePupil(this.pupil(), { reference }))) field.value = this.pupil().reference ?? '';
  }

  protected askToMerge(id: string): void {
    this.stays.set(this.others().find((one) => one.id === id) ?? null);
    if (this.stays()) this.confirmMerge().open();
  }

  protected move(id: string): void {
    const to = this.store.others().find((one: ClassSummary) => one.id === id);
    if (to) void this.store.move(this.pupil(), to);
  }

  /** Everything that is kept about this pupil, as a file. */
  protected async exportData(): Promise<void> {
    const { id, name } = this.pupil();
    try {
      const reply = await fetch(`/api/classes/${this.store.detail()!.id}/pupils/${id}/export`, { credentials: 'same-origin' });
      if (!reply.ok) throw new Error(String(reply.status));
      download(await reply.blob(), fileName(name, 'pupil', 'json'));
      this.problem.set(null);
      await this.store.loadRecord();
    } catch (error) {
      this.problem.set(sentenceOf(error));
    }
  }
}
