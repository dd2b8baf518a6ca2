import { ChangeDetectionStrategy, Component, computed, inject, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { RosterColumns, RosterEntry } from '@zeitpunkt/core';
import { guessColumns } from '@zeitpunkt/core/roster/guess-columns';
import { planRoster } from '@zeitpunkt/core/roster/roster';
import type { RosterFile } from '@zeitpunkt/contract';
import { v4 as uuid } from 'uuid';
import { FileLook } from '../../shared/file-look';
import { FileChoice } from '../../ui/file-choice';
import { ClassStore } from './class-store';

/** As large as the server reads. */
const MOST_BYTES = 4 * 2 ** 20;
/** A preview shows so many rows of each sort at most; the rest is counted. */
const MOST_SHOWN = 40;
/** A class of more pupils than this is perhaps a list of several classes. */
const LARGE_CLASS = 60;

/** Takes a class list in from a file: what is in it, which column is what, what becomes of each row, and only then into the class. */
@Component({
  selector: 'zp-roster-import',
  imports: [FileChoice, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './roster-import.html',
  styleUrl: './roster-import.scss',
})
export class RosterImport {
  readonly done = output();
  protected readonly store = inject(ClassStore);
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
      return this.hasHeader() ? `${first || 'no head'}${second ? `, as in ${second}` : ''}` : `as in ${first || second || 'nothing'}`;
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

  /** @param value of a select: the number of a column, or nothing */
  protected set(what: 'name' | 'secondName' | 'reference', value: string): void {
    this.columns.update((columns) => ({ ...columns, [what]: value === '' ? null : Number(value) }));
  }

  protected chooseBy(value: string): void {
    this.columns.update((columns) => ({ ...columns, only: value === '' ? null : { column: Number(value), value: '' } }));
    const [first] = this.values();
    if (first !== undefined) this.chooseOnly(first);
  }

  protected chooseOnly(value: string): void {
    this.columns.update((columns) => ({ ...columns, only: columns.only && { ...columns.only, value } }));
  }

  protected async takeIn(): Promise<void> {
    const pupils = this.added().map(({ name, reference }) => ({ id: uuid(), name, reference }));
    if (await this.store.takeIn(pupils)) this.done.emit();
  }
}
