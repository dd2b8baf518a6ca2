import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { COLOUR_PRINT_INKS, PRINT_INKS } from '@zeitpunkt/core/scene/print-inks';
import { SceneView } from '../../ui/scene-view';
import { PaperMaker } from './paper-maker';

/** The first pages of a paper, as they will be printed. */
@Component({
  selector: 'zp-paper-look',
  imports: [SceneView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @for (page of maker.pages(); track $index) {
      <figure>
        <zp-scene class="page" [style]="inks()" [scene]="page" [label]="'Page ' + ($index + 1) + ': ' + page.title" />
        <figcaption>{{ page.title }}</figcaption>
      </figure>
    }
    @if (maker.hasMore()) {
      <p class="facts">More pages follow in the file.</p>
    }
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: repeat(auto-fill, minmax(min(100%, 22rem), 1fr));
      gap: 1rem;
      align-items: start;
    }
    figure {
      margin: 0;
    }
    figcaption {
      margin-top: 0.25rem;
      color: var(--soft);
      font-size: 0.9rem;
    }
    // Paper is white in the dark, too; its inks are those of the file.
    .page {
      border: 1px solid #999;
      background: #fff;
    }
  `,
})
export class PaperLookView {
  protected readonly maker = inject(PaperMaker);
  protected readonly inks = computed(() => {
    const inks = this.maker.habit().inColour ? COLOUR_PRINT_INKS : PRINT_INKS;
    return Object.fromEntries(Object.entries(inks).map(([ink, colour]) => [`--${ink}`, colour]));
  });
}
