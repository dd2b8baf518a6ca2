import { ChangeDetectionStrategy, Component, inject, signal, viewChild } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Router } from '@angular/router';
import type { SheetDetail, SheetList } from '@zeitpunkt/contract';
import { dayOf, dayWords, dialLetter, type Item } from '@zeitpunkt/core';
import { ask } from '../../shared/api';
import { PaperMaker } from '../../shared/paper/paper-maker';
import { Confirm } from '../../ui/confirm';
import { PaperStore } from './paper-store';

type Sheet = SheetList['sheets'][number];

/** Sheets that were printed from this lesson: printed again as they were, and their answers typed in. */
@Component({
  selector: 'zp-kept-sheets',
  imports: [Confirm, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-labelledby="kept-sheets">
      <h2 id="kept-sheets">Printed before</h2>
      <ul>
        @for (sheet of store.sheets(); track sheet.id) {
          <li>
            <strong>{{ sheet.code }}</strong>
            <span class="facts">
              {{ words(sheet) }}
              @for (one of sheet.sessions; track one.sessionId) {
                · answers of {{ one.className }}
              }
            </span>
            <span class="acts">
              @if (sheet.classId ?? store.ofClass()?.id; as classId) {
                <button mat-stroked-button type="button" (click)="typeIn(sheet, classId)">
                  Type in answers of {{ nameOf(classId) }}<span class="heard-only"> to sheet {{ sheet.code }}</span>
                </button>
              }
              <button mat-button type="button" [disabled]="maker.isOn()" (click)="again(sheet)">
                Print again<span class="heard-only">: sheet {{ sheet.code }}</span>
              </button>
              <button mat-button type="button" (click)="askRemove(sheet)">
                Delete<span class="heard-only"> sheet {{ sheet.code }}</span>
              </button>
            </span>
          </li>
        }
      </ul>
      <zp-confirm
        #confirm
        [heading]="'Delete sheet ' + (going()?.code ?? '') + '?'"
        yes="Delete the sheet"
        no="Keep it"
        (confirmed)="remove()"
      >
        <p>Answers on it can no longer be typed in. Those that were typed in stay in their review.</p>
      </zp-confirm>
    </section>
  `,
  styles: `
    h2 {
      font-size: 1.05rem;
    }
    ul {
      display: grid;
      gap: 0.5rem;
      margin: 0;
      padding: 0;
      list-style: none;
    }
    li {
      display: flex;
      flex-wrap: wrap;
      gap: 0.25rem 0.75rem;
      align-items: center;
      border-top: 1px solid var(--faint);
      padding-top: 0.4rem;
    }
    .acts {
      display: flex;
      flex-wrap: wrap;
      gap: 0.25rem;
    }
  `,
})
export class KeptSheets {
  protected readonly store = inject(PaperStore);
  protected readonly maker = inject(PaperMaker);
  private readonly router = inject(Router);
  private readonly confirm = viewChild.required<Confirm>('confirm');
  protected readonly going = signal<Sheet | null>(null);

  protected words({ questions, versions, madeAtMs }: Sheet): string {
    return `${dayWords(dayOf(madeAtMs))}, ${questions} questions${versions > 1 ? `, ${versions} versions` : ''}`;
  }

  protected nameOf(classId: string): string {
    return this.store.classes().find(({ id }) => id === classId)?.name ?? 'the class';
  }

  protected async typeIn({ id }: Sheet, classId: string): Promise<void> {
    const sessionId = await this.store.answersOf(id, classId);
    if (sessionId) await this.router.navigate(['/review', sessionId, 'enter']);
  }

  protected async again({ id, code }: Sheet): Promise<void> {
    const detail = await this.store.attempt(() => ask<SheetDetail>('GET', `/api/sheets/${id}`));
    if (!detail) return;
    const { title, settings, items } = detail.file;
    const each = items.length / detail.versions;
    const versions = Array.from({ length: detail.versions }, (_, version) => ({
      letter: dialLetter(version),
      items: items.slice(version * each, (version + 1) * each) as readonly Item[],
    }));
    const copies =
      detail.copies.length > 0
        ? detail.copies.map(({ pupil, version }) => ({ pupil, letter: dialLetter(version) }))
        : versions.map(({ letter }) => ({ pupil: null, letter }));
    await this.maker.save(
      { kind: 'sheet', title, code, versions, copies, withKey: true, rung: this.store.rung(), settings },
      `${title} ${code}`,
    );
  }

  protected askRemove(sheet: Sheet): void {
    this.going.set(sheet);
    this.confirm().open();
  }

  protected remove(): void {
    const sheet = this.going();
    if (sheet) void this.store.removeSheet(sheet.id);
  }
}
