import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { PaperMaker } from './paper-maker';

/** How far a paper is, with a way to stop it; what became of it, and what was left out. */
@Component({
  selector: 'zp-paper-progress',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @switch (maker.making().at) {
      @case ('on') {
        <progress [value]="part()" max="100" aria-label="Making the file"></progress>
        <span>{{ part() }} %</span>
        <button mat-button type="button" (click)="maker.cancel()">Cancel</button>
      }
    }
    <span role="status">{{ word() }}</span>
    @if (problem(); as problem) {
      <span class="problem" role="alert">{{ problem }}</span>
    }
    @if (maker.missing().length) {
      <span class="problem" role="status">No letter shapes for {{ maker.missing().join(' ') }}: left out on paper.</span>
    }
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 0.3rem 0.75rem;
      align-items: center;
    }
    :host:empty {
      display: none;
    }
  `,
})
export class PaperProgress {
  protected readonly maker = inject(PaperMaker);
  protected readonly part = computed(() => {
    const making = this.maker.making();
    return making.at === 'on' ? Math.floor((100 * making.done) / making.of) : 0;
  });
  protected readonly word = computed(() => {
    const making = this.maker.making();
    if (making.at !== 'made') return '';
    return `Saved: ${making.pages} ${making.pages === 1 ? 'page' : 'pages'}, ${Math.ceil(making.bytes / 1000)} kB.`;
  });
  protected readonly problem = computed(() => {
    const making = this.maker.making();
    return making.at === 'failed' ? making.sentence : null;
  });
}
