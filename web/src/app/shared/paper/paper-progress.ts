import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { PaperMaker } from './paper-maker';
import { PAPER_FILE_WORDS } from './words';

/** How far a paper is, with a way to stop it; what became of it, and what was left out. */
@Component({
  selector: 'zp-paper-progress',
  imports: [MatButton, MatProgressBar],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @switch (maker.making().at) {
      @case ('on') {
        <mat-progress-bar [value]="part()" [attr.aria-label]="words().making" />
        <span>{{ part() }} %</span>
        <button mat-button type="button" (click)="maker.cancel()">{{ words().cancel }}</button>
      }
    }
    <span role="status">{{ word() }}</span>
    @if (problem(); as problem) {
      <span class="problem" role="alert">{{ problem }}</span>
    }
    @if (maker.missing().length) {
      <span class="problem" role="status">{{ words().missing(maker.missing().join(' ')) }}</span>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 0.3rem 0.75rem;
      align-items: center;
    }
    mat-progress-bar {
      width: 160px;
    }
    :host:empty {
      display: none;
    }
  `,
})
export class PaperProgress {
  protected readonly maker = inject(PaperMaker);
  protected readonly words = PAPER_FILE_WORDS;
  protected readonly part = computed(() => {
    const making = this.maker.making();
    return making.at === 'on' ? Math.floor((100 * making.done) / making.of) : 0;
  });
  protected readonly word = computed(() => {
    const making = this.maker.making();
    if (making.at !== 'made') return '';
    return this.words().saved(making.pages, Math.ceil(making.bytes / 1000));
  });
  protected readonly problem = computed(() => {
    const making = this.maker.making();
    return making.at === 'failed' ? making.sentence : null;
  });
}
