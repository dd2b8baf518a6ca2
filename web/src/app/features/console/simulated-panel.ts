import { ChangeDetectionStrategy, Component, computed, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { misconceptionOf, RUNG_IDS, rungOfLesson, RUNGS, type MisconceptionId, type RungId } from '@zeitpunkt/core';
import type { SessionDetail, SimulatedWish } from '@zeitpunkt/contract';
import { ask, sentenceOf } from '../../shared/api';

const PACES = [
  { slowness: 0.25, text: 'quick, to try things out' },
  { slowness: 1, text: 'as children are' },
  { slowness: 2, text: 'slow' },
] as const;
const SLIPS = [
  { share: 0, text: 'none' },
  { share: 0.06, text: 'now and then' },
  { share: 0.2, text: 'often' },
] as const;
const DROPS = [
  { share: 0, text: 'no line drops' },
  { share: 0.1, text: 'one line in ten drops at a question' },
  { share: 0.35, text: 'one in three' },
] as const;

/** Fills a room of simulated pupils, who come over the line like real ones; how they are can be chosen. */
@Component({
  selector: 'zp-simulated-panel',
  imports: [MatButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>Simulated pupils</h2>
    <p class="facts">They come over the line like real ones. Nothing that they give counts for a class, and after a week it is deleted.</p>
    @if (problem(); as problem) {
      <p class="problem" role="alert">{{ problem }}</p>
    }
    <div class="row">
      <button mat-flat-button class="next" type="button" [disabled]="busy()" (click)="fill()">
        {{ isFull() ? 'Fill the room anew' : 'Fill the room' }} with {{ count() }}
      </button>
      @if (isFull()) {
        <button mat-button type="button" (click)="switchOff()">Switch their devices off</button>
      }
    </div>
    <details>
      <summary>How they are</summary>
      <div class="how">
        <label>How many <input #many type="number" class="field" min="1" max="36" [value]="count()" (input)="setCount(many)" /></label>
        <label
          >They have come as far as
          <select #known class="field" (change)="reach(known.value)">
            @for (one of rungs; track one.id) {
              <option [value]="one.id" [selected]="one.id === rung()">{{ one.name }}</option>
            }
          </select>
        </label>
        <label
          >Pace
          <select #pace class="field" (change)="slowness.set(+pace.value)">
            @for (one of paces; track one.slowness) {
              <option [value]="one.slowness" [selected]="one.slowness === slowness()">{{ one.text }}</option>
            }
          </select>
        </label>
        <label
          >Careless slips
          <select #slip class="field" (change)="carelessness.set(+slip.value)">
            @for (one of slips; track one.share) {
              <option [value]="one.share" [selected]="one.share === carelessness()">{{ one.text }}</option>
            }
          </select>
        </label>
        <label
          >Lines
          <select #drop class="field" (change)="dropOuts.set(+drop.value)">
            @for (one of drops; track one.share) {
              <option [value]="one.share" [selected]="one.share === dropOuts()">{{ one.text }}</option>
            }
          </select>
        </label>
        <label>Number of the class <input #number type="number" class="field" min="0" [value]="seed()" (input)="setSeed(number)" /></label>
      </div>
      <fieldset>
        <legend>Wrong ideas that some of them hold</legend>
        @for (idea of usual(); track idea.id) {
          <label
            ><input #held type="checkbox" [checked]="ideas().has(idea.id)" (change)="hold(idea.id, held.checked)" /> {{ idea.name }}</label
          >
        }
      </fieldset>
      <p class="facts">The same numbers give the same class, and the same answers.</p>
    </details>
  `,
  styles: `
    :host {
      display: grid;
      gap: 0.6rem;
      width: 100%;
      padding: 0.75rem 1rem;
      border: 2px dashed var(--line);
      border-radius: 6px;
    }
    .row,
    .how {
      display: flex;
      flex-wrap: wrap;
      gap: 0.6rem 1rem;
      align-items: end;
    }
    .how label {
      display: grid;
    }
    .how input {
      width: 6rem;
    }
    summary {
      cursor: pointer;
    }
    fieldset {
      margin: 0.6rem 0 0;
      border: 1px solid var(--line);
      border-radius: 4px;
    }
    fieldset label {
      display: inline-flex;
      gap: 0.4rem;
      align-items: center;
      margin-right: 1rem;
    }
  `,
})
export class SimulatedPanel {
  readonly detail = input.required<SessionDetail>();
  protected readonly paces = PACES;
  protected readonly slips = SLIPS;
  protected readonly drops = DROPS;
  protected readonly count = signal(26);
  protected readonly slowness = signal<number>(1);
  protected readonly carelessness = signal<number>(0.06);
  protected readonly dropOuts = signal<number>(0);
  protected readonly seed = signal(1);
  /** Ideas that were taken out or put in; null: those that are usual where the lesson stands. */
  private readonly chosen = signal<ReadonlySet<MisconceptionId> | null>(null);
  protected readonly busy = signal(false);
  protected readonly problem = signal<string | null>(null);

  protected readonly rungs = RUNG_IDS.map((id) => ({ id, name: RUNGS[id].name }));
  private readonly reached = signal<RungId | null>(null);
  /** The rung they have come to: that of the lesson, where nothing else is chosen. */
  protected readonly rung = computed(() => {
    return this.reached() ?? rungOfLesson(this.detail().lesson);
  });

  protected readonly usual = computed(() => {
    return RUNGS[this.rung()].misconceptions.map((id) => ({ id, name: misconceptionOf(id).name }));
  });
  protected readonly ideas = computed(() => this.chosen() ?? new Set(this.usual().map(({ id }) => id)));
  protected readonly isFull = computed(() => this.detail().live.participants.length > 0);

  protected reach(rung: string): void {
    this.reached.set(rung as RungId);
    this.chosen.set(null);
  }

  protected setCount({ valueAsNumber: count }: HTMLInputElement): void {
    if (Number.isInteger(count)) this.count.set(Math.min(36, Math.max(1, count)));
  }

  protected setSeed({ valueAsNumber: seed }: HTMLInputElement): void {
    if (Number.isInteger(seed) && seed >= 0) this.seed.set(Math.min(seed, 2 ** 31));
  }

  protected hold(id: MisconceptionId, isHeld: boolean): void {
    const ideas = [...this.ideas()].filter((one) => one !== id);
    this.chosen.set(new Set(isHeld ? [...ideas, id] : ideas));
  }

  protected async fill(): Promise<void> {
    const ideas = this.usual().flatMap(({ id }) => (this.ideas().has(id) ? [id] : []));
    const wish: SimulatedWish = {
      count: this.count(),
      rung: this.rung(),
      ideas: ideas.slice(0, 10),
      slowness: this.slowness(),
      carelessness: this.carelessness(),
      dropOuts: this.dropOuts(),
      seed: this.seed(),
    };
    await this.attempt(() => ask('POST', `/api/sessions/${this.detail().id}/simulated`, wish));
  }

  protected async switchOff(): Promise<void> {
    await this.attempt(() => ask('POST', `/api/sessions/${this.detail().id}/simulated/stop`));
  }

  private async attempt(work: () => Promise<unknown>): Promise<void> {
    this.busy.set(true);
    try {
      await work();
      this.problem.set(null);
    } catch (error) {
      this.problem.set(sentenceOf(error));
    } finally {
      this.busy.set(false);
    }
  }
}
