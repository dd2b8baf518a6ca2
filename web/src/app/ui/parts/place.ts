import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { type HelpOfPlace, PlaceHelp } from './place-help';

/** A place of the teacher's side: its head with the title, where it belongs and what can be done, and its content. */
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
      display: flex;
      flex-wrap: wrap;
      gap: 8px 12px;
      align-items: center;
      justify-content: space-between;
      min-height: 76px;
      padding: 16px 0;
    }
    .title {
      display: flex;
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
      main {
        padding-inline: 12px;
      }
    }
  `,
})
export class Place {
  readonly heading = input.required<string>();
  /** Where it belongs: a class, a school. */
  readonly about = input<string | null>(null);
  readonly help = input<HelpOfPlace | null>(null);
}
