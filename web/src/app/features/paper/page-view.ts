import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core';
import { MatIconButton } from '@angular/material/button';
import { COLOUR_PRINT_INKS, PRINT_INKS } from '@zeitpunkt/core/scene/print-inks';
import { PaperMaker } from '../../shared/paper/paper-maker';
import { Icon } from '../../ui/icons/icon';
import { SceneView } from '../../ui/scene-view';
import { PAPER_WORDS } from './words';

/** A part of the paper with a tab of its own, and the place of its first page. */
export interface PaperTab {
  readonly name: string;
  readonly at: number;
}

/** One page of a paper as large as there is room, as it will be printed; tabs at its edge lead to the parts of it. */
@Component({
  selector: 'zp-page-view',
  imports: [Icon, MatIconButton, SceneView],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (page(); as page) {
      <div class="leaf">
        <zp-scene class="page" [style]="inks()" [scene]="page" [label]="words().page(at() + 1, page.title)" />
        @if (tabs().length > 1) {
          <div class="tabs" role="group" [attr.aria-label]="words().parts">
            @for (tab of tabs(); track tab.at) {
              <button type="button" [attr.aria-pressed]="tab === open()" (click)="at.set(tab.at)">{{ tab.name }}</button>
            }
          </div>
        }
      </div>
      @if (pages().length > 1) {
        <div class="turn">
          <button mat-icon-button type="button" [attr.aria-label]="words().back" [disabled]="at() === 0" (click)="at.set(at() - 1)">
            <mat-icon svgIcon="chevron-left" />
          </button>
          <span role="status">{{ words().at(at() + 1, pages().length) }}</span>
          <button
            mat-icon-button
            type="button"
            [attr.aria-label]="words().on"
            [disabled]="at() === pages().length - 1"
            (click)="at.set(at() + 1)"
          >
            <mat-icon svgIcon="chevron-right" />
          </button>
        </div>
      }
    }
  `,
  styles: `
    :host {
      display: block;
    }
    .leaf {
      display: flex;
      align-items: flex-start;
      justify-content: center;
    }
    // Paper is white in the dark, too; its inks are those of the file. A whole page is seen at once.
    .page {
      flex: 0 1 calc((100dvh - 148px) * 0.7071);
      min-width: min(100%, 300px);
      border: 1px solid var(--ink);
      background: #fff;
    }
    .tabs {
      display: grid;
      flex: none;
      gap: 16px;
      margin: 32px 0 0 -1px;
    }
    .tabs button {
      min-width: 45px;
      min-height: 48px;
      padding: 0 8px;
      border: 1px solid var(--line);
      border-radius: 0 4px 4px 0;
      background: var(--paper);
      color: var(--soft);
      font: inherit;
      font-weight: 700;
      cursor: pointer;

      &[aria-pressed='true'] {
        border-color: var(--ink);
        background: var(--sheet);
        color: var(--ink);
      }
    }
    .turn {
      display: flex;
      gap: 8px;
      align-items: center;
      justify-content: center;
      margin-top: 8px;
      font-variant-numeric: tabular-nums;
    }
    @media (max-width: 900px) {
      .page {
        flex-basis: 100%;
      }
    }
  `,
})
export class PageView {
  readonly tabs = input.required<readonly PaperTab[]>();
  private readonly maker = inject(PaperMaker);
  private readonly catalogue = PAPER_WORDS;
  protected readonly words = computed(() => this.catalogue().look);
  protected readonly pages = this.maker.pages;
  /** The place of the page that is seen; it stays where it is while another paper has so many. */
  protected readonly at = linkedSignal<number, number>({
    source: () => this.pages().length,
    computation: (many, before) => Math.min(before?.value ?? 0, Math.max(0, many - 1)),
  });
  protected readonly page = computed(() => this.pages()[this.at()] ?? null);
  protected readonly open = computed(() => this.tabs().findLast(({ at }) => at <= this.at()));
  protected readonly inks = computed(() => {
    const inks = this.maker.habit().inColour ? COLOUR_PRINT_INKS : PRINT_INKS;
    return Object.fromEntries(Object.entries(inks).map(([ink, colour]) => [`--${ink}`, colour]));
  });
}
