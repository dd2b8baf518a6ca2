import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { Saving } from '../shared/with-autosave';

/** Whether what is built or written here is safe. */
@Component({
  selector: 'zp-saving',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { role: 'status' },
  template: `
    @switch (saving()) {
      @case ('saved') {
        Saved
      }
      @case ('failed') {
        Not saved, trying again …
      }
      @case ('refused') {
        Not saved
      }
      @case ('overtaken') {
        Not saved
      }
      @default {
        Saving …
      }
    }
  `,
  // As wide as its longest word that comes by itself: nothing beside it moves while it saves.
  styles: ':host { display: inline-block; min-width: 4.6em; color: var(--soft); font-size: 0.92rem; }',
})
export class SavingWord {
  readonly saving = input.required<Saving>();
}
