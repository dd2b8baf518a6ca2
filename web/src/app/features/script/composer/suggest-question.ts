import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, input, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatChipListbox, MatChipOption } from '@angular/material/chips';
import { RUNGS } from '@zeitpunkt/core/ladder/registry';
import type { Lesson } from '@zeitpunkt/core/lesson/lesson';
import { rungOfLesson } from '@zeitpunkt/core/lesson/rung-of-lesson';
import type { MisconceptionId } from '@zeitpunkt/core/misconceptions/registry';
import { kindOf, type Item } from '@zeitpunkt/core/question-kinds/registry';
import { ideaName } from '@zeitpunkt/core/misconceptions/idea-words';
import { designInWorker, type Designing } from '../../../shared/diagnosis/designing';
import { KindPicture } from './kind-picture';
import { keyOf, tellsOf } from './what-it-tells';
import { COMPOSER_WORDS } from './words';
import { anewWith } from '../../../shared/anew-with';
import { sentenceOf } from '../../../shared/api';

/** Questions that are looked through for a suggestion, and how many are suggested. */
const LOOKED_THROUGH = 240;
const SUGGESTED = 4;

/** A handful of questions of the rung that tell most of the chosen ideas, each for itself; one of them is taken at a press. */
@Component({
  selector: 'zp-suggest-question',
  imports: [KindPicture, MatButton, MatChipListbox, MatChipOption],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h3>{{ words().heading }}</h3>
    <p class="facts" id="suggest-apart">{{ words().apart }}</p>
    <mat-chip-listbox multiple aria-labelledby="suggest-apart" [value]="wanted()" (change)="wanted.set($event.value)">
      @for (one of ideas(); track one.id) {
        <mat-chip-option [value]="one.id">{{ one.name }}</mat-chip-option>
      }
    </mat-chip-listbox>
    <button mat-stroked-button type="button" [disabled]="wanted().length === 0 || looking()" (click)="suggest()">
      {{ words().press }}
    </button>
    @if (looking()) {
      <p class="facts" role="status">{{ words().looking }}</p>
    }
    @if (problem(); as problem) {
      <p class="problem" role="alert">{{ problem }}</p>
    }
    @if (suggestions(); as suggestions) {
      <ul [attr.aria-label]="words().list">
        @for (one of suggestions; track one.item.id) {
          <li>
            <button type="button" (click)="taken.emit(one.item)">
              <zp-kind-picture [kind]="one.item.kind" />
              <strong>{{ one.name }}: {{ one.text }}</strong>
              <span class="facts">{{ one.tells }}</span>
            </button>
          </li>
        } @empty {
          <li class="facts">{{ words().none }}</li>
        }
      </ul>
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 8px;
      justify-items: start;
      padding-top: 12px;
      border-top: 2px solid var(--ink);
    }
    h3,
    p,
    ul {
      margin: 0;
    }
    ul {
      display: grid;
      gap: 4px;
      width: 100%;
      padding: 0;
      list-style: none;
    }
    li button {
      display: grid;
      grid-template-columns: 68px minmax(0, 1fr);
      gap: 2px 12px;
      align-items: center;
      width: 100%;
      padding: 8px;
      border: 1px solid var(--line);
      border-radius: 4px;
      background: var(--sheet);
      color: var(--ink);
      font: inherit;
      text-align: left;
      cursor: pointer;
    }
    li .facts {
      grid-column: 1 / -1;
    }
  `,
})
export class SuggestQuestion {
  readonly lesson = input.required<Lesson>();
  readonly taken = output<Item>();
  private readonly catalogue = COMPOSER_WORDS;
  protected readonly words = computed(() => this.catalogue().suggest);
  private readonly rungId = computed(() => rungOfLesson(this.lesson()));
  protected readonly ideas = computed(() => RUNGS[this.rungId()].misconceptions.map((id) => ({ id, name: ideaName(id) })));
  protected readonly wanted = anewWith<readonly MisconceptionId[]>(this.rungId, () => RUNGS[this.rungId()].misconceptions.slice(0, 3));
  protected readonly suggestions = signal<
    readonly { readonly item: Item; readonly name: string; readonly text: string; readonly tells: string }[] | null
  >(null);
  protected readonly looking = signal(false);
  protected readonly problem = signal<string | null>(null);
  private draws = 0;
  private designing: Designing | null = null;

  constructor() {
    inject(DestroyRef).onDestroy(() => this.designing?.stop());
  }

  protected async suggest(): Promise<void> {
    this.designing?.stop();
    const { settings, items: asked } = this.lesson();
    const wanted = this.wanted();
    this.draws += 1;
    this.designing = designInWorker({
      wish: { count: SUGGESTED, ideas: wanted.map((id) => ({ id, weight: 1 })) },
      rung: this.rungId(),
      settings,
      asked: [],
      seed: this.draws + asked.length,
      poolSize: LOOKED_THROUGH,
    });
    this.looking.set(true);
    this.problem.set(null);
    try {
      const { items } = await this.designing.done;
      this.suggestions.set(
        items.map((item) => ({
          item,
          name: kindOf(item).name,
          text: keyOf(item, settings).text,
          tells: tellsOf(item, settings)
            .filter(({ id }) => wanted.includes(id))
            .map(({ name, text }) => `${name}: ${text}`)
            .join('; '),
        })),
      );
    } catch (error) {
      this.problem.set(sentenceOf(error));
    }
    this.looking.set(false);
  }
}
