import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
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
        <zp-scene class="page" [scene]="page" [label]="'Page ' + ($index + 1) + ': ' + page.title" />
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
    // Paper is white in the dark, too, and black is its only colour.
    .page {
      --ink: #000;
      --soft: #333;
      --faint: #999;
      --face: #fff;
      --paper: #fff;
      --hour: #000;
      --minute: #000;
      --red: #000;
      --blue: #000;
      --accent: #000;
      --zone: #ddd;
      border: 1px solid #999;
      background: #fff;
    }
  `,
})
export class PaperLookView {
  protected readonly maker = inject(PaperMaker);
}
