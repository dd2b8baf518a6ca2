import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { catalogue } from '../shared/words/catalogue';
import type { Saving } from '../shared/with-autosave';

const SAVING_WORDS = catalogue<Readonly<Record<Saving, string>>>({
  en: {
    saved: 'Saved',
    changed: 'Saving …',
    saving: 'Saving …',
    failed: 'Not saved, trying again …',
    refused: 'Not saved',
    overtaken: 'Not saved',
  },
});

/** Whether what is built or written here is safe. */
@Component({
  selector: 'zp-saving',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { role: 'status' },
  template: '{{ word() }}',
  // As wide as its longest word that comes by itself: nothing beside it moves while it saves.
  styles: ':host { display: inline-block; min-width: 4.6em; color: var(--soft); font-size: 0.92rem; }',
})
export class SavingWord {
  readonly saving = input.required<Saving>();
  protected readonly word = computed(() => SAVING_WORDS()[this.saving()]);
}
