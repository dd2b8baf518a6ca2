import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import type { ClassMastery } from '@zeitpunkt/contract';
import { RUNG_IDS, RUNGS, type GivenLesson, type RungId, dayWords } from '@zeitpunkt/core';
import { MASTERY_WORDS } from '../../shared/insight/mastery-words';

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
            @if (row.wasGiven) {
              <!-- There is room for it before it comes: nothing moves under a hand that is about to press. -->
              <span class="facts mastery">{{ row.mastery }}</span>
            }
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
    .mastery {
      display: block;
      min-height: 1.5em;
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
  /** How many of the class are at which word on each rung. */
  readonly mastery = input.required<ClassMastery['rungs']>();
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
      const words = this.mastery().find(({ rung }) => rung === id)?.words;
      return {
        id,
        name: RUNGS[id].name,
        facts: facts.join(' · '),
        wasGiven: given.length > 0,
        mastery: words ? masteryInShort(words) : '',
      };
    }),
  );
}

/** "14 sure, 8 nearly, 3 not yet": of the others too few answers came lately to say. */
function masteryInShort(words: ClassMastery['rungs'][number]['words']): string {
  const said = (['sure', 'nearly', 'partly', 'not-yet'] as const).flatMap((word) =>
    words[word] > 0 ? [`${words[word]} ${MASTERY_WORDS[word].words}`] : [],
  );
  return said.length > 0 ? said.join(', ') : MASTERY_WORDS['too-few'].words;
}
