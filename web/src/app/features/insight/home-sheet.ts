import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, input, linkedSignal, signal, untracked } from '@angular/core';
import { CdkTextareaAutosize } from '@angular/cdk/text-field';
import { MatButton } from '@angular/material/button';
import { MatFormField, MatLabel } from '@angular/material/form-field';
import { MatInput } from '@angular/material/input';
import { type HomePage, HOME_PARTS, homeHeadings } from '@zeitpunkt/core/insight/home-page';
import { SavingWord } from '../../ui/saving-word';
import type { Saving } from '../../shared/with-autosave';
import { INSIGHT_WORDS } from './words';

const SAVE_AFTER_MS = 700;

/** One pupil's page for home: written in place, saved by itself, a sheet of paper when printed. */
@Component({
  selector: 'zp-home-sheet',
  imports: [CdkTextareaAutosize, MatButton, MatFormField, MatInput, MatLabel, SavingWord],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="sheet" [attr.aria-label]="words().sheet(name())" [attr.lang]="language()">
      <div class="top">
        <h2>{{ words().title(headings().title, name()) }}</h2>
        @if (changed()) {
          <zp-saving [saving]="saving()" />
          <button mat-button type="button" (click)="asProposed()">
            {{ words().asProposed }}<span class="heard-only">{{ words().ofPupil(name()) }}</span>
          </button>
        }
      </div>
      @for (part of parts; track part) {
        <mat-form-field appearance="outline" subscriptSizing="dynamic">
          <mat-label>{{ headings()[part] }}</mat-label>
          <textarea
            #text
            matInput
            cdkTextareaAutosize
            cdkAutosizeMinRows="2"
            maxlength="2000"
            [value]="page()[part]"
            (input)="write(part, text.value)"
          ></textarea>
        </mat-form-field>
        <h3 class="printed">{{ headings()[part] }}</h3>
        <p class="printed">{{ page()[part] }}</p>
      }
    </section>
  `,
  styles: `
    .sheet {
      display: grid;
      gap: 12px;
      margin-bottom: 16px;
      padding: 16px;
      border: 1px solid var(--line);
      border-radius: 5px;
      background: var(--sheet);
    }
    .top {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem 1rem;
      align-items: center;
    }
    .printed {
      display: none;
    }
    @media print {
      .sheet {
        padding: 2cm 0 0;
        border: 0;
        font-size: 1.2rem;
        break-after: page;
      }
      button,
      mat-form-field,
      zp-saving {
        display: none;
      }
      .printed {
        display: block;
        white-space: pre-line;
      }
    }
  `,
})
export class HomeSheet {
  private readonly catalogue = INSIGHT_WORDS;
  protected readonly words = computed(() => this.catalogue().home);
  readonly id = input.required<string>();
  readonly name = input.required<string>();
  readonly proposed = input.required<HomePage>();
  /** As the teacher left it; null where it is as proposed. */
  readonly kept = input.required<HomePage | null>();
  readonly language = input.required<'en' | 'de'>();
  /** Keeps the page, or with null goes back to the proposal; false where that failed. */
  readonly keep = input.required<(page: HomePage | null) => Promise<boolean>>();
  protected readonly parts = HOME_PARTS;
  protected readonly headings = computed(() => homeHeadings(this.language()));
  protected readonly changed = computed(() => this.kept() !== null || this.saving() !== 'saved');
  protected readonly saving = signal<Saving>('saved');
  protected readonly page = linkedSignal<HomePage, HomePage>({
    source: () => this.kept() ?? this.proposed(),
    // What was written while an earlier wording was being kept is not undone by it.
    computation: (source, before) => (before && untracked(this.saving) === 'changed' ? before.value : source),
  });
  private timer = 0;

  constructor() {
    // What was written last is kept when the page is left.
    inject(DestroyRef).onDestroy(() => void (this.saving() !== 'saved' && this.save()));
  }

  protected write(part: keyof HomePage, text: string): void {
    this.page.update((page) => ({ ...page, [part]: text }));
    this.saving.set('changed');
    clearTimeout(this.timer);
    this.timer = window.setTimeout(() => void this.save(), SAVE_AFTER_MS);
  }

  protected async asProposed(): Promise<void> {
    clearTimeout(this.timer);
    if (await this.keep()(null)) this.saving.set('saved');
  }

  private async save(): Promise<void> {
    clearTimeout(this.timer);
    this.saving.set('saving');
    const kept = await this.keep()(this.page());
    this.saving.update((saving) => (saving === 'saving' ? (kept ? 'saved' : 'failed') : saving));
  }
}
