import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import { type HelpOfPlace, PlaceHelp } from './place-help';

/** A place in which one works for a while: a bar with what is worked on and what can be done, and all the rest of the screen. */
@Component({
  selector: 'zp-working-place',
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
      display: flex;
      flex-direction: column;
      min-height: 100dvh;

      &:focus {
        outline: none;
      }
    }
    header {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 16px;
      align-items: center;
      justify-content: space-between;
      min-height: 64px;
      padding: 6px 24px;
      border-bottom: 1px solid var(--line);
      background: var(--sheet);
    }
    .title {
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
      color: var(--soft);
      font-size: 14px;
      line-height: 20px;
    }
    .acts {
      display: flex;
      flex-wrap: wrap;
      gap: 8px;
      align-items: center;
    }
    @media (min-width: 901px) {
      main {
        height: 100dvh;
      }
    }
    @media (max-width: 600px) {
      header {
        padding-inline: 12px;
      }
      h1 {
        white-space: normal;
      }
    }
  `,
})
export class WorkingPlace {
  readonly heading = input.required<string>();
  /** Where it belongs. */
  readonly about = input<string | null>(null);
  readonly help = input<HelpOfPlace | null>(null);
}
