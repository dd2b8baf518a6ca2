import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MAT_DIALOG_DATA, MatDialogActions, MatDialogClose, MatDialogContent, MatDialogTitle } from '@angular/material/dialog';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatOption, MatSelect } from '@angular/material/select';
import type { BackupStatus, ClassDetail } from '@zeitpunkt/contract';
import type { PupilRecord } from '@zeitpunkt/core/paper/family/pupil-record';
import { tongueOf } from '@zeitpunkt/core/talk/registry';
import { ask } from '../../shared/api';
import { attempting } from '../../shared/attempting';
import { DeskAddress } from '../../shared/desk-address';
import { download, fileName } from '../../shared/download';
import { PaperMaker, type PaperWished } from '../../shared/paper/paper-maker';
import { PaperProgress } from '../../shared/paper/paper-progress';
import { CLASS_WORDS } from './words';

type Tongue = ReturnType<typeof tongueOf>;

/** What goes out for families: all that is kept of one pupil, or what holds for the whole class. */
export type FamilyFileOf =
  | { readonly what: 'pupil'; readonly classId: string; readonly pupilId: string; readonly name: string }
  | { readonly what: 'class'; readonly detail: ClassDetail };

/** A paper for families, in the language that they read; what is kept of a pupil goes out for programs, too. */
@Component({
  selector: 'zp-family-file',
  imports: [
    MatButton,
    MatDialogActions,
    MatDialogClose,
    MatDialogContent,
    MatDialogTitle,
    MatFormField,
    MatLabel,
    MatOption,
    MatSelect,
    PaperProgress,
  ],
  providers: [PaperMaker],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 mat-dialog-title>{{ of.what === 'pupil' ? words().pupil(of.name) : words().ofClass(of.detail.name) }}</h2>
    <mat-dialog-content>
      <p>{{ of.what === 'pupil' ? words().aboutPupil : words().aboutClass }}</p>
      @if (fetched()) {
        <mat-form-field appearance="outline" subscriptSizing="dynamic">
          <mat-label>{{ words().language }}</mat-label>
          <mat-select [value]="tongue()" (selectionChange)="chosen.set($event.value)">
            @for (one of tongues; track one) {
              <mat-option [value]="one">{{ words().tongues[one] }}</mat-option>
            }
          </mat-select>
        </mat-form-field>
        <zp-paper-progress />
      } @else if (!problem()) {
        <p>{{ words().loading }}</p>
      }
      @if (problem(); as problem) {
        <p class="problem" role="alert">{{ problem }}</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions align="start">
      <button mat-stroked-button type="button" mat-dialog-close>{{ words().close }}</button>
      @if (fetched(); as fetched) {
        @if (fetched.record) {
          <button mat-stroked-button type="button" (click)="saveData()">{{ words().json }}</button>
        }
        <button mat-flat-button type="button" [disabled]="maker.isOn()" (click)="savePaper()">{{ words().pdf }}</button>
      }
    </mat-dialog-actions>
  `,
  styles: `
    mat-form-field {
      width: 16rem;
      max-width: 100%;
      margin: 16px 0 8px;
    }
  `,
})
export class FamilyFile {
  protected readonly of = inject<FamilyFileOf>(MAT_DIALOG_DATA);
  protected readonly maker = inject(PaperMaker);
  private readonly address = inject(DeskAddress);
  protected readonly tongues: readonly Tongue[] = ['en', 'de'];
  private readonly all = CLASS_WORDS;
  protected readonly words = computed(() => this.all().family);
  /** What the paper is made of. */
  protected readonly fetched = signal<{ readonly record: PupilRecord | null; readonly backups: BackupStatus | null } | null>(null);
  protected readonly chosen = signal<Tongue | null>(null);
  /** That of the latest lesson, until another is chosen. */
  protected readonly tongue = computed((): Tongue => {
    const latest = this.fetched()?.record?.lessons.at(-1);
    return this.chosen() ?? (latest ? tongueOf(latest.settings) : 'en');
  });
  private readonly attempting = attempting();
  protected readonly problem = this.attempting.problem;

  constructor() {
    void this.attempting.attempt(async () => {
      const { of } = this;
      if (of.what === 'pupil') {
        const record = await ask<PupilRecord>('GET', `/api/classes/${of.classId}/pupils/${of.pupilId}/export`);
        this.fetched.set({ record, backups: null });
      } else {
        this.fetched.set({ record: null, backups: await ask<BackupStatus>('GET', '/api/backups') });
      }
    });
  }

  protected saveData(): void {
    const { record } = this.fetched()!;
    download(new Blob([JSON.stringify(record, null, 2)], { type: 'application/json' }), fileName(record!.name, 'pupil', 'json'));
  }

  protected savePaper(): void {
    void this.maker.save(
      this.wish(),
      this.of.what === 'pupil' ? this.words().pupil(this.of.name) : this.words().ofClass(this.of.detail.name),
    );
  }

  private wish(): PaperWished {
    const { record, backups } = this.fetched()!;
    const tongue = this.tongue();
    if (record) return { kind: 'pupil-record', record, tongue };
    const { name: className, keepDays } = (this.of as Extract<FamilyFileOf, { what: 'class' }>).detail;
    const daily = backups?.each ? { most: backups.each.most, sealed: backups.last?.sealed ?? false } : null;
    const facts = { className, keepDays, day: new Date().toISOString(), address: this.address.now(), backups: daily };
    return { kind: 'kept', facts, tongue };
  }
}
