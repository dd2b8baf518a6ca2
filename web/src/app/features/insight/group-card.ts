import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { kindOf, misconceptionOf, RUNGS, textOfResponse, type Group, type GroupKey, type LessonSettings } from '@zeitpunkt/core';
import { Chips, type Chip } from '../../ui/parts/chips';
import { setWords } from '../../shared/diagnosis/set-words';
import type { GroupSet } from './class-review-store';

const COUNTS = [4, 5, 6, 7, 8];

/** A group for the next lesson: who, why, what to do, which questions, and the lesson drafted at a press. */
@Component({
  selector: 'zp-group-card',
  imports: [Chips, MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section [attr.aria-label]="group().name">
      <h3>
        {{ group().name }} <span class="facts">{{ size() }}</span>
      </h3>
      <p>{{ group().reason }}</p>
      @if (also(); as names) {
        <p class="facts">Also: {{ names }}</p>
      }
      <zp-chips [key]="group().key" [chips]="chips()" [lists]="others()" label="Pupils" (moved)="moved.emit($event)" />
      <p><strong>Next:</strong> {{ group().nextMove }}</p>
      <details>
        <summary>
          @if (set()?.progress !== null && set()?.progress !== undefined) {
            Choosing questions … {{ percent() }} %
          } @else if (rows().length) {
            {{ rows().length }} questions, made to measure
          } @else {
            Questions
          }
        </summary>
        @if (set()?.problem; as problem) {
          <p class="problem" role="alert">{{ problem }}</p>
        }
        <ol>
          @for (row of rows(); track $index) {
            <li>
              {{ row.stem }} <span class="facts">{{ row.key }}</span>
            </li>
          }
        </ol>
        @for (sentence of words(); track $index) {
          <p class="facts">{{ sentence }}</p>
        }
        <div class="again">
          <label>
            How many
            <select #count class="field" (change)="designed.emit(+count.value)">
              @for (one of counts; track one) {
                <option [value]="one" [selected]="one === (set()?.count ?? 6)">{{ one }}</option>
              }
            </select>
          </label>
          <button mat-button type="button" (click)="designed.emit(set()?.count ?? 6)">
            Choose others<span class="heard-only"> for {{ group().name }}</span>
          </button>
        </div>
      </details>
      <button mat-flat-button type="button" [disabled]="busy() || !rows().length" (click)="drafted.emit()">
        Draft the lesson{{ on() ? ' for ' + on() : '' }}<span class="heard-only">, {{ group().name }}</span>
      </button>
      <p class="facts">{{ rungName() }}, 15 minutes, with these questions; then it can be changed.</p>
    </section>
  `,
  styles: `
    section {
      display: grid;
      gap: 0.6rem;
      align-content: start;
      height: 100%;
      padding: 1rem;
      border: 1px solid var(--line);
      border-radius: 5px;
      background: var(--sheet);
    }
    h3 {
      font-size: 1.15rem;
    }
    h3 .facts {
      font-weight: 400;
      font-size: 0.95rem;
    }
    summary {
      cursor: pointer;
    }
    ol {
      margin: 0.4rem 0;
      padding-left: 1.4rem;
    }
    .again {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem 1rem;
      align-items: center;
    }
    [mat-flat-button] {
      justify-self: start;
    }
    section > .facts {
      font-size: 0.9rem;
    }
  `,
})
export class GroupCard {
  readonly group = input.required<Group>();
  readonly others = input.required<readonly { readonly key: GroupKey; readonly name: string }[]>();
  readonly set = input.required<GroupSet | undefined>();
  readonly settings = input.required<LessonSettings>();
  readonly busy = input.required<boolean>();
  /** The day of the lesson, as it is read; null where none can be chosen. */
  readonly on = input.required<string | null>();
  readonly moved = output<{ readonly id: string; readonly key: string | null }>();
  readonly designed = output<number>();
  readonly drafted = output();
  protected readonly chips = computed((): readonly Chip[] =>
    this.group().pupils.map(({ id, name, moved }) => ({ id, name, moved, link: ['../pupils', id] })),
  );
  protected readonly counts = COUNTS;
  protected readonly size = computed(() => {
    const { length } = this.group().pupils;
    return `${length} ${length === 1 ? 'pupil' : 'pupils'}`;
  });
  /** Names of the further ideas that it works on. */
  protected readonly also = computed(() =>
    this.group()
      .also.map((id) => misconceptionOf(id).name)
      .join('; '),
  );
  protected readonly rungName = computed(() => RUNGS[this.group().rung].name);
  protected readonly percent = computed(() => Math.round(100 * (this.set()?.progress ?? 0)));
  protected readonly words = computed(() => {
    const set = this.set()?.set;
    return set ? setWords(set).slice(0, 2) : [];
  });
  protected readonly rows = computed(() =>
    (this.set()?.set?.items ?? []).map((item) => {
      const kind = kindOf(item);
      const key = textOfResponse(item, kind.keyOf(item, this.settings()), this.settings());
      return { stem: kind.viewOf(item, this.settings()).stem, key };
    }),
  );
}
