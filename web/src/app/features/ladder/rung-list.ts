import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { RUNG_IDS, RUNGS, type GivenLesson, type RungId, dayWords } from '@zeitpunkt/core';

/** The rungs of a class, with what was taught on each. */
@Component({
  selector: 'zp-rung-list',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 id="rungs">Rungs</h2>
    <ol aria-labelledby="rungs">
      @for (row of rows(); track row.id) {
        <li>
          <button type="button" class="rung" [attr.aria-pressed]="row.id === chosen()" (click)="choose.emit(row.id)">
            <strong>{{ row.name }}</strong>
            @if (row.id === suggested()) {
              <span class="next">next</span>
            }
            <span class="facts">{{ row.facts }}</span>
          </button>
        </li>
      }
    </ol>
  `,
  styles: `
    ol {
      margin: 0.5rem 0 0;
      padding: 0;
      list-style: none;
    }
    .rung {
      display: grid;
      grid-template-columns: 1fr auto;
      gap: 0 0.5rem;
      width: 100%;
      min-height: 40px;
      padding: 0.25rem 0.6rem;
      border: 0;
      border-top: 1px solid var(--faint);
      border-left: 5px solid transparent;
      background: none;
      color: var(--ink);
      font: inherit;
      text-align: left;
      cursor: pointer;
    }
    .rung[aria-pressed='true'] {
      border-left-color: var(--ink);
      background: var(--sheet);
    }
    .facts {
      grid-column: 1 / -1;
      font-size: 0.85rem;
    }
    .facts:empty {
      display: none;
    }
    .next {
      padding: 0 0.5rem;
      border-radius: 3px;
      background: var(--accent);
      color: var(--accent-ink);
      font-size: 0.85rem;
      font-weight: 700;
      line-height: 1.5rem;
    }
  `,
})
export class RungList {
  readonly given = input.required<readonly GivenLesson[]>();
  /** Lessons planned on each rung. */
  readonly planned = input.required<ReadonlyMap<RungId, number>>();
  readonly suggested = input.required<RungId>();
  readonly chosen = input.required<RungId>();
  readonly choose = output<RungId>();

  protected readonly rows = computed(() =>
    RUNG_IDS.map((id) => {
      const given = this.given().filter(({ rung }) => rung === id);
      const planned = this.planned().get(id) ?? 0;
      const last = given.at(-1);
      const facts = [
        ...(last ? [`${given.length} given, last on ${dayWords(last.date)}`] : []),
        ...(planned > 0 ? [`${planned} planned`] : []),
      ];
      return { id, name: RUNGS[id].name, facts: facts.join(' · ') };
    }),
  );
}
