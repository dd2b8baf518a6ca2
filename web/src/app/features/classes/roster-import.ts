import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatCheckbox } from '@angular/material/checkbox';
import { MAT_DIALOG_DATA, MatDialogActions, MatDialogContent, MatDialogRef, MatDialogTitle } from '@angular/material/dialog';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatOption, MatSelect } from '@angular/material/select';
import { type RosterColumns, type RosterEntry, planRoster } from '@zeitpunkt/core/roster/roster';
import { guessColumns } from '@zeitpunkt/core/roster/guess-columns';
import type { RosterFile } from '@zeitpunkt/contract';
import { v4 as uuid } from 'uuid';
import { FileLook } from '../../shared/file-look';
import { FileChoice } from '../../ui/file-choice';
import { Router } from '@angular/router';
import type { ClassStore } from './class-store';
import { CLASS_WORDS } from './words';

/** As large as the server reads. */
const MOST_BYTES = 4 * 2 ** 20;
/** A preview shows so many rows of each sort at most; the rest is counted. */
const MOST_SHOWN = 40;
/** A class of more pupils than this is perhaps a list of several classes. */
const LARGE_CLASS = 60;

/** Takes a class list in from a file: what is in it, which column is what, what becomes of each row, and only then into the class. */
@Component({
  selector: 'zp-roster-import',
  imports: [
    FileChoice,
    MatButton,
    MatCheckbox,
    MatDialogActions,
    MatDialogContent,
    MatDialogTitle,
    MatFormField,
    MatLabel,
    MatOption,
    MatSelect,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './roster-import.html',
  styleUrl: './roster-import.scss',
})
export class RosterImport {
  protected readonly store = inject<InstanceType<typeof ClassStore>>(MAT_DIALOG_DATA);
  protected readonly dialog = inject(MatDialogRef);
  private readonly router = inject(Router);
  private readonly all = CLASS_WORDS;
  protected readonly words = computed(() => this.all().roster);
  protected readonly came = new FileLook<RosterFile>(MOST_BYTES);
  protected readonly file = this.came.found;
  protected readonly hasHeader = signal(false);
  protected readonly columns = signal<RosterColumns>({ name: 0, secondName: null, reference: null, only: null });
  protected readonly largeClass = LARGE_CLASS;

  /** The columns by their heads, or by their first cells. */
  protected readonly heads = computed(() => {
    const rows = this.file()?.rows ?? [];
    const width = rows.reduce((most, { cells }) => Math.max(most, cells.length), 0);
    return Array.from({ length: width }, (_, column) => {
      const [first, second] = [rows[0]?.cells[column]?.trim() ?? '', rows[1]?.cells[column]?.trim() ?? ''];
      const { noHead, asIn, headAsIn, nothing } = this.words();
      return this.hasHeader() ? headAsIn(first || noHead, second) : asIn(first || second || nothing);
    });
  });
  private readonly rows = computed(() => this.file()?.rows.slice(this.hasHeader() ? 1 : 0) ?? []);
  private readonly entries = computed<readonly RosterEntry[]>(() =>
    planRoster(this.rows(), this.columns(), this.store.detail()?.pupils ?? []),
  );
  protected readonly added = computed(() => this.entries().flatMap((entry) => (entry.kind === 'new' ? [entry] : [])));
  protected readonly present = computed(() => this.entries().flatMap((entry) => (entry.kind === 'present' ? [entry] : [])));
  protected readonly refused = computed(() => this.entries().flatMap((entry) => (entry.kind === 'refused' ? [entry] : [])));
  protected readonly shown = <T>(all: readonly T[]) => all.slice(0, MOST_SHOWN);
  /** What stands in the column by which rows are chosen, each once. */
  protected readonly values = computed(() => {
    const { only } = this.columns();
    return only ? [...new Set(this.rows().map(({ cells }) => cells[only.column]?.trim() ?? ''))].filter(Boolean).slice(0, 200) : [];
  });

  protected async look(file: File): Promise<void> {
    const read = await this.came.look(file, '/api/roster-files');
    if (!read) return;
    const { hasHeader, columns } = guessColumns(read.rows);
    this.hasHeader.set(hasHeader);
    this.columns.set(columns);
  }

  protected set(what: 'name' | 'secondName' | 'reference', column: number | null): void {
    this.columns.update((columns) => ({ ...columns, [what]: column }));
  }

  protected chooseBy(column: number | null): void {
    this.columns.update((columns) => ({ ...columns, only: column === null ? null : { column, value: '' } }));
    const [first] = this.values();
    if (first !== undefined) this.chooseOnly(first);
  }

  protected chooseOnly(value: string): void {
    this.columns.update((columns) => ({ ...columns, only: columns.only && { ...columns.only, value } }));
  }

  protected async takeIn(): Promise<void> {
    const pupils = this.added().map(({ name, reference }) => ({ id: uuid(), name, reference }));
    const isFirst = this.store.present().length === 0;
    if (!(await this.store.takeIn(pupils))) return;
    this.dialog.close();
    // Whoever begins is led on: a class without cards gets its cards next.
    if (isFirst) await this.router.navigate(['/classes', this.store.detail()!.id, 'cards']);
  }
}
