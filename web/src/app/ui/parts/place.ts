import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { HelpOfPlace } from './help-of-place';
import { PlaceHelp } from './place-help';

/**
 * A place of the teacher's side: its head with the title, where it belongs and what can be done, and its content. One in which one
 * works for a while has a low bar instead, and all the rest of the screen.
 */
@Component({
  selector: 'zp-place',
  imports: [PlaceHelp],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <main id="main" tabindex="-1">
      <header>
        <div class="title">
          <h1>{{ heading() }}</h1>
          @if (about(); as about) {
            <p>{{ about }}</p>
          }
        </div>
        <div class="acts">
          <ng-content select="[acts]" />
          @if (help(); as help) {
            <zp-place-help [help]="help" />
          }
        </div>
      </header>
      <ng-content />
    </main>
  `,
  styles: `
    :host {
      display: block;
    }
    main {
      max-width: 1720px;
      min-height: 100dvh;
      padding: 0 32px 32px;

      &:focus {
        outline: none;
      }
    }
    header {
      /* painted by itself, and not at each move of a hand below */
      isolation: isolate;
      display: flex;
      flex: none;
      flex-wrap: wrap;
      gap: 8px 12px;
      align-items: center;
      justify-content: space-between;
      min-height: 76px;
      padding: 16px 0;
    }
    .title {
      display: flex;
      flex: 1 1 20rem;
      min-width: 0;
      flex-wrap: wrap;
      gap: 0 12px;
      align-items: baseline;
    }
    .title p {
      color: var(--soft);
    }
    .acts {
      display: flex;
      flex-wrap: wrap;
      gap: 8px 12px;
      align-items: center;
    }
    :host(.working) {
      main {
        display: flex;
        flex-direction: column;
        max-width: none;
        padding: 0;
      }
      header {
        gap: 4px 16px;
        min-height: 64px;
        padding: 6px 24px;
        border-bottom: 1px solid var(--line);
        background: var(--sheet);
      }
      .title {
        display: block;
        flex: 1 1 14rem;
        min-width: 0;
      }
      h1 {
        overflow: hidden;
        font-size: 22px;
        line-height: 28px;
        text-overflow: ellipsis;
        white-space: nowrap;
      }
      p {
        font-size: 14px;
        line-height: 20px;
      }
      .acts {
        gap: 8px;
      }
    }
    @media (min-width: 901px) {
      :host(.working) main {
        height: 100dvh;
      }
    }
    @media print {
      header {
        display: none;
      }
      main {
        max-width: none;
        padding: 0;
      }
    }
    @media (max-width: 600px) {
      main,
      :host(.working) header {
        padding-inline: 12px;
      }
      :host(.working) main {
        padding: 0;
      }
      :host(.working) h1 {
        white-space: normal;
      }
    }
  `,
  host: { '[class.working]': 'working()' },
})
export class Place {
  /** One works here for a while, as on a script. */
  readonly working = input(false);
  readonly heading = input.required<string>();
  /** Where it belongs: a class, a school. */
  readonly about = input<string | null>(null);
  readonly help = input<HelpOfPlace | null>(null);
}
