import { ChangeDetectionStrategy, Component, computed, input, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import {
  bestWording,
  cardsDue,
  cardTime,
  DEFAULT_SETTINGS,
  displayText,
  patternOf,
  readTimeEntry,
  secondOfDay,
  WORD_PACKS,
  type CardPattern,
  type ClassPlan,
  type IsoDate,
  type SecondOfDay,
  dayWords,
} from '@zeitpunkt/core';
import type { PlanEdit } from './day-panel';

const { pack, separator } = DEFAULT_SETTINGS;
/** Patterns that are offered, as minutes from card to card. */
const PATTERNS: readonly { readonly text: string; readonly stepsMin: readonly number[] }[] = [
  { text: 'an hour on', stepsMin: [60] },
  { text: 'half an hour on', stepsMin: [30] },
  { text: 'a quarter of an hour on', stepsMin: [15] },
  { text: '5 minutes on', stepsMin: [5] },
  { text: '30, 30, 60 minutes on', stepsMin: [30, 30, 60] },
  { text: '10 minutes back', stepsMin: [-10] },
];
const SHOWN_OF_PATTERN = 6;

/** The daily card: one time a school day in a pattern, chosen or found from given times; missed days are caught up. */
@Component({
  selector: 'zp-cards-panel',
  imports: [MatButton, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2 id="cards">Daily card</h2>
    @if (plan().cards; as cards) {
      @if (due(); as due) {
        <p>{{ due.words }}</p>
        <div class="acts">
          <a mat-flat-button [routerLink]="['/cards', classId()]">{{ due.act }}</a>
          <button mat-button type="button" (click)="end()">End the cards</button>
        </div>
      } @else {
        <p>{{ nothingDue() }}</p>
        <div class="acts">
          <button mat-button type="button" (click)="end()">End the cards</button>
        </div>
      }
      <p class="facts">The pattern: {{ times(cards.pattern) }} …</p>
    } @else {
      <p class="facts">One time a day, guessed before it is shown: a look at the clock between the lessons.</p>
      <form novalidate (submit)="begin($event, given.value)">
        <label class="wide">
          First time, or some times of a pattern
          <input
            #given
            class="field"
            autocomplete="off"
            spellcheck="false"
            placeholder="8:00   or   8:00, 8:30, 9:00, 10:00"
            [attr.aria-invalid]="problem() !== null"
            aria-describedby="cards-problem"
          />
        </label>
        <label>
          From one time
          <select #steps class="field" (change)="chosen.set(steps.selectedIndex)">
            @for (one of patterns; track one.text; let index = $index) {
              <option [selected]="index === chosen()">{{ one.text }}</option>
            }
          </select>
        </label>
        <button mat-stroked-button type="submit">Begin today</button>
      </form>
      @if (problem(); as problem) {
        <p id="cards-problem" class="problem" role="alert">{{ problem }}</p>
      }
    }
  `,
  styles: `
    form,
    .acts {
      display: flex;
      flex-wrap: wrap;
      gap: 0.5rem 1rem;
      align-items: end;
      margin-top: 0.5rem;
    }
    label {
      display: grid;
      gap: 0.2rem;
    }
    .wide {
      flex: 1 1 100%;
    }
  `,
})
export class CardsPanel {
  readonly plan = input.required<ClassPlan>();
  readonly classId = input.required<string>();
  readonly today = input.required<IsoDate>();
  readonly edit = output<PlanEdit>();
  protected readonly patterns = PATTERNS;
  protected readonly chosen = signal(1);
  protected readonly problem = signal<string | null>(null);

  protected readonly due = computed(() => {
    const due = cardsDue(this.plan(), this.today());
    if (!due) return null;
    const missed = due.card - due.since;
    const words =
      missed === 0
        ? `Card ${due.card} is due.`
        : `Card ${due.card} is due, and ${missed} before it ${missed === 1 ? 'was' : 'were'} missed.`;
    return { words, act: missed === 0 ? `Show card ${due.card}` : `Show cards ${due.since} to ${due.card}` };
  });
  protected readonly nothingDue = computed(() => {
    const { cards } = this.plan();
    if (cards && this.today() < cards.startsOn) return `The first card is on ${dayWords(cards.startsOn)}.`;
    return `Card ${cards?.shown ?? 0} was shown. The next one comes on the next school day.`;
  });

  protected times(pattern: CardPattern): string {
    return Array.from({ length: SHOWN_OF_PATTERN }, (_, index) => displayText(cardTime(pattern, index + 1), separator)).join(', ');
  }

  protected begin(event: Event, text: string): void {
    event.preventDefault();
    const read = this.read(text);
    this.problem.set('problem' in read ? read.problem : null);
    if (!('pattern' in read)) return;
    const startsOn = this.today();
    this.edit.emit((plan) => ({ ...plan, cards: { pattern: read.pattern, startsOn, shown: 0 } }));
  }

  protected end(): void {
    this.edit.emit((plan) => ({ ...plan, cards: null }));
  }

  /** The pattern that is meant: found from several times, or chosen for one. */
  private read(text: string): { readonly pattern: CardPattern } | { readonly problem: string } {
    const typed = text
      .split(',')
      .map((one) => one.trim())
      .filter(Boolean);
    const times: SecondOfDay[] = [];
    for (const one of typed) {
      const entry = readTimeEntry(one, pack, times.at(-1) ?? secondOfDay(8, 0));
      if ('problem' in entry) return { problem: `“${one}”: ${entry.problem}` };
      times.push(entry.at);
    }
    const [first] = times;
    if (first === undefined) return { problem: 'Type the first time, such as 8:00 or half past 8.' };
    if (times.length === 1) return { pattern: { firstSec: first, stepsMin: PATTERNS[this.chosen()]!.stepsMin } };
    const pattern = patternOf(times);
    const said = times.map((at) => bestWording(at, WORD_PACKS[pack])).join(', ');
    return pattern ? { pattern } : { problem: `No pattern: ${said} has the same time twice running.` };
  }
}
