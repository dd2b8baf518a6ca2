import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { MatMenu, MatMenuItem, MatMenuTrigger } from '@angular/material/menu';
import { Router } from '@angular/router';
import type { SheetDetail, SheetList } from '@zeitpunkt/contract';
import type { Item } from '@zeitpunkt/core/question-kinds/registry';
import { dialLetter } from '@zeitpunkt/core/scene/describe-stage';
import { dayOf } from '@zeitpunkt/core/series/school-days';
import { longDay } from '../../shared/words/days';
import { ask } from '../../shared/api';
import { PaperMaker } from '../../shared/paper/paper-maker';
import { Icon } from '../../ui/icons/icon';
import { AskFirst } from '../../ui/parts/ask-dialog';
import { PaperStore } from './paper-store';
import { PAPER_WORDS } from './words';

type Sheet = SheetList['sheets'][number];

/** Sheets that came back: their answers are typed in, by lesson or by the code in the corner; printed again, they are as they were. */
@Component({
  selector: 'zp-came-back',
  imports: [Icon, MatButton, MatFormField, MatIconButton, MatInput, MatLabel, MatMenu, MatMenuItem, MatMenuTrigger],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section aria-labelledby="came-back">
      <h2 id="came-back">{{ words().heading }}</h2>
      <ul>
        @for (sheet of sheets(); track sheet.id) {
          <li>
            <div class="head">
              <strong>{{ sheet.code }}</strong>
              <span class="facts">{{ sheet.facts }}</span>
              <button mat-icon-button type="button" [matMenuTriggerFor]="more" [attr.aria-label]="words().more(sheet.code)">
                <mat-icon svgIcon="more-vert" />
              </button>
              <mat-menu #more="matMenu">
                <button mat-menu-item type="button" [disabled]="maker.isOn()" (click)="again(sheet)">{{ words().again }}</button>
                <button mat-menu-item type="button" class="danger" (click)="remove(sheet)">{{ words().remove }}</button>
              </mat-menu>
            </div>
            @if (sheet.of) {
              <div class="ticks" aria-hidden="true">
                @for (typed of sheet.ticks; track $index) {
                  <i [class.typed]="typed"></i>
                }
              </div>
              <p class="facts">{{ words().typed(sheet.typed, sheet.of) }}</p>
            }
            @if (sheet.classId ?? store.ofClass()?.id; as classId) {
              <button mat-stroked-button type="button" (click)="typeIn(sheet, classId)">
                <mat-icon svgIcon="edit-note" />{{ words().open }}<span class="heard-only">{{ words().openOf(sheet.code) }}</span>
              </button>
            }
          </li>
        } @empty {
          @if (store.lesson()) {
            <li class="facts">{{ words().none }}</li>
          }
        }
      </ul>
      <form (submit)="$event.preventDefault(); open(code.value)">
        <mat-form-field appearance="outline" subscriptSizing="dynamic">
          <mat-label>{{ words().code }}</mat-label>
          <input #code matInput maxlength="4" autocomplete="off" autocapitalize="characters" spellcheck="false" />
        </mat-form-field>
        <button mat-stroked-button type="submit"><mat-icon svgIcon="edit-note" />{{ words().open }}</button>
      </form>
    </section>
  `,
  styles: `
    section {
      padding-top: 12px;
      border-top: 2px solid var(--ink);
    }
    ul {
      display: grid;
      gap: 12px;
      margin: 4px 0 12px;
      padding: 0;
      list-style: none;
    }
    .head {
      display: flex;
      gap: 0 8px;
      align-items: center;
    }
    .head .facts {
      flex: 1;
    }
    .ticks {
      display: flex;
      gap: 2px;
      align-items: flex-end;
      height: 22px;
    }
    i {
      flex: 0 1 6px;
      height: 2px;
      background: var(--line);
    }
    i.typed {
      height: 22px;
      background: var(--ink);
    }
    p {
      margin: 4px 0;
    }
    form {
      display: grid;
      gap: 8px;
    }
    input {
      text-transform: uppercase;
    }
  `,
})
export class CameBack {
  protected readonly store = inject(PaperStore);
  protected readonly maker = inject(PaperMaker);
  private readonly router = inject(Router);
  private readonly askFirst = inject(AskFirst);
  private readonly catalogue = PAPER_WORDS;
  protected readonly words = computed(() => this.catalogue().back);
  /** Each with how many of the class's answers are typed in, where some are or its copies carry names. */
  protected readonly sheets = computed(() =>
    this.store.sheets().map((sheet) => {
      const whose = sheet.classId ?? this.store.ofClass()?.id;
      const session = sheet.sessions.find(({ classId }) => classId === whose);
      const of = session?.pupils ?? 0;
      const typed = session?.answered ?? 0;
      return {
        ...sheet,
        facts: this.words().facts(longDay(dayOf(sheet.madeAtMs)), sheet.questions, sheet.versions),
        typed,
        of,
        ticks: Array.from({ length: of }, (_, place) => place < typed),
      };
    }),
  );

  protected async typeIn({ id }: Sheet, classId: string): Promise<void> {
    const sessionId = await this.store.answersOf(id, classId);
    if (sessionId) await this.router.navigate(['/review', sessionId, 'enter']);
  }

  protected async open(typed: string): Promise<void> {
    const code = typed.trim();
    if (code === '') return;
    const sessionId = await this.store.answersByCode(code);
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

  protected async remove({ id, code }: Sheet): Promise<void> {
    const { heading, text, yes, no } = this.catalogue().removing;
    if (await this.askFirst.ask({ heading: heading(code), text, yes, no })) await this.store.removeSheet(id);
  }
}
